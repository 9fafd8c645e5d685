'use client';
import { Stack } from '@mui/material';
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
import { ownId } from '../kit';
import { FormChoice, FormNumber, FormWords } from '../kit/form';
import { FormDialog } from '../kit/FormDialog';

interface FormProps<T> {
  readonly thing: T | undefined;
  readonly onClose: () => void;
  readonly onKeep: (t: T, over: number | undefined) => Promise<void>;
}

interface HeldProps<T extends Pot | Appliance> extends FormProps<T> {
  readonly title: string;
  readonly schema: z.ZodType<T>;
  readonly kinds: readonly T['kind'][];
  readonly blank: Omit<T, 'id'>;
}

/** Something that holds food: its kind, what it holds and what it is made of. */
function HeldForm<T extends Pot | Appliance>({ thing, title, schema, kinds, blank, onClose, onKeep }: HeldProps<T>) {
  const [values] = useState(() => ({ ...blank, id: ownId(), ...thing }));
  return (
    <FormDialog
      title={thing?.name ?? title}
      schema={schema}
      values={values}
      thingOf={(d) => d}
      onClose={onClose}
      onKeep={onKeep}
    >
      <FormWords name="name" label="Name" />
      <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <FormChoice<T['kind']>
          name="kind"
          label="Kind"
          width={140}
          options={kinds.map((k) => ({ value: k, words: k }))}
        />
        <FormNumber name="capacityMl" label="Holds" min={50} max={60000} decimals={0} unit="ml" width={140} />
        <FormChoice
          name="material"
          label="Made of"
          width={150}
          options={GEAR_MATERIALS.map((m) => ({ value: m, words: m }))}
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
  const [values] = useState(() => ({ id: ownId(), name: '', ml: 60, ...thing }));
  return (
    <FormDialog
      title={thing?.name ?? 'Add a spoon, ladle or cup'}
      schema={scoopSchema}
      values={values}
      thingOf={(d) => d}
      onClose={onClose}
      onKeep={onKeep}
    >
      <FormWords name="name" label="Name" />
      <FormNumber
        name="ml"
        label="Holds"
        min={1}
        max={2000}
        unit="ml"
        width={140}
        helper="weigh it full of water: grams are millilitres"
      />
    </FormDialog>
  );
}
