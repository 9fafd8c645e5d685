'use client';
import { Box, Stack, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { vesselSchema, WALL_MATERIALS, type Vessel } from '@/core/kitchen';
import { diameterFromWater, WALLS } from '@/core/vessel';
import { MiniSection } from '../home/MiniSection';
import { Choice, NumberField, Say } from '../kit';
import { FormDialog } from './FormDialog';

const SHAPES = [
  { value: 'round', words: 'Round' },
  { value: 'rectangular', words: 'Square or rectangular' },
  { value: 'loaf', words: 'Loaf tin' },
  { value: 'bowl', words: 'Bowl' },
  { value: 'dish', words: 'Shallow dish' },
] as const;
interface Draft {
  readonly shape: (typeof SHAPES)[number]['value'];
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
      shape: v.loaf ? 'loaf' : 'rectangular',
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
    shape: d.shape === 'loaf' ? ('rectangular' as const) : d.shape,
  };
  if (d.shape === 'rectangular' || d.shape === 'loaf')
    return {
      ...common,
      loaf: d.shape === 'loaf',
      lengthM: d.aMm / 1000,
      widthM: d.bMm / 1000,
      baseLengthM: d.baseAMm / 1000,
      baseWidthM: d.baseBMm / 1000,
      cornerRadiusM: d.cornerMm / 1000,
    };
  if (d.shape === 'bowl') return { ...common, diameterM: d.aMm / 1000 };
  return { ...common, diameterM: d.aMm / 1000, baseDiameterM: d.baseAMm / 1000 };
}

/** The base keeps to the rim for as long as both are one size: a straight wall stays straight when its rim is changed. */
const straight = (d: Draft, { aMm, bMm }: Partial<Draft>): Draft => ({
  ...d,
  ...(aMm !== undefined && d.baseAMm === d.aMm ? { baseAMm: aMm } : {}),
  ...(bMm !== undefined && d.baseBMm === d.bMm ? { baseBMm: bMm } : {}),
});

/** What is stored, and beyond it that the sizes are not taken for one another. */
const formSchema = vesselSchema.superRefine((v, ctx) => {
  const wider =
    v.shape === 'rectangular'
      ? (v.baseLengthM ?? 0) > v.lengthM || (v.baseWidthM ?? 0) > v.widthM
      : v.shape !== 'bowl' && (v.baseDiameterM ?? 0) > v.diameterM;
  if (wider)
    ctx.addIssue({ code: 'custom', message: 'The base is wider than the rim: measure both inside, wall to wall.' });
});

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
  const [waterTrouble, setWaterTrouble] = useState<readonly string[]>([]);
  const [id] = useState(() => vessel?.id ?? `own-${crypto.randomUUID().slice(0, 8)}`);
  const set = (change: Partial<Draft>) => setD((x) => ({ ...straight(x, change), ...change }));
  const parsed = formSchema.safeParse(vesselOf(d, id));
  const fromWater = (g: number) => {
    setWater(g);
    const found = diameterFromWater(g, d.heightMm / 1000);
    if (found.ok) {
      set({ aMm: Math.round(found.value * 1000), baseAMm: Math.round(found.value * 1000) });
      setWaterTrouble([]);
    } else setWaterTrouble(found.problems.map((p) => p.sentence));
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
  const rect = d.shape === 'rectangular' || d.shape === 'loaf';
  return (
    <FormDialog
      title={vessel ? vessel.name : 'Add a vessel'}
      schema={formSchema}
      draft={vesselOf(d, id)}
      onClose={onClose}
      onKeep={onKeep}
    >
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
      {waterTrouble.map((t) => (
        <Say key={t} tone="stop" role="alert">
          {t}
        </Say>
      ))}
      <Box>{parsed.success ? <MiniSection vessel={parsed.data} depthM={0} /> : null}</Box>
    </FormDialog>
  );
}
