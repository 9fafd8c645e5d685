'use client';
import { Button, IconButton, Paper, Stack, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { HEATS, hobSchema, leftoverOf, RING_KINDS, type Hob, type Ring } from '@/core/kitchen';
import { Choice, CrossMark, NumberField, PlusMark } from '../kit';
import { FormDialog } from './FormDialog';

const fresh = () => `own-${crypto.randomUUID().slice(0, 8)}`;
const newRing = (n: number): Ring => ({ id: fresh(), name: `Ring ${n}`, kind: 'gas', marks: {}, measuredPowerW: {} });

/** A hob and its rings: each with its kind, the cook's own dial marks, measured power, and how long it stays hot. */
export function HobForm({
  hob,
  onClose,
  onKeep,
}: {
  hob: Hob | undefined;
  onClose: () => void;
  onKeep: (h: Hob) => Promise<void>;
}) {
  const [d, setD] = useState<Hob>(() => hob ?? { id: fresh(), name: 'Hob', rings: [newRing(1)] });
  const setRing = (id: string, change: Partial<Ring>) =>
    setD((x) => ({ ...x, rings: x.rings.map((r) => (r.id === id ? { ...r, ...change } : r)) }));
  return (
    <FormDialog title={hob?.name ?? 'Add a hob'} schema={hobSchema} draft={d} onClose={onClose} onKeep={onKeep}>
      <TextField
        label="Name"
        value={d.name}
        onChange={(e) => setD((x) => ({ ...x, name: e.target.value.slice(0, 160) }))}
      />
      {d.rings.map((r) => (
        <Paper key={r.id} sx={{ p: 1.25 }} component="section" aria-label={r.name}>
          <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', alignItems: 'flex-start' }}>
            <TextField
              label="Ring"
              value={r.name}
              sx={{ width: 150 }}
              onChange={(e) => setRing(r.id, { name: e.target.value.slice(0, 160) })}
            />
            <Choice
              label="Kind"
              value={r.kind}
              width={120}
              options={RING_KINDS.map((k) => ({ value: k, words: k }))}
              onChange={(kind) => setRing(r.id, { kind, leftoverS: undefined })}
            />
            <NumberField
              label="Stays hot"
              value={leftoverOf(r) / 60}
              min={0}
              max={30}
              unit="min"
              width={120}
              onChange={(min) => setRing(r.id, { leftoverS: min * 60 })}
            />
            <IconButton
              aria-label={`Take out ${r.name}`}
              disabled={d.rings.length === 1}
              onClick={() => setD((x) => ({ ...x, rings: x.rings.filter((q) => q.id !== r.id) }))}
            >
              <CrossMark fontSize="small" />
            </IconButton>
          </Stack>
          <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', alignItems: 'flex-start', mt: 1 }}>
            {HEATS.map((h) => (
              <Stack key={h} spacing={1}>
                <TextField
                  label={`Mark for ${h}`}
                  value={r.marks[h] ?? ''}
                  sx={{ width: 140 }}
                  onChange={(e) => {
                    const mark = e.target.value.slice(0, 20);
                    const { [h]: _old, ...rest } = r.marks;
                    setRing(r.id, { marks: mark.trim() === '' ? rest : { ...rest, [h]: mark } });
                  }}
                />
                <NumberField
                  label={`Power at ${h}`}
                  value={r.measuredPowerW[h]}
                  min={50}
                  max={6000}
                  decimals={0}
                  unit="W"
                  width={140}
                  onChange={(w) => setRing(r.id, { measuredPowerW: { ...r.measuredPowerW, [h]: w } })}
                  onClear={() => {
                    const { [h]: _old, ...rest } = r.measuredPowerW;
                    setRing(r.id, { measuredPowerW: rest });
                  }}
                />
              </Stack>
            ))}
          </Stack>
        </Paper>
      ))}
      <Button
        startIcon={<PlusMark />}
        sx={{ alignSelf: 'flex-start' }}
        disabled={d.rings.length >= 8}
        onClick={() => setD((x) => ({ ...x, rings: [...x.rings, newRing(x.rings.length + 1)] }))}
      >
        Another ring
      </Button>
      <Typography variant="body2" color="text.secondary">
        A kettle test in a plan&apos;s Steam station measures the power of its ring.
      </Typography>
    </FormDialog>
  );
}
