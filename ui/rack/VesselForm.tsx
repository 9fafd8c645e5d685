'use client';
import {
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  Stack,
  TextField,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import { vesselSchema, WALL_MATERIALS, type Vessel } from '@/core/kitchen';
import { problemsOf } from '@/core/plan';
import { diameterFromWater, WALLS } from '@/core/vessel';
import { MiniSection } from '../home/MiniSection';
import { Choice, NumberField, Say } from '../kit';

const SHAPES = [
  { value: 'round', words: 'Round' },
  { value: 'rectangular', words: 'Square or rectangular' },
  { value: 'bowl', words: 'Bowl' },
  { value: 'dish', words: 'Shallow dish' },
] as const;
interface Draft {
  readonly shape: Vessel['shape'];
  readonly name: string;
  readonly material: Vessel['material'];
  readonly heightMm: number;
  readonly countOf: number;
  readonly aMm: number;
  readonly bMm: number;
  readonly baseAMm: number;
  readonly baseBMm: number;
  readonly cornerMm: number;
}

const draftOf = (v: Vessel | undefined): Draft => {
  const blank: Draft = {
    shape: 'round',
    name: '',
    material: 'aluminium',
    heightMm: 50,
    countOf: 1,
    aMm: 200,
    bMm: 200,
    baseAMm: 200,
    baseBMm: 200,
    cornerMm: 0,
  };
  if (!v) return blank;
  const common = {
    ...blank,
    shape: v.shape,
    name: v.name,
    material: v.material,
    heightMm: v.heightM * 1000,
    countOf: v.count,
  };
  if (v.shape === 'rectangular')
    return {
      ...common,
      aMm: v.lengthM * 1000,
      bMm: v.widthM * 1000,
      baseAMm: (v.baseLengthM ?? v.lengthM) * 1000,
      baseBMm: (v.baseWidthM ?? v.widthM) * 1000,
      cornerMm: v.cornerRadiusM * 1000,
    };
  const base = v.shape === 'bowl' ? v.diameterM : (v.baseDiameterM ?? v.diameterM);
  return { ...common, aMm: v.diameterM * 1000, baseAMm: base * 1000 };
};

function vesselOf(d: Draft, id: string): unknown {
  const common = {
    id,
    name: d.name,
    material: d.material,
    heightM: d.heightMm / 1000,
    count: d.countOf,
    shape: d.shape,
  };
  if (d.shape === 'rectangular')
    return {
      ...common,
      lengthM: d.aMm / 1000,
      widthM: d.bMm / 1000,
      baseLengthM: Math.min(d.baseAMm, d.aMm) / 1000,
      baseWidthM: Math.min(d.baseBMm, d.bMm) / 1000,
      cornerRadiusM: d.cornerMm / 1000,
    };
  if (d.shape === 'bowl') return { ...common, diameterM: d.aMm / 1000 };
  return { ...common, diameterM: d.aMm / 1000, baseDiameterM: Math.min(d.baseAMm, d.aMm) / 1000 };
}

/** A vessel by its inside sizes, or by a water test. */
export function VesselForm({
  vessel,
  onClose,
  onKeep,
}: {
  vessel: Vessel | undefined;
  onClose: () => void;
  onKeep: (v: Vessel) => Promise<void>;
}) {
  const [d, setD] = useState(() => draftOf(vessel));
  const [water, setWater] = useState<number | undefined>(undefined);
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const set = (change: Partial<Draft>) => setD((x) => ({ ...x, ...change }));
  const parsed = vesselSchema.safeParse(vesselOf(d, vessel?.id ?? 'new'));
  const keep = async () => {
    const made = vesselSchema.safeParse(vesselOf(d, vessel?.id ?? `own-${crypto.randomUUID().slice(0, 8)}`));
    if (!made.success) {
      setTrouble(problemsOf(made.error).map((p) => p.sentence));
      return;
    }
    try {
      await onKeep(made.data);
    } catch (e) {
      setTrouble([e instanceof Error ? e.message : 'Not kept; try again.']);
    }
  };
  const fromWater = (g: number) => {
    setWater(g);
    const found = diameterFromWater(g, d.heightMm / 1000);
    if (found.ok) {
      set({ aMm: Math.round(found.value * 1000), baseAMm: Math.round(found.value * 1000) });
      setTrouble([]);
    } else setTrouble(found.problems.map((p) => p.sentence));
  };
  const mm = (label: string, key: 'heightMm' | 'aMm' | 'bMm' | 'baseAMm' | 'baseBMm' | 'cornerMm', max: number) => (
    <NumberField
      label={label}
      value={d[key]}
      min={key === 'cornerMm' ? 0 : 4}
      max={max}
      unit="mm"
      width={150}
      onChange={(v) => set({ [key]: v })}
    />
  );
  const rect = d.shape === 'rectangular';
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>{vessel ? vessel.name : 'Add a vessel'}</DialogTitle>
      <DialogContent>
        <Stack spacing={1.75} sx={{ pt: 1 }}>
          <TextField label="Name" value={d.name} onChange={(e) => set({ name: e.target.value.slice(0, 160) })} />
          <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
            <Choice label="Shape" value={d.shape} width={210} options={SHAPES} onChange={(shape) => set({ shape })} />
            <Choice
              label="Made of"
              value={d.material}
              width={150}
              options={WALL_MATERIALS.map((m) => ({ value: m, words: WALLS[m].words }))}
              onChange={(material) => set({ material })}
            />
            <NumberField
              label="How many"
              value={d.countOf}
              min={1}
              max={200}
              whole
              decimals={0}
              width={110}
              onChange={(countOf) => set({ countOf })}
            />
          </Stack>
          <Typography variant="body2">Inside sizes, wall to wall:</Typography>
          <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
            {mm(rect ? 'Length at the rim' : 'Across the rim', 'aMm', 900)}
            {rect ? mm('Width at the rim', 'bMm', 900) : null}
            {d.shape === 'bowl' ? null : mm(rect ? 'Length at the base' : 'Across the base', 'baseAMm', 900)}
            {rect ? mm('Width at the base', 'baseBMm', 900) : null}
            {mm('Height', 'heightMm', 400)}
            {rect ? mm('Corner radius', 'cornerMm', 200) : null}
          </Stack>
          {d.shape === 'round' ? (
            <NumberField
              label="Or: water it holds, weighed"
              value={water}
              min={1}
              max={60000}
              unit="g"
              width={240}
              onChange={fromWater}
              onClear={() => setWater(undefined)}
              helper="filled to the height above, straight sides"
            />
          ) : null}
          <Box>{parsed.success ? <MiniSection vessel={parsed.data} depthM={0} /> : null}</Box>
          {trouble.map((t) => (
            <Say key={t} tone="stop" role="alert">
              {t}
            </Say>
          ))}
        </Stack>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button variant="contained" onClick={() => void keep()}>
          Keep it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
