'use client';
import { useState } from 'react';
import type { Forecast } from '@/core/forecast';
import { HEATS, type Kitchen } from '@/core/kitchen';
import type { StampedEvent } from '@/core/work/notebook';
import type { Answer, Step } from '@/core/steps';
import { coolingNow, leftByLook, seasoningFor, whichPan } from '@/core/work/stove';
import { sayDuration, sayGrams, sayWater, there } from '@/core/units';
import { Told } from '../kit';
import { Enter } from './Enter';
import presses from './presses.module.css';
import type { Act } from './useAct';

type Entry = Extract<Answer, { kind: 'read' | 'top-up' | 'probe' }>;
/** What a value can be at all; the law of its node says it closer. */
const RANGE: Readonly<Record<string, readonly [number, number]>> = {
  g: [0, 50_000],
  ml: [0, 40_000],
  '°C': [-5, 105],
  mm: [0.3, 200],
};
const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

export interface AnswersProps {
  readonly step: Step;
  readonly forecast: Forecast | undefined;
  readonly rack: Kitchen['vessels'];
  readonly act: Act;
  /** How long the step's wait has run, s; undefined where none does. */
  readonly waitedS: number | undefined;
  /** The heat that is on. */
  readonly heat: string;
  /** Words that were answered here already. */
  readonly answered: ReadonlySet<string>;
  /** True where the last pick was not clean: then it is asked where. */
  readonly missed: boolean;
  /** True while the big press says that a layer is tacky. */
  readonly tackyAbove: boolean;
  readonly events: readonly StampedEvent[];
  readonly nowMs: number;
}

/** What may be answered at a step besides that it is done; a pick is answered with the big presses. */
export function StepAnswers({
  step,
  forecast,
  rack,
  act,
  waitedS,
  heat,
  answered,
  missed,
  tackyAbove,
  events,
  nowMs,
}: AnswersProps) {
  const [open, setOpen] = useState<Entry | 'turn' | undefined>(undefined);
  const [season, setSeason] = useState<Season | undefined>(undefined);
  const answers = (step.answers ?? []).filter(
    (a) =>
      a.kind !== 'pick' &&
      !(tackyAbove && a.kind === 'say' && a.words === 'tacky') &&
      (missed || a.kind !== 'say' || step.op !== 'check'),
  );
  if (answers.length === 0) return null;
  const press = (a: Answer) => {
    setSeason(undefined);
    switch (a.kind) {
      case 'say':
        setOpen(undefined);
        sayIt(a, step, waitedS, act);
        break;
      case 'taste': {
        setOpen(undefined);
        const found = forecast && seasoningFor(forecast.light, a.words, step.id);
        setSeason(found);
        act({ kind: 'said', stepId: step.id, words: a.words }, found?.sentence);
        break;
      }
      case 'turn':
        setOpen(open === 'turn' ? undefined : 'turn');
        break;
      case 'read':
      case 'top-up':
      case 'probe':
        setOpen(open === a ? undefined : a);
    }
  };
  const take = (value: number) => {
    if (open === undefined || open === 'turn') return;
    setOpen(undefined);
    if (open.kind === 'probe') act({ kind: 'probed', tempC: value }, coolingNow(events, value, nowMs));
    else if (open.kind === 'read')
      act(
        { kind: 'read', stepId: step.id, slot: open.slot, value },
        forecast && open.slot === 'depthMm' ? whichPan(forecast, value / 1000, rack) : undefined,
      );
    else act({ kind: 'topped-up', massG: value }, `${sayWater(value)} of water topped up.`);
  };
  const unit =
    open === undefined || open === 'turn' ? '' : open.kind === 'read' ? open.unit : open.kind === 'probe' ? '°C' : 'ml';
  return (
    <>
      <div className={presses.answers} role="group" aria-label="What you see">
        {answers.map((a) => (
          <button
            key={`${a.kind} ${a.words}`}
            type="button"
            className={presses.plain}
            aria-pressed={a.kind === 'say' || a.kind === 'taste' ? answered.has(a.words) : undefined}
            aria-expanded={
              a.kind === 'read' || a.kind === 'top-up' || a.kind === 'probe'
                ? open === a
                : a.kind === 'turn'
                  ? open === 'turn'
                  : undefined
            }
            onClick={() => press(a)}
          >
            {capital(a.words)}
            {a.kind === 'say' || a.kind === 'taste' ? '' : '…'}
          </button>
        ))}
      </div>
      {season && season.add.length > 0 ? (
        <SeasonPresses
          season={season}
          onPut={(x) => {
            setSeason({ ...season, add: season.add.filter((y) => y.line !== x.line) });
            act({ kind: 'line-changed', stepId: step.id, line: x.line, byG: x.massG, ofG: x.ofG });
          }}
        />
      ) : null}
      {open === 'turn' ? (
        <HeatPresses
          heat={heat}
          onTurn={(h) => {
            setOpen(undefined);
            act({ kind: 'turned', heat: h });
          }}
        />
      ) : open !== undefined ? (
        <Enter
          key={open.words}
          label={capital(open.words)}
          unit={unit}
          from={open.kind === 'read' ? open.expected : open.kind === 'top-up' ? open.expectedMl : undefined}
          min={there(RANGE[unit])[0]}
          max={open.kind === 'top-up' ? 20_000 : there(RANGE[unit])[1]}
          take="Write it down"
          onTake={take}
          onLeave={() => setOpen(undefined)}
        />
      ) : null}
    </>
  );
}

/** A look that was told: what follows of it, and at a ferment a timer for what is left. */
function sayIt(a: Extract<Answer, { kind: 'say' }>, step: Step, waitedS: number | undefined, act: Act): void {
  const leftS = a.progress !== undefined && waitedS !== undefined ? leftByLook(waitedS, a.progress) : undefined;
  const then =
    step.op !== 'ferment' || leftS === undefined
      ? (a.then ?? `${capital(a.words)}: go on.`)
      : leftS > 0
        ? `${capital(a.words)} after ${sayDuration(Math.max(1, waitedS ?? 0))}: about ${sayDuration(leftS)} more; a timer is set.`
        : `${capital(a.words)}: it is ready now.`;
  act({ kind: 'said', stepId: step.id, words: a.words }, then);
  if (step.op === 'ferment' && leftS !== undefined && leftS > 0)
    act(
      {
        kind: 'timer-set',
        timer: `look ${step.id} ${Math.round(waitedS ?? 0)}`,
        name: 'look at the batter',
        forS: leftS,
      },
      then,
    );
}

type Season = ReturnType<typeof seasoningFor>;

/** What to put in so that it tastes right, a press for each. */
const SeasonPresses = ({ season, onPut }: { season: Season; onPut: (x: Season['add'][number]) => void }) => (
  <div className={presses.answers}>
    {season.add.map((x) => (
      <button key={x.line} type="button" className={presses.plain} onClick={() => onPut(x)}>
        <Told>{`Put in: ${sayGrams(x.massG)} of ${x.name.toLowerCase()}`}</Told>
      </button>
    ))}
  </div>
);

/** To what the heat was turned. */
const HeatPresses = ({ heat, onTurn }: { heat: string; onTurn: (h: (typeof HEATS)[number] | 'off') => void }) => (
  <div className={presses.answers} role="group" aria-label="Heat turned to">
    {[...HEATS, 'off' as const].map((h) => (
      <button key={h} type="button" className={presses.plain} aria-pressed={heat === h} onClick={() => onTurn(h)}>
        {capital(h)}
      </button>
    ))}
  </div>
);
