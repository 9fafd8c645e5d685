'use client';
import { useEffect, useRef, useState } from 'react';
import type { StampedEvent } from '@/core/work/notebook';
import { scaleG, type StepAmount, type WeighOut } from '@/core/steps';
import { sayGrams, sayWeighed, type TypedAmount } from '@/core/units';
import { Told } from '../kit';
import { Enter } from './Enter';
import presses from './presses.module.css';
import look from './stepLines.module.css';
import wording from './wording.module.css';
import type { Act } from './useAct';

export interface LinesProps {
  readonly stepId: string;
  readonly groups: readonly WeighOut[];
  readonly events: readonly StampedEvent[];
  /** Lines whose grams can be put right here. */
  readonly changeable: ReadonlySet<string>;
  /** Reads an amount of a line in the cook's own words. */
  readonly wordsOf: (line: string, dry: boolean) => ((text: string) => TypedAmount) | undefined;
  readonly act: Act;
}

const gramsOf = (a: StepAmount): string => sayWeighed(scaleG(a), a.fine);
/** What stands small beside it: what it becomes, where it is weighed dry. */
const noteOf = (a: StepAmount): string =>
  [a.note, a.dryG === undefined ? a.bought : `dry, for ${sayGrams(a.massG)} of it ready`]
    .filter((x) => x !== undefined)
    .join(', ');
/** What a line is called in its events: its plan line, else what it is. */
const lineOf = (a: StepAmount): string => a.line ?? a.name;

/** Lines of a step that are in the bowl. */
export function linesIn(stepId: string, events: readonly StampedEvent[]): ReadonlySet<string> {
  const done = new Set<string>();
  for (const e of events) {
    if (e.kind === 'line-ticked' && e.stepId === stepId) {
      if (e.done) done.add(e.line);
      else done.delete(e.line);
    } else if (e.kind === 'line-weighed' && e.stepId === stepId) done.add(e.line);
  }
  return done;
}

/** What goes in at a step, grams big, ticked one by one; what went in otherwise is written down beside it. */
export function StepLines({ stepId, groups, events, changeable, wordsOf, act }: LinesProps) {
  const [open, setOpen] = useState<{ line: string; how: 'weighed' | 'more' | 'left' } | undefined>(undefined);
  const done = linesIn(stepId, events);
  const lines = groups.flatMap((g) => g.amounts);
  const panel = useRef<HTMLDivElement>(null);
  // The answers lie over the foot of the page: what was opened is brought out from under them.
  useEffect(() => {
    if (open) panel.current?.scrollIntoView({ block: 'center' });
  }, [open]);
  const opened = lines.find((a) => lineOf(a) === open?.line);
  const take = (grams: number) => {
    if (!open || !opened) return;
    setOpen(undefined);
    // What is weighed dry is more of the line.
    const massG = (grams * opened.massG) / scaleG(opened);
    const of = { stepId, line: open.line, ofG: opened.massG };
    if (open.how === 'weighed') act({ kind: 'line-weighed', ...of, massG });
    else act({ kind: 'line-changed', ...of, byG: open.how === 'more' ? massG : -massG });
  };
  return (
    <>
      {groups.map((g) => (
        <section key={g.name} aria-label={g.name || 'What goes in'}>
          {groups.length > 1 ? (
            <h2 className={wording.group}>
              <Told>{`${g.name}, ${sayGrams(g.massG)}`}</Told>
            </h2>
          ) : null}
          <ul className={look.lines}>
            {g.amounts.map((a) => {
              const is = done.has(lineOf(a));
              const later = a.line === undefined;
              return (
                <li key={`${lineOf(a)} ${a.note ?? ''}`} className={look.line}>
                  <button
                    type="button"
                    role="checkbox"
                    aria-checked={is}
                    className={look.tick}
                    onClick={() => act({ kind: 'line-ticked', stepId, line: lineOf(a), done: !is })}
                  >
                    <span className={look.cup} aria-hidden />
                    <span>
                      {a.name}
                      {noteOf(a) ? (
                        <small>
                          <Told>{noteOf(a)}</Told>
                        </small>
                      ) : null}
                    </span>
                    <b>
                      <Told>{gramsOf(a)}</Told>
                    </b>
                  </button>
                  {!later && changeable.has(lineOf(a)) ? (
                    <button
                      type="button"
                      className={look.more}
                      aria-label={`Other amount of ${a.name}`}
                      aria-expanded={open?.line === lineOf(a)}
                      onClick={() =>
                        setOpen(open?.line === lineOf(a) ? undefined : { line: lineOf(a), how: 'weighed' })
                      }
                    >
                      ±
                    </button>
                  ) : null}
                </li>
              );
            })}
          </ul>
          {(g.lookAlikes ?? []).map((x) => (
            <p key={x} className={look.alike}>
              {x}
            </p>
          ))}
        </section>
      ))}
      {open && opened ? (
        <div ref={panel}>
          <div className={presses.answers} role="group" aria-label={`${opened.name}: how`}>
            {(
              [
                ['weighed', 'Weighed in all'],
                ['more', 'That much more'],
                ['left', 'That much left over'],
              ] as const
            ).map(([how, words]) => (
              <button
                key={how}
                type="button"
                className={presses.plain}
                aria-pressed={open.how === how}
                onClick={() => setOpen({ ...open, how })}
              >
                {words}
              </button>
            ))}
          </div>
          <Enter
            key={`${open.line} ${open.how}`}
            label={opened.name}
            unit="g"
            from={open.how === 'weighed' ? scaleG(opened) : undefined}
            min={0}
            max={open.how === 'left' ? scaleG(opened) : 50_000}
            words={wordsOf(open.line, opened.dryG !== undefined)}
            step={scaleG(opened) < 20 ? 0.5 : 5}
            take="Write it down"
            onTake={take}
            onLeave={() => setOpen(undefined)}
          />
        </div>
      ) : null}
    </>
  );
}
