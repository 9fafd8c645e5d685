'use client';
import { useState } from 'react';
import { z } from 'zod';
import { TEXTURE_AXES } from '@/core/model/batter';
import { signsFor } from '@/core/work/notebook';
import { AXIS_WORDS } from '../kit/TextureBars';
import { useHalf } from '../kit/useHalf';
import { tastedWords } from './eventWords';
import { sayOutcome, type Outcome } from './outbox';
import presses from './presses.module.css';
import look from './tasting.module.css';
import wording from './wording.module.css';
import type { BatchHand } from './useBatch';

const WORDS = ['less', 'right', 'more'] as const;
const halfSchema = z.object({
  overall: z.int().min(1).max(5).nullable(),
  axes: z.partialRecord(z.enum(TEXTURE_AXES), z.enum(WORDS)),
  sign: z.string().max(60).nullable().default(null),
  note: z.string().max(2000),
});
type Half = z.infer<typeof halfSchema>;
const NOTHING: Half = { overall: null, axes: {}, sign: null, note: '' };
const readHalf = (kept: unknown): Half | undefined => halfSchema.safeParse(kept).data;

export interface Tasting {
  /** What is chosen and not written down yet; kept in this window. */
  readonly half: Half;
  readonly setHalf: (half: Half) => void;
  /** Writes it down; undefined where there is no overall yet. */
  readonly send: () => Promise<Outcome | undefined>;
  readonly told: string | undefined;
}

/** A tasting under way. */
export function useTasting({ batch, record }: BatchHand): Tasting {
  const [half, setHalf, drop] = useHalf(`tasting/${batch.id}`, NOTHING, readHalf);
  const [told, setTold] = useState<string | undefined>(undefined);
  const send = async () => {
    const { overall, axes, sign, note } = half;
    if (overall === null) {
      setTold('Choose 1 to 5 first.');
      return undefined;
    }
    const outcome = await record({
      kind: 'tasted',
      overall,
      axes,
      note: note.trim(),
      ...(sign === null ? {} : { sign }),
    });
    setTold(sayOutcome(outcome, 'Written down.'));
    // What was refused stays in view, to be put right.
    if (outcome.how !== 'refused') drop();
    return outcome;
  };
  return { half, setHalf, send, told };
}

/** One press among some words; pressed again, none. */
function Presses<W extends string | number>({
  name,
  of,
  chosen,
  onChoose,
  className,
}: {
  name: string;
  of: readonly W[];
  chosen: W | null | undefined;
  onChoose: (word: W | undefined) => void;
  className: string | undefined;
}) {
  return (
    <div role="group" aria-label={name} className={className}>
      {of.map((w) => (
        <button
          key={w}
          type="button"
          className={presses.plain}
          aria-pressed={chosen === w}
          onClick={() => onChoose(chosen === w ? undefined : w)}
        >
          {w}
        </button>
      ))}
    </div>
  );
}

/** A fork in one hand: how good it was, less, right or more of each axis, the one thing that was seen of it, and words if wanted. */
export function TastingEntry({ hand, tasting }: { hand: BatchHand; tasting: Tasting }) {
  const { batch, events, record } = hand;
  const { half, setHalf, send, told } = tasting;
  const tasted = events.flatMap((e) => (e.kind === 'tasted' ? [e] : []));
  return (
    <section aria-label="How it eats" className={look.tasting}>
      <h2 className={wording.group}>How good was it, one to five?</h2>
      <Presses
        name="Overall, one to five"
        of={[1, 2, 3, 4, 5]}
        chosen={half.overall}
        onChoose={(n) => setHalf({ ...half, overall: n ?? null })}
        className={look.five}
      />
      <h2 className={wording.group}>Beside what you wanted</h2>
      <div className={look.axes}>
        {TEXTURE_AXES.map((axis) => (
          <div key={axis} className={look.axis}>
            <span>{AXIS_WORDS[axis]}</span>
            <Presses
              name={AXIS_WORDS[axis]}
              of={WORDS}
              chosen={half.axes[axis]}
              onChoose={(w) => setHalf({ ...half, axes: { ...half.axes, [axis]: w } })}
              className={look.three}
            />
          </div>
        ))}
      </div>
      <h2 className={wording.group}>What was wrong with it, if anything</h2>
      <Presses
        name="What was seen of it"
        of={signsFor(batch.snapshot.steps)}
        chosen={half.sign}
        onChoose={(sign) => setHalf({ ...half, sign: sign ?? null })}
        className={presses.answers}
      />
      <textarea
        className={look.note}
        aria-label="A few words"
        placeholder="A few words"
        rows={2}
        value={half.note}
        onChange={(e) => setHalf({ ...half, note: e.target.value.slice(0, 2000) })}
      />
      <button type="button" className={presses.plain} onClick={() => void send()}>
        Write the tasting down
      </button>
      <p className={wording.changed} role="status">
        {told}
      </p>
      {tasted.length > 0 ? (
        <>
          <p className={wording.look}>
            {tasted.length} {tasted.length === 1 ? 'tasting' : 'tastings'} in the notebook.
          </p>
          <ul aria-label="Tastings" className={look.tastings}>
            {tasted.map((t) => (
              <li key={t.key}>
                <span>{tastedWords(t)}</span>
                <button
                  type="button"
                  className={presses.quiet}
                  onClick={() => void record({ kind: 'taken-back', of: t.key })}
                >
                  Take back
                </button>
              </li>
            ))}
          </ul>
        </>
      ) : null}
    </section>
  );
}
