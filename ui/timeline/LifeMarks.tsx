import { sayClock, type Fold, type FoldScale, type Life, type LifeMark } from '@/core/work/timeline';
import { inUnits, sayDuration } from '@/core/units';
import { useUnits } from '../kit';
import { markText, type PlacedMark } from './markRows';
import { pct } from './Segment';
import look from './life.module.css';

/** Where the needle stands, what the two hatches mean, what is folded, and how long it all is; on the side where the needle is not. */
export const LifeFoot = ({
  atS,
  right,
  folds,
  spanS,
}: {
  atS: number;
  right: boolean;
  folds: readonly Fold[];
  spanS: number;
}) => (
  <div className={look.foot} data-side={right ? 'left' : undefined}>
    <span>{sayClock(atS)}</span>
    <span className={look.key}>
      <i className={look.hands} /> hands
    </span>
    <span className={look.key}>
      <i className={look.waits} /> waiting
    </span>
    {folds.length > 0 ? (
      <span className={look.folded}>{`folded: ${folds.map((f) => sayDuration(f.toS - f.fromS)).join(', ')}`}</span>
    ) : null}
    <span className={look.total}>{`${sayDuration(spanS)} in all`}</span>
  </div>
);

/** The moments that matter as lines over the ribbon: the band of clean picks, the folds of the night. */
export function MarkLines({ life, scale }: { life: Life; scale: FoldScale }) {
  const clean = life.marks.find((m) => m.kind === 'clean');
  return (
    <>
      {clean ? (
        <div
          className={look.band}
          style={{
            left: pct(scale.toX(clean.atS)),
            width: pct(Math.max(0.002, scale.toX(clean.toS ?? clean.atS) - scale.toX(clean.atS))),
          }}
        />
      ) : null}
      {life.marks.map((m) =>
        m.kind === 'clean' ? null : (
          <div key={m.kind + m.atS} className={look.line} data-kind={m.kind} style={{ left: pct(scale.toX(m.atS)) }} />
        ),
      )}
      {scale.folds.map((f) => (
        <svg key={f.fromS} className={look.fold} style={{ left: pct(f.at) }} viewBox="0 0 12 24" aria-hidden>
          <path d="M5,0l5,6l-8,6l8,6l-5,6" />
          <path d="M5,0l5,6l-8,6l8,6l-5,6" />
        </svg>
      ))}
    </>
  );
}

/** The same in words under it, each leading to its moment. */
export function MarkWords({
  under,
  life,
  onAt,
}: {
  under: readonly PlacedMark[];
  life: Life;
  onAt: (atS: number) => void;
}) {
  const units = useUnits();
  const say = (m: LifeMark) => inUnits(`${m.words} ${m.minutes}${m.atS > life.spanS ? ' ▸' : ''}`, units);
  return (
    <div className={look.under} data-rows={1 + under.reduce((most, u) => Math.max(most, u.row), 0)}>
      {under.map(({ mark, at, row }) => (
        <button
          key={mark.kind + mark.atS}
          type="button"
          className={look.mark}
          style={{ left: at, top: 3 + 25 * row }}
          aria-label={mark.kind === 'pour' ? say(mark) : undefined}
          title={mark.kind === 'pour' ? say(mark) : undefined}
          onClick={() => onAt(mark.atS)}
        >
          {mark.kind === 'pour' ? markText(mark) : say(mark)}
        </button>
      ))}
    </div>
  );
}
