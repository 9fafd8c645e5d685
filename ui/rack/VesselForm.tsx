'use client';
import { Box, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { vesselSchema, WALL_MATERIALS, type Vessel } from '@/core/kitchen';
import { diameterFromWater, WALLS } from '@/core/model/vessel';
import { MiniSection } from '../section/MiniSection';
import { NumberField, ownId, Say } from '../kit';
import { FormChoice, FormNumber, FormWords } from '../kit/form';
import { FormDialog } from '../kit/FormDialog';

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

/** Metres as millimetres, without the dust of the sum. */
const mm = (m: number): number => Math.round(m * 1e5) / 100;

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
    heightMm: mm(v.heightM),
    countOf: v.count,
  };
  if (v.shape === 'rectangular')
    return {
      ...common,
      shape: v.loaf ? 'loaf' : 'rectangular',
      aMm: mm(v.lengthM),
      bMm: mm(v.widthM),
      baseAMm: mm(v.baseLengthM ?? v.lengthM),
      baseBMm: mm(v.baseWidthM ?? v.widthM),
      cornerMm: mm(v.cornerRadiusM),
    };
  const base = v.shape === 'bowl' ? v.diameterM : (v.baseDiameterM ?? v.diameterM);
  return { ...common, aMm: mm(v.diameterM), baseAMm: mm(base) };
};

function vesselOf(d: Draft, id: string, was: Vessel | undefined): unknown {
  const shape = d.shape === 'loaf' ? ('rectangular' as const) : d.shape;
  const common = {
    // What has no field stays as it was.
    ...(was?.shape === shape ? was : {}),
    id,
    name: d.name,
    material: d.material,
    heightM: d.heightMm / 1000,
    count: d.countOf,
    shape,
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

/** What is stored, and beyond it that the sizes are not taken for one another. */
const formSchema = vesselSchema.superRefine((v, ctx) => {
  const wider =
    v.shape === 'rectangular'
      ? (v.baseLengthM ?? 0) > v.lengthM || (v.baseWidthM ?? 0) > v.widthM
      : v.shape !== 'bowl' && (v.baseDiameterM ?? 0) > v.diameterM;
  if (wider)
    ctx.addIssue({ code: 'custom', message: 'The base is wider than the rim: measure both inside, wall to wall.' });
});

function Sizes() {
  const { setValue, getValues } = useFormContext<Draft>();
  const d = useWatch<Draft>() as Draft;
  const [water, setWater] = useState<number | undefined>(undefined);
  const [waterTrouble, setWaterTrouble] = useState<readonly string[]>([]);
  const rect = d.shape === 'rectangular' || d.shape === 'loaf';
  /** The base keeps to the rim for as long as both are one size: a straight wall stays straight when its rim is changed. */
  const follows = (base: 'baseAMm' | 'baseBMm') => (is: number, was: number | undefined) => {
    if (getValues(base) === was) setValue(base, is);
  };
  const fromWater = (g: number) => {
    setWater(g);
    const found = diameterFromWater(g, d.heightMm / 1000);
    if (found.ok) {
      setValue('aMm', Math.round(found.value * 1000));
      setValue('baseAMm', Math.round(found.value * 1000));
      setWaterTrouble([]);
    } else setWaterTrouble(found.problems.map((p) => p.sentence));
  };
  const size = { min: 4, max: 900, unit: 'mm', width: 150 } as const;
  return (
    <>
      <Typography variant="body2">Inside sizes, wall to wall:</Typography>
      <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <FormNumber
          {...size}
          name="aMm"
          label={rect ? 'Length at the rim' : 'Across the rim'}
          onTaken={follows('baseAMm')}
        />
        {rect ? <FormNumber {...size} name="bMm" label="Width at the rim" onTaken={follows('baseBMm')} /> : null}
        {d.shape === 'bowl' ? null : (
          <FormNumber {...size} name="baseAMm" label={rect ? 'Length at the base' : 'Across the base'} />
        )}
        {rect ? <FormNumber {...size} name="baseBMm" label="Width at the base" /> : null}
        <FormNumber {...size} name="heightMm" label="Height" max={400} />
        {rect ? <FormNumber {...size} name="cornerMm" label="Corner radius" min={0} max={200} /> : null}
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
    </>
  );
}

function Picture({ id }: { id: string }) {
  const parsed = formSchema.safeParse(vesselOf(useWatch<Draft>() as Draft, id, undefined));
  return <Box>{parsed.success ? <MiniSection vessel={parsed.data} depthM={0} /> : null}</Box>;
}

/** A vessel by its inside sizes, or by a water test. */
export function VesselForm({
  thing,
  onClose,
  onKeep,
}: {
  thing: Vessel | undefined;
  onClose: () => void;
  onKeep: (v: Vessel, over: number | undefined) => Promise<void>;
}) {
  const [id] = useState(() => thing?.id ?? ownId());
  return (
    <FormDialog<Draft, Vessel>
      title={thing ? thing.name : 'Add a vessel'}
      schema={formSchema as never}
      values={draftOf(thing)}
      thingOf={(d) => vesselOf(d, id, thing)}
      onClose={onClose}
      onKeep={onKeep}
    >
      <FormWords name="name" label="Name" />
      <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <FormChoice<Draft['shape']> name="shape" label="Shape" width={210} options={SHAPES} />
        <FormChoice<Vessel['material']>
          name="material"
          label="Made of"
          width={150}
          options={WALL_MATERIALS.map((m) => ({ value: m, words: WALLS[m].words }))}
        />
        <FormNumber name="countOf" label="How many" min={1} max={200} whole width={110} />
      </Stack>
      <Sizes />
      <Picture id={id} />
    </FormDialog>
  );
}
