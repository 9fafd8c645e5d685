'use client';
import { Button, Stack, Typography } from '@mui/material';
import { sayGrams } from '@/core/units';
import { bladeCare, cutSvg } from '@/core/cut';
import { CUT_SHAPES, type Plan } from '@/core/plan';
import { Choice, Fact, NumberField, Say } from '../kit';
import type { StationProps } from '../plan/StationProps';

type Cut = NonNullable<Plan['cut']>;
const SHAPE_WORDS: Readonly<Record<Cut['shape'], string>> = {
  squares: 'squares',
  rectangles: 'slices',
  diamonds: 'diamonds',
  batons: 'batons',
  wedges: 'wedges',
  coins: 'coins',
  folded: 'folded sheets',
  whole: 'whole',
};
const COLD_CUT_C = 12;

/** Saves text as a file from the page. */
function saveText(name: string, text: string, type: string) {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const a = document.createElement('a');
  a.href = url;
  a.download = name;
  a.click();
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}

/** Cut: shape, by count, size or grams, on the real outline. */
export function CutStation({ plan, forecast, edit }: StationProps) {
  const { light } = forecast;
  const cut = light.cut;
  const set = (key: string, change: Partial<Cut>) =>
    edit(`cut.${key}`, (p) => ({
      ...p,
      cut: { shape: 'squares', by: { kind: 'count', pieces: 16 }, ...p.cut, ...change },
    }));
  const by = plan.cut?.by;
  if (!plan.cut || !by)
    return (
      <Button variant="outlined" onClick={() => set('on', {})}>
        Plan the cutting
      </Button>
    );
  const { shape } = plan.cut;
  const sized = shape !== 'whole';
  const twoSides = shape === 'rectangles' || shape === 'batons' || shape === 'squares';
  return (
    <Stack spacing={2}>
      <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Choice
          label="Cut in"
          value={shape}
          width={150}
          options={CUT_SHAPES.map((s) => ({ value: s, words: SHAPE_WORDS[s] }))}
          onChange={(s) => set('shape', { shape: s })}
        />
        {sized ? (
          <Choice
            label="By"
            value={by.kind}
            width={120}
            options={[
              { value: 'count', words: 'pieces' },
              { value: 'size', words: 'size' },
              { value: 'grams', words: 'grams' },
            ]}
            onChange={(kind) =>
              set('kind', {
                by:
                  kind === 'count'
                    ? { kind, pieces: cut?.count || 16 }
                    : kind === 'size'
                      ? { kind, sizeM: 0.05 }
                      : { kind, grams: Math.max(10, Math.round(cut?.gramsAPiece ?? 50)) },
              })
            }
          />
        ) : null}
        {sized && by.kind === 'count' ? (
          <NumberField
            label="Pieces a pan"
            value={by.pieces}
            min={1}
            max={500}
            whole
            decimals={0}
            width={120}
            onChange={(pieces) => set('pieces', { by: { kind: 'count', pieces } })}
          />
        ) : null}
        {sized && by.kind === 'size' ? (
          <NumberField
            label={shape === 'coins' ? 'Cutter' : shape === 'folded' ? 'Strip' : 'Side'}
            value={by.sizeM * 1000}
            min={1}
            max={900}
            unit="mm"
            width={120}
            onChange={(mm) => set('size', { by: { ...by, sizeM: mm / 1000 } })}
          />
        ) : null}
        {sized && twoSides && by.kind === 'size' ? (
          <NumberField
            label="Other side"
            value={(by.otherM ?? by.sizeM) * 1000}
            min={1}
            max={900}
            unit="mm"
            width={130}
            onChange={(mm) => set('other', { by: { ...by, otherM: mm / 1000 } })}
          />
        ) : null}
        {sized && by.kind === 'grams' ? (
          <NumberField
            label="Grams a piece"
            value={by.grams}
            min={1}
            max={5000}
            unit="g"
            width={140}
            onChange={(grams) => set('grams', { by: { kind: 'grams', grams } })}
          />
        ) : null}
      </Stack>
      {cut ? (
        <Stack direction="row" spacing={3} useFlexGap sx={{ flexWrap: 'wrap' }}>
          <Fact name="Pieces" note={plan.vesselCount > 1 ? `${cut.count} a pan` : undefined}>
            {cut.count * plan.vesselCount}
          </Fact>
          <Fact
            name="Each"
            note={cut.gramsAPiece > 0 ? `${(light.serves.gramsAHead / cut.gramsAPiece).toFixed(1)} a head` : undefined}
          >
            {sayGrams(cut.gramsAPiece)}
          </Fact>
          <Fact name="Piece">
            {Math.round(cut.pitchM[0] * 1000)} × {Math.round(cut.pitchM[1] * 1000)} mm
          </Fact>
          <Fact name="Offcuts">{cut.offcutPct.toFixed(0)} %</Fact>
          <Fact name="Largest ÷ smallest">{cut.largestToSmallest.toFixed(2)}</Fact>
        </Stack>
      ) : null}
      {cut?.problems.map((p) => (
        <Say key={p.code} tone="stop">
          {p.sentence}
        </Say>
      ))}
      {cut ? <Typography>{cut.order}</Typography> : null}
      <Say>
        {bladeCare(light.texture.sticky, light.balance.batters[0].starchShares.tapioca ?? 0, plan.addIns.length > 0)}{' '}
        One millimetre goes to each cut. {light.family.cutC <= COLD_CUT_C ? 'Cut it cold.' : 'Cut it once it is cool.'}
      </Say>
      {cut && cut.count > 0 ? (
        <Button
          variant="outlined"
          sx={{ alignSelf: 'flex-start' }}
          onClick={() =>
            saveText(
              `${plan.name.replace(/[^\p{L}\p{N}]+/gu, '-').slice(0, 60)}-cut.svg`,
              cutSvg(cut, plan.name),
              'image/svg+xml',
            )
          }
        >
          Save the cut lines at true scale (SVG)
        </Button>
      ) : null}
      <Button sx={{ alignSelf: 'flex-start' }} onClick={() => edit('cut.off', (p) => ({ ...p, cut: undefined }))}>
        Leave whole
      </Button>
    </Stack>
  );
}
