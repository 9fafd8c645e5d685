'use client';
import { Stack } from '@mui/material';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { COATINGS, fryingPanSchema, GEAR_MATERIALS, steamerSchema, type FryingPan, type Steamer } from '@/core/kitchen';
import { ownId, Say } from '../kit';
import { FormChoice, FormNumber, FormWords } from '../kit/form';
import { FormDialog } from '../kit/FormDialog';

interface Props<T> {
  readonly thing: T | undefined;
  readonly onClose: () => void;
  readonly onKeep: (t: T, over: number | undefined) => Promise<void>;
}
const row = { flexWrap: 'wrap' } as const;
/** Metres as whole figures of millimetres. */
const mm = (m: number): number => Math.round(m * 1e5) / 100;

function PressureCaution() {
  const pressureTempC = useWatch({ name: 'pressureTempC' }) as number | undefined;
  return pressureTempC === undefined ? null : (
    <Say tone="watch">{"Keep the maker's minimum water, use a trivet, and release as the maker says."}</Say>
  );
}

/** A steamer: tiers, inside diameter, clear height, lid, pot and the water under its rack. */
export function SteamerForm({ thing, onClose, onKeep }: Props<Steamer>) {
  const [id] = useState(() => thing?.id ?? ownId());
  return (
    <FormDialog
      title={thing?.name ?? 'Add a steamer'}
      schema={steamerSchema}
      onClose={onClose}
      onKeep={onKeep}
      values={{
        name: thing?.name ?? '',
        tiers: thing?.tiers ?? 1,
        innerMm: mm(thing?.innerDiameterM ?? 0.28),
        clearMm: mm(thing?.clearHeightM ?? 0.1),
        potMm: mm(thing?.potDiameterM ?? 0.28),
        waterMm: mm(thing?.waterDepthM ?? 0.06),
        lid: thing?.lid ?? ('tight' as Steamer['lid']),
        pressureTempC: thing?.pressureTempC,
      }}
      thingOf={(d) => ({
        id,
        name: d.name,
        tiers: d.tiers,
        innerDiameterM: d.innerMm / 1000,
        clearHeightM: d.clearMm / 1000,
        potDiameterM: d.potMm / 1000,
        waterDepthM: d.waterMm / 1000,
        lid: d.lid,
        pressureTempC: d.pressureTempC,
      })}
    >
      <FormWords name="name" label="Name" />
      <Stack direction="row" spacing={1.5} useFlexGap sx={row}>
        <FormNumber name="tiers" label="Tiers" min={1} max={6} whole width={100} />
        <FormNumber name="innerMm" label="Inside diameter" min={80} max={900} unit="mm" width={160} />
        <FormNumber name="clearMm" label="Clear height" min={20} max={500} unit="mm" width={150} />
        <FormNumber name="potMm" label="Pot diameter" min={80} max={900} unit="mm" width={150} />
        <FormNumber name="waterMm" label="Pot floor to rack" min={10} max={400} unit="mm" width={160} />
        <FormChoice<Steamer['lid']>
          name="lid"
          label="Lid"
          width={170}
          options={[
            { value: 'tight', words: 'tight' },
            { value: 'cloth', words: 'cloth-wrapped' },
            { value: 'woven', words: 'woven' },
            { value: 'loose', words: 'fits loosely' },
          ]}
        />
        <FormNumber
          name="pressureTempC"
          clears
          label="Pressure pot runs at"
          min={105}
          max={116}
          unit="°C"
          width={190}
          helper="leave empty for an open steamer"
        />
      </Stack>
      <PressureCaution />
    </FormDialog>
  );
}

function OtherSide() {
  const shape = useWatch({ name: 'shape' }) as FryingPan['shape'];
  return shape === 'rectangular' ? (
    <FormNumber name="bMm" label="Other side" min={80} max={600} unit="mm" width={150} />
  ) : null;
}

/** A frying pan by its flat base. */
export function PanForm({ thing, onClose, onKeep }: Props<FryingPan>) {
  const [id] = useState(() => thing?.id ?? ownId());
  return (
    <FormDialog
      title={thing?.name ?? 'Add a frying pan'}
      schema={fryingPanSchema}
      onClose={onClose}
      onKeep={onKeep}
      values={{
        name: thing?.name ?? '',
        shape: thing?.shape ?? ('round' as FryingPan['shape']),
        aMm: mm(thing?.diameterM ?? 0.24),
        bMm: mm(thing?.widthM ?? thing?.diameterM ?? 0.24),
        coating: thing?.coating ?? ('bare' as FryingPan['coating']),
        material: thing?.material ?? ('steel' as FryingPan['material']),
        lid: (thing?.lid ?? true) ? 'yes' : 'no',
      }}
      thingOf={(d) => ({
        id,
        name: d.name,
        shape: d.shape,
        diameterM: d.aMm / 1000,
        widthM: d.shape === 'round' ? undefined : d.bMm / 1000,
        coating: d.coating,
        material: d.material,
        lid: d.lid === 'yes',
      })}
    >
      <FormWords name="name" label="Name" />
      <Stack direction="row" spacing={1.5} useFlexGap sx={row}>
        <FormChoice
          name="shape"
          label="Base"
          width={150}
          options={[
            { value: 'round', words: 'round' },
            { value: 'rectangular', words: 'rectangular' },
          ]}
        />
        <FormNumber name="aMm" label="Across the base" min={80} max={600} unit="mm" width={160} />
        <OtherSide />
        <FormChoice
          name="coating"
          label="Coating"
          width={150}
          options={COATINGS.map((c) => ({ value: c, words: c }))}
        />
        <FormChoice
          name="material"
          label="Made of"
          width={150}
          options={GEAR_MATERIALS.map((m) => ({ value: m, words: m }))}
        />
        <FormChoice
          name="lid"
          label="Lid"
          width={120}
          options={[
            { value: 'yes', words: 'has one' },
            { value: 'no', words: 'none' },
          ]}
        />
      </Stack>
    </FormDialog>
  );
}
