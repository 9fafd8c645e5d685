'use client';
import { Stack, TextField } from '@mui/material';
import { useState } from 'react';
import {
  APPLIANCE_KINDS,
  applianceSchema,
  GEAR_MATERIALS,
  POT_KINDS,
  potSchema,
  scoopSchema,
  type Appliance,
  type Pot,
  type Scoop,
} from '@/core/kitchen';
import type { z } from 'zod';
import { Choice, NumberField } from '../kit';
import { FormDialog } from './FormDialog';

const fresh = () => `own-${crypto.randomUUID().slice(0, 8)}`;
const named = (s: string) => s.slice(0, 160);

interface FormProps<T> {
  readonly thing: T | undefined;
  readonly onClose: () => void;
  readonly onKeep: (t: T) => Promise<void>;
}

interface HeldProps<T extends Pot | Appliance> extends FormProps<T> {
  readonly title: string;
  readonly schema: z.ZodType<T>;
  readonly kinds: readonly T['kind'][];
  readonly blank: Omit<T, 'id'>;
}

/** Something that holds food: its kind, what it holds and what it is made of. */
function HeldForm<T extends Pot | Appliance>({ thing, title, schema, kinds, blank, onClose, onKeep }: HeldProps<T>) {
  const [d, setD] = useState<T>(() => thing ?? ({ ...blank, id: fresh() } as T));
  const set = (change: Partial<Pick<T, 'name' | 'kind' | 'capacityMl' | 'material'>>) =>
    setD((x) => ({ ...x, ...change }));
  return (
    <FormDialog title={thing?.name ?? title} schema={schema} draft={d} onClose={onClose} onKeep={onKeep}>
      <TextField label="Name" value={d.name} onChange={(e) => set({ name: named(e.target.value) })} />
      <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Choice<T['kind']>
          label="Kind"
          value={d.kind}
          width={140}
          options={kinds.map((k) => ({ value: k, words: k }))}
          onChange={(kind) => set({ kind })}
        />
        <NumberField
          label="Holds"
          value={d.capacityMl}
          min={50}
          max={60000}
          decimals={0}
          unit="ml"
          width={140}
          onChange={(capacityMl) => set({ capacityMl })}
        />
        <Choice
          label="Made of"
          value={d.material}
          width={150}
          options={GEAR_MATERIALS.map((m) => ({ value: m, words: m }))}
          onChange={(material) => set({ material })}
        />
      </Stack>
    </FormDialog>
  );
}

/** A pot or wok. */
export const PotForm = (props: FormProps<Pot>) => (
  <HeldForm
    {...props}
    title="Add a pot or wok"
    schema={potSchema}
    kinds={POT_KINDS}
    blank={{ name: '', kind: 'pot', capacityMl: 3000, material: 'steel' }}
  />
);
/** A blender, processor, grinder or microwave. */
export const ApplianceForm = (props: FormProps<Appliance>) => (
  <HeldForm
    {...props}
    title="Add a blender, processor or microwave"
    schema={applianceSchema}
    kinds={APPLIANCE_KINDS}
    blank={{ name: '', kind: 'blender', capacityMl: 1500, material: 'glass' }}
  />
);

/** A spoon, ladle or cup of the cook's own. */
export function ScoopForm({ thing, onClose, onKeep }: FormProps<Scoop>) {
  const [d, setD] = useState(() => thing ?? ({ id: fresh(), name: '', ml: 60 } as Scoop));
  const set = (change: Partial<Scoop>) => setD((x) => ({ ...x, ...change }));
  return (
    <FormDialog
      title={thing?.name ?? 'Add a spoon, ladle or cup'}
      schema={scoopSchema}
      draft={d}
      onClose={onClose}
      onKeep={onKeep}
    >
      <TextField label="Name" value={d.name} onChange={(e) => set({ name: named(e.target.value) })} />
      <NumberField
        label="Holds"
        value={d.ml}
        min={1}
        max={2000}
        unit="ml"
        width={140}
        helper="weigh it full of water: grams are millilitres"
        onChange={(ml) => set({ ml })}
      />
    </FormDialog>
  );
}
