import { CUT_SHAPES } from '@/core/units';
import type { CutPlan } from '@/core/model/cut';
import type { CutInForce, Plan } from '@/core/plan';
import { SaidChoice, SaidLine, SaidNumber } from '../kit';

export type Cut = NonNullable<Plan['cut']>;
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

/** In what shape, by count, size or grams: a sentence in which each is chosen. */
export function CutSaid({
  wanted: { shape, by },
  inForce,
  cut,
  set,
}: {
  wanted: Cut;
  /** The same with both sides of a piece told. */
  inForce: CutInForce | undefined;
  cut: CutPlan | undefined;
  set: (key: string, change: Partial<Cut>) => void;
}) {
  const otherM = inForce?.by.kind === 'size' ? inForce.by.otherM : 0;
  const sized = shape !== 'whole';
  const twoSides = shape === 'rectangles' || shape === 'batons' || shape === 'squares';
  const size = (label: string, valueM: number, onChange: (mm: number) => void) => (
    <SaidNumber label={label} value={valueM * 1000} min={1} max={900} unit="mm" onChange={onChange} />
  );
  return (
    <SaidLine>
      Cut in{' '}
      <SaidChoice
        label="Cut in"
        value={shape}
        options={CUT_SHAPES.map((s) => ({ value: s, words: SHAPE_WORDS[s] }))}
        onChange={(s) => set('shape', { shape: s })}
      />
      {sized ? (
        <>
          {' '}
          by{' '}
          <SaidChoice
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
            <SaidNumber
              label="Pieces a pan"
              value={by.pieces}
              min={1}
              max={500}
              whole
              unit="a pan"
              onChange={(pieces) => set('pieces', { by: { kind: 'count', pieces } })}
            />
          ) : by.kind === 'size' ? (
            <>
              {size(shape === 'coins' ? 'Cutter' : shape === 'folded' ? 'Strip' : 'Side', by.sizeM, (mm) =>
                set('size', { by: { ...by, sizeM: mm / 1000 } }),
              )}
              {twoSides ? (
                <> by {size('Other side', otherM, (mm) => set('other', { by: { ...by, otherM: mm / 1000 } }))}</>
              ) : null}
            </>
          ) : (
            <SaidNumber
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
  );
}
