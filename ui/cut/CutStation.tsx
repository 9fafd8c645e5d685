'use client';
import { Button, Stack } from '@mui/material';
import { sayGrams } from '@/core/units';
import { bladeCare } from '@/core/cut';
import type { Plan } from '@/core/plan';
import { Choice, Fact, NumberField, Say } from '../kit';
import type { StationProps } from '../plan/StationProps';

type By = NonNullable<Plan['cut']>['by'];

/** Cut: by count, size or grams, on the real outline. */
export function CutStation({ plan, forecast, edit }: StationProps) {
  const cut = forecast.light.cut;
  const set = (key: string, by: By) => edit(`cut.${key}`, (p) => ({ ...p, cut: { shape: p.cut?.shape ?? 'squares', by } }));
  const by = plan.cut?.by;
  if (!plan.cut || !by) return <Button variant="outlined" onClick={() => set('on', { kind: 'count', pieces: 16 })}>Plan the cutting</Button>;
  return (
    <Stack spacing={2}>
      <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Choice label="Cut by" value={by.kind} width={140} options={[{ value: 'count', words: 'pieces' }, { value: 'size', words: 'size' }, { value: 'grams', words: 'grams' }]} onChange={(kind) => set('kind', kind === 'count' ? { kind, pieces: cut?.count || 16 } : kind === 'size' ? { kind, sizeM: 0.05 } : { kind, grams: Math.max(10, Math.round(cut?.gramsAPiece ?? 50)) })} />
        {by.kind === 'count' ? <NumberField label="Pieces a pan" value={by.pieces} min={1} max={500} whole decimals={0} width={120} onChange={(pieces) => set('pieces', { kind: 'count', pieces })} /> : null}
        {by.kind === 'size' ? <NumberField label="Side" value={by.sizeM * 1000} min={1} max={900} unit="mm" width={120} onChange={(mm) => set('size', { ...by, sizeM: mm / 1000 })} /> : null}
        {by.kind === 'size' ? <NumberField label="Other side" value={(by.otherM ?? by.sizeM) * 1000} min={1} max={900} unit="mm" width={130} onChange={(mm) => set('other', { ...by, otherM: mm / 1000 })} /> : null}
        {by.kind === 'grams' ? <NumberField label="Grams a piece" value={by.grams} min={1} max={5000} unit="g" width={140} onChange={(grams) => set('grams', { kind: 'grams', grams })} /> : null}
        <Button onClick={() => edit('cut.off', (p) => ({ ...p, cut: undefined }))}>Leave whole</Button>
      </Stack>
      {cut ? (
        <Stack direction="row" spacing={3} useFlexGap sx={{ flexWrap: 'wrap' }}>
          <Fact name="Pieces" note={plan.vesselCount > 1 ? `${cut.count} a pan` : undefined}>{cut.count * plan.vesselCount}</Fact>
          <Fact name="Each">{sayGrams(cut.gramsAPiece)}</Fact>
          <Fact name="Piece">{Math.round(cut.pitchM[0] * 1000)} × {Math.round(cut.pitchM[1] * 1000)} mm</Fact>
          <Fact name="Offcuts">{cut.offcutPct.toFixed(0)} %</Fact>
          <Fact name="Largest ÷ smallest">{cut.largestToSmallest.toFixed(2)}</Fact>
        </Stack>
      ) : null}
      {cut?.problems.map((p) => <Say key={p.code} tone="stop">{p.sentence}</Say>)}
      <Say>{bladeCare(forecast.light.texture.sticky, forecast.light.balance.batters[0].starchShares.tapioca ?? 0, plan.addIns.length > 0)} One millimetre goes to each cut.</Say>
    </Stack>
  );
}
