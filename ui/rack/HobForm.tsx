'use client';
import { Button, IconButton, Paper, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { HEATS, hobSchema, leftoverOf, RING_KINDS, type Heat, type Hob, type Ring } from '@/core/kitchen';
import { CrossMark, ownId, PlusMark } from '../kit';
import { FormChoice, FormNumber, FormWords } from '../kit/form';
import { FormDialog } from '../kit/FormDialog';

/** A ring as its fields have it: minutes, and a mark and watts for every heat, empty where none is known. */
interface RingValues {
  readonly ringId: string;
  readonly name: string;
  readonly kind: Ring['kind'];
  readonly leftoverMin: number;
  readonly marks: Partial<Record<Heat, string>>;
  readonly watts: Partial<Record<Heat, number>>;
}
interface HobValues {
  readonly name: string;
  readonly rings: RingValues[];
}

const valuesOf = (r: Ring): RingValues => ({
  ringId: r.id,
  name: r.name,
  kind: r.kind,
  leftoverMin: leftoverOf(r) / 60,
  marks: Object.fromEntries(HEATS.map((h) => [h, r.marks[h] ?? ''])),
  watts: { ...r.measuredPowerW },
});
const newRing = (n: number): Ring => ({ id: ownId(), name: `Ring ${n}`, kind: 'gas', marks: {}, measuredPowerW: {} });

/** The ring of its fields; the time it stays hot is its own only where it is not its kind's. */
function ringOf(v: RingValues): unknown {
  const ring = {
    id: v.ringId,
    name: v.name,
    kind: v.kind,
    marks: Object.fromEntries(
      Object.entries(v.marks).flatMap(([h, m]) => (m.trim() === '' ? [] : [[h, m.slice(0, 20)]])),
    ),
    measuredPowerW: Object.fromEntries(Object.entries(v.watts).filter(([, w]) => w !== undefined)),
  };
  const usual = leftoverOf({ ...ring, leftoverS: undefined } as Ring);
  return v.leftoverMin * 60 === usual ? ring : { ...ring, leftoverS: v.leftoverMin * 60 };
}

function Rings() {
  const { setValue } = useFormContext<HobValues>();
  const { fields, append, remove } = useFieldArray<HobValues, 'rings'>({ name: 'rings' });
  const rings = useWatch<HobValues, 'rings'>({ name: 'rings' });
  return (
    <>
      {fields.map((r, i) => (
        <Paper key={r.id} sx={{ p: 1.25 }} component="section" aria-label={rings[i]?.name ?? r.name}>
          <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', alignItems: 'flex-start' }}>
            <FormWords name={`rings.${i}.name`} label="Ring" width={150} />
            <FormChoice<Ring['kind']>
              name={`rings.${i}.kind`}
              label="Kind"
              width={120}
              options={RING_KINDS.map((k) => ({ value: k, words: k }))}
              onTaken={(kind) => setValue(`rings.${i}.leftoverMin`, leftoverOf({ ...newRing(i), kind }) / 60)}
            />
            <FormNumber name={`rings.${i}.leftoverMin`} label="Stays hot" min={0} max={30} unit="min" width={120} />
            <IconButton
              aria-label={`Take out ${rings[i]?.name ?? r.name}`}
              disabled={fields.length === 1}
              onClick={() => remove(i)}
            >
              <CrossMark size="small" />
            </IconButton>
          </Stack>
          <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', alignItems: 'flex-start', mt: 1 }}>
            {HEATS.map((h) => (
              <Stack key={h} spacing={1}>
                <FormWords name={`rings.${i}.marks.${h}`} label={`Mark for ${h}`} most={20} width={140} />
                <FormNumber
                  name={`rings.${i}.watts.${h}`}
                  clears
                  label={`Power at ${h}`}
                  min={50}
                  max={6000}
                  decimals={0}
                  unit="W"
                  width={140}
                />
              </Stack>
            ))}
          </Stack>
        </Paper>
      ))}
      <Button
        startIcon={<PlusMark />}
        sx={{ alignSelf: 'flex-start' }}
        disabled={fields.length >= 8}
        onClick={() => append(valuesOf(newRing(fields.length + 1)))}
      >
        Another ring
      </Button>
    </>
  );
}

/** A hob and its rings: each with its kind, the cook's own dial marks, measured power, and how long it stays hot. */
export function HobForm({
  thing,
  onClose,
  onKeep,
}: {
  thing: Hob | undefined;
  onClose: () => void;
  onKeep: (h: Hob, over: number | undefined) => Promise<void>;
}) {
  const [hob] = useState<Hob>(() => thing ?? { id: ownId(), name: 'Hob', rings: [newRing(1)] });
  return (
    <FormDialog<HobValues, Hob>
      title={thing?.name ?? 'Add a hob'}
      schema={hobSchema as never}
      values={{ name: hob.name, rings: hob.rings.map(valuesOf) }}
      thingOf={(v) => ({ ...hob, name: v.name, rings: v.rings.map(ringOf) })}
      onClose={onClose}
      onKeep={onKeep}
    >
      <FormWords name="name" label="Name" />
      <Rings />
      <Typography variant="body2" color="text.secondary">
        A kettle test in a plan&apos;s Steam station measures the power of its ring.
      </Typography>
    </FormDialog>
  );
}
