'use client';
import { Stack, TextField } from '@mui/material';
import { useState } from 'react';
import { COATINGS, fryingPanSchema, GEAR_MATERIALS, steamerSchema, type FryingPan, type Steamer } from '@/core/kitchen';
import { Choice, NumberField, Say } from '../kit';
import { FormDialog } from './FormDialog';

/** A steamer: tiers, inside diameter, clear height, lid, pot and the water under its rack. */
export function SteamerForm({
  steamer,
  onClose,
  onKeep,
}: {
  steamer: Steamer | undefined;
  onClose: () => void;
  onKeep: (s: Steamer) => Promise<void>;
}) {
  const [id] = useState(() => steamer?.id ?? `own-${crypto.randomUUID().slice(0, 8)}`);
  const [d, setD] = useState({
    name: steamer?.name ?? '',
    tiers: steamer?.tiers ?? 1,
    innerMm: (steamer?.innerDiameterM ?? 0.28) * 1000,
    clearMm: (steamer?.clearHeightM ?? 0.1) * 1000,
    potMm: (steamer?.potDiameterM ?? 0.28) * 1000,
    waterMm: (steamer?.waterDepthM ?? 0.06) * 1000,
    lid: steamer?.lid ?? ('tight' as Steamer['lid']),
    pressureTempC: steamer?.pressureTempC,
  });
  const set = (change: Partial<typeof d>) => setD((x) => ({ ...x, ...change }));
  return (
    <FormDialog
      title={steamer?.name ?? 'Add a steamer'}
      schema={steamerSchema}
      onClose={onClose}
      onKeep={onKeep}
      draft={{
        id,
        name: d.name,
        tiers: d.tiers,
        innerDiameterM: d.innerMm / 1000,
        clearHeightM: d.clearMm / 1000,
        potDiameterM: d.potMm / 1000,
        waterDepthM: d.waterMm / 1000,
        lid: d.lid,
        pressureTempC: d.pressureTempC,
      }}
    >
      <TextField label="Name" value={d.name} onChange={(e) => set({ name: e.target.value.slice(0, 160) })} />
      <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <NumberField
          label="Tiers"
          value={d.tiers}
          min={1}
          max={6}
          whole
          decimals={0}
          width={100}
          onChange={(tiers) => set({ tiers })}
        />
        <NumberField
          label="Inside diameter"
          value={d.innerMm}
          min={80}
          max={900}
          unit="mm"
          width={160}
          onChange={(innerMm) => set({ innerMm })}
        />
        <NumberField
          label="Clear height"
          value={d.clearMm}
          min={20}
          max={500}
          unit="mm"
          width={150}
          onChange={(clearMm) => set({ clearMm })}
        />
        <NumberField
          label="Pot diameter"
          value={d.potMm}
          min={80}
          max={900}
          unit="mm"
          width={150}
          onChange={(potMm) => set({ potMm })}
        />
        <NumberField
          label="Pot floor to rack"
          value={d.waterMm}
          min={10}
          max={400}
          unit="mm"
          width={160}
          onChange={(waterMm) => set({ waterMm })}
        />
        <Choice
          label="Lid"
          value={d.lid}
          width={170}
          options={[
            { value: 'tight', words: 'tight' },
            { value: 'cloth', words: 'cloth-wrapped' },
            { value: 'woven', words: 'woven' },
            { value: 'loose', words: 'fits loosely' },
          ]}
          onChange={(lid) => set({ lid })}
        />
        <NumberField
          label="Pressure pot runs at"
          value={d.pressureTempC}
          min={105}
          max={116}
          unit="°C"
          width={190}
          onChange={(pressureTempC) => set({ pressureTempC })}
          onClear={() => set({ pressureTempC: undefined })}
          helper="leave empty for an open steamer"
        />
      </Stack>
      {d.pressureTempC === undefined ? null : (
        <Say tone="watch">{"Keep the maker's minimum water, use a trivet, and release as the maker says."}</Say>
      )}
    </FormDialog>
  );
}

/** A frying pan by its flat base. */
export function PanForm({
  pan,
  onClose,
  onKeep,
}: {
  pan: FryingPan | undefined;
  onClose: () => void;
  onKeep: (p: FryingPan) => Promise<void>;
}) {
  const [id] = useState(() => pan?.id ?? `own-${crypto.randomUUID().slice(0, 8)}`);
  const [d, setD] = useState({
    name: pan?.name ?? '',
    shape: pan?.shape ?? ('round' as FryingPan['shape']),
    aMm: (pan?.diameterM ?? 0.24) * 1000,
    bMm: (pan?.widthM ?? pan?.diameterM ?? 0.24) * 1000,
    coating: pan?.coating ?? ('bare' as FryingPan['coating']),
    material: pan?.material ?? ('steel' as FryingPan['material']),
    lid: pan?.lid ?? true,
  });
  const set = (change: Partial<typeof d>) => setD((x) => ({ ...x, ...change }));
  return (
    <FormDialog
      title={pan?.name ?? 'Add a frying pan'}
      schema={fryingPanSchema}
      onClose={onClose}
      onKeep={onKeep}
      draft={{
        id,
        name: d.name,
        shape: d.shape,
        diameterM: d.aMm / 1000,
        widthM: d.shape === 'round' ? undefined : d.bMm / 1000,
        coating: d.coating,
        material: d.material,
        lid: d.lid,
      }}
    >
      <TextField label="Name" value={d.name} onChange={(e) => set({ name: e.target.value.slice(0, 160) })} />
      <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Choice
          label="Base"
          value={d.shape}
          width={150}
          options={[
            { value: 'round', words: 'round' },
            { value: 'rectangular', words: 'rectangular' },
          ]}
          onChange={(shape) => set({ shape })}
        />
        <NumberField
          label="Across the base"
          value={d.aMm}
          min={80}
          max={600}
          unit="mm"
          width={160}
          onChange={(aMm) => set({ aMm })}
        />
        {d.shape === 'rectangular' ? (
          <NumberField
            label="Other side"
            value={d.bMm}
            min={80}
            max={600}
            unit="mm"
            width={150}
            onChange={(bMm) => set({ bMm })}
          />
        ) : null}
        <Choice
          label="Coating"
          value={d.coating}
          width={150}
          options={COATINGS.map((c) => ({ value: c, words: c }))}
          onChange={(coating) => set({ coating })}
        />
        <Choice
          label="Made of"
          value={d.material}
          width={150}
          options={GEAR_MATERIALS.map((m) => ({ value: m, words: m }))}
          onChange={(material) => set({ material })}
        />
        <Choice
          label="Lid"
          value={d.lid ? 'yes' : 'no'}
          width={120}
          options={[
            { value: 'yes', words: 'has one' },
            { value: 'no', words: 'none' },
          ]}
          onChange={(lid) => set({ lid: lid === 'yes' })}
        />
      </Stack>
    </FormDialog>
  );
}
