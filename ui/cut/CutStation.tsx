'use client';
import { CUT_SHAPES, sayGrams, there } from '@/core/units';
import { bladeCare, cutSvg } from '@/core/model/cut';
import type { Plan } from '@/core/plan';
import { Choice, Column, Fact, Facts, NumberField, Press, Row, SaidLine, Say, Soft } from '../kit';
import { Method } from '../method/Method';
import { WhyFact } from '../method/WhyFact';
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
export function CutStation(props: StationProps) {
  const { plan, forecast, edit } = props;
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
      <Column>
        <div>
          <Method {...props} station="cut" />
          <Press onClick={() => set('on', {})}>Plan the cutting</Press>
        </div>
      </Column>
    );
  const { shape } = plan.cut;
  const sized = shape !== 'whole';
  const twoSides = shape === 'rectangles' || shape === 'batons' || shape === 'squares';
  const size = (label: string, valueM: number, onChange: (mm: number) => void) => (
    <NumberField as="said" label={label} value={valueM * 1000} min={1} max={900} unit="mm" onChange={onChange} />
  );
  return (
    <Column>
      <div>
        <Method {...props} station="cut" />
        <SaidLine>
          Cut in{' '}
          <Choice
            as="said"
            label="Cut in"
            value={shape}
            options={CUT_SHAPES.map((s) => ({ value: s, words: SHAPE_WORDS[s] }))}
            onChange={(s) => set('shape', { shape: s })}
          />
          {sized ? (
            <>
              {' '}
              by{' '}
              <Choice
                as="said"
                label="By"
                value={by.kind}
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
              :{' '}
              {by.kind === 'count' ? (
                <NumberField
                  as="said"
                  label="Pieces a pan"
                  value={by.pieces}
                  min={1}
                  max={500}
                  whole
                  decimals={0}
                  unit="a pan"
                  onChange={(pieces) => set('pieces', { by: { kind: 'count', pieces } })}
                />
              ) : by.kind === 'size' ? (
                <>
                  {size(shape === 'coins' ? 'Cutter' : shape === 'folded' ? 'Strip' : 'Side', by.sizeM, (mm) =>
                    set('size', { by: { ...by, sizeM: mm / 1000 } }),
                  )}
                  {twoSides ? (
                    <>
                      {' '}
                      by{' '}
                      {size('Other side', by.otherM ?? by.sizeM, (mm) =>
                        set('other', { by: { ...by, otherM: mm / 1000 } }),
                      )}
                    </>
                  ) : null}
                </>
              ) : (
                <NumberField
                  as="said"
                  label="Grams a piece"
                  value={by.grams}
                  min={1}
                  max={5000}
                  unit="g"
                  onChange={(grams) => set('grams', { by: { kind: 'grams', grams } })}
                />
              )}
            </>
          ) : null}
          .
        </SaidLine>
      </div>
      {cut ? (
        <Facts>
          <WhyFact
            forecast={forecast}
            path="pieces"
            name="Pieces"
            note={plan.vesselCount > 1 ? `${cut.count} a pan` : undefined}
          >
            {cut.count * plan.vesselCount}
          </WhyFact>
          <WhyFact
            forecast={forecast}
            path="cut.gramsAPiece"
            name="Each"
            note={cut.gramsAPiece > 0 ? `${(light.serves.gramsAHead / cut.gramsAPiece).toFixed(1)} a head` : undefined}
          >
            {sayGrams(cut.gramsAPiece)}
          </WhyFact>
          <Fact name="Piece">{`${Math.round(cut.pitchM[0] * 1000)} by ${Math.round(cut.pitchM[1] * 1000)} mm`}</Fact>
          <WhyFact forecast={forecast} path="cut.offcutPct" name="Offcuts">
            {cut.offcutPct.toFixed(0)} %
          </WhyFact>
          <WhyFact forecast={forecast} path="cut.largestToSmallest" name="Largest ÷ smallest">
            {cut.largestToSmallest.toFixed(2)}
          </WhyFact>
        </Facts>
      ) : null}
      {cut?.problems.map((p) => (
        <Say key={p.code} tone="stop">
          {p.sentence}
        </Say>
      ))}
      {cut ? <Soft>{cut.order}</Soft> : null}
      <Say>
        {bladeCare(
          light.texture.sticky,
          there(light.balance.batters[0]).starchShares.tapioca ?? 0,
          plan.addIns.length > 0,
        )}{' '}
        One millimetre goes to each cut. {light.family.cutC <= COLD_CUT_C ? 'Cut it cold.' : 'Cut it once it is cool.'}
      </Say>
      <Row>
        {cut && cut.count > 0 ? (
          <Press
            onClick={() =>
              saveText(
                `${plan.name.replace(/[^\p{L}\p{N}]+/gu, '-').slice(0, 60)}-cut.svg`,
                cutSvg(cut, plan.name),
                'image/svg+xml',
              )
            }
          >
            Save the cut lines at true scale (SVG)
          </Press>
        ) : null}
        <Press quiet onClick={() => edit('cut.off', (p) => ({ ...p, cut: undefined }))}>
          Leave whole
        </Press>
      </Row>
    </Column>
  );
}
