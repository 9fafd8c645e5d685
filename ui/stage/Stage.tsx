'use client';
import { useMemo, useState } from 'react';
import { wayOf } from '@/core/families';
import type { Forecast } from '@/core/forecast';
import type { CakeState, Life } from '@/core/work/timeline';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { inUnits, sayDuration, sayMm } from '@/core/units';
import { Toggle, useUnits } from '../kit';
import { useWidth } from '../kit/useWidth';
import { acrossOf } from '@/core/model/vessel';
import { CakeView } from './CakeView';
import { NARROW } from './narrow';
import { nextPans } from './nextPans';
import { PourEdge } from './PourEdge';
import { Sitting } from './Sitting';
import look from './stage.module.css';
import { overWater } from '@/core/stations/steam/cooking';

/** Most height of a vessel on the stage, px; on a narrow one. */
const MOST_Y = { wide: 160, narrow: 96 } as const;

/** Where it is while hands are at work on it. */
const PLACES = {
  mix: 'in the bowl',
  pour: 'in the pan',
  roll: 'on the board',
  cut: 'from above',
  plate: 'on the plate',
} as const;

/** What the cake is at a moment, with the time of its own clock. */
function stateWords(state: CakeState, f: Forecast): readonly [string, string] {
  switch (state.is) {
    case 'steam':
      return [sayDuration(state.timeS), 'into the steam'];
    case 'stand':
      return [sayDuration(state.timeS), 'since the steam, fire off'];
    case 'cool': {
      const stage = f.light.resolved.plan.cooling[state.stage];
      return [sayDuration(state.timeS), `cooling${stage ? `, ${stage.where.replace('-', ' ')}` : ''}`];
    }
    case 'bowl':
      return [sayDuration(state.forS), 'in its bowl'];
    case 'loads':
    case 'film':
      return [sayDuration(state.timeS), 'from the first one'];
    case 'pot':
      return [sayDuration(state.timeS), 'on the ring'];
    case 'sear':
      return [sayDuration(state.timeS), 'at the frying pan'];
    default:
      return [state.step.step.verb, PLACES[state.is]];
  }
}

/** The stage: where the cake sits, the cake itself as large as fits, and the pour scale at its edge. */
export function Stage({
  plan,
  forecast,
  kitchen,
  life,
  atS,
  state,
  heating,
  edit,
  children,
}: {
  plan: Plan;
  forecast: Forecast;
  kitchen: Kitchen;
  life: Life;
  atS: number;
  state: CakeState;
  heating: boolean;
  edit: (key: string, change: (p: Plan) => Plan) => void;
  /** What plays its life. */
  children?: React.ReactNode;
}) {
  const [show, setShow] = useState<'heat' | 'set'>('heat');
  // On a narrow page where it sits is folded away until it is asked for.
  const [around, setAround] = useState(false);
  const [cake, width] = useWidth<HTMLDivElement>(760);
  const units = useUnits();
  const { light, heat } = forecast;
  const steamed = wayOf(light.family).overSteam;
  const inSteam = state.is === 'steam' || state.is === 'stand' || state.is === 'loads';
  const [smaller, larger] = useMemo(() => nextPans(light, kitchen), [light, kitchen]);
  const [figure, words] = stateWords(state, forecast);
  const shaded = (inSteam || state.is === 'cool') && heat !== undefined;
  const to = (id: string) => edit('vessel', (p) => ({ ...p, vessel: id }));
  const inPan = state.is === 'pour' || state.is === 'steam' || state.is === 'stand' || state.is === 'cool';
  const caption = inPan
    ? inUnits(`${light.resolved.vessel.name}, ${sayMm(acrossOf(light.resolved.vessel))} across, to scale`, units)
    : '';
  const say = (x: { vessel: { name: string }; depthM: number }) =>
    inUnits(`${x.vessel.name}: ${sayMm(x.depthM)}`, units);
  return (
    <section
      className={look.stage}
      data-alone={steamed ? undefined : ''}
      data-around={around ? '' : undefined}
      aria-label="The cake on its stage"
    >
      {steamed ? (
        <Sitting
          plan={plan}
          forecast={forecast}
          kitchen={kitchen}
          timeS={state.is === 'steam' || state.is === 'stand' ? state.timeS : 0}
          inSteam={inSteam}
          edit={edit}
        />
      ) : null}
      <div className={look.cake} ref={cake}>
        <div className={look.caption}>
          {children}
          <span className={look.at}>{figure}</span>
          <span>{words}</span>
          {state.is === 'steam' && heat === undefined ? (
            <span>{heating ? 'working out the heat' : 'no heat to show: see what to mind'}</span>
          ) : null}
          {shaded ? (
            <span className={look.legend}>
              {show === 'heat' ? 'blue is hot, milk is cold' : 'green has set, inside the line it is soft'}
              {overWater(heat)?.times?.firstCleanPickS.source === 'learned' && state.is !== 'cool'
                ? '; your steamer’s clock, learned'
                : ''}
            </span>
          ) : null}
          <button type="button" className={look.fold} aria-expanded={around} onClick={() => setAround(!around)}>
            Where it sits
          </button>
          {shaded ? (
            <span className={look.toggle}>
              <Toggle
                label="What the drawing shows"
                value={show}
                options={[
                  { value: 'heat', words: 'Heat' },
                  { value: 'set', words: 'Set' },
                ]}
                onChange={setShow}
              />
            </span>
          ) : null}
        </div>
        <div className={heating && shaded ? look.stale : undefined}>
          <CakeView
            forecast={forecast}
            life={life}
            atS={atS}
            state={state}
            show={show}
            width={width}
            mostY={width < NARROW ? MOST_Y.narrow : MOST_Y.wide}
            edit={edit}
          />
        </div>
        <div className={look.pans}>
          {smaller && inPan ? (
            <button type="button" className={look.next} onClick={() => to(smaller.vessel.id)}>
              {`◂ ${say(smaller)}`}
            </button>
          ) : (
            <span />
          )}
          <span className={look.caption}>{caption}</span>
          {larger && inPan ? (
            <button type="button" className={look.next} onClick={() => to(larger.vessel.id)}>
              {`${say(larger)} ▸`}
            </button>
          ) : (
            <span />
          )}
        </div>
      </div>
      <PourEdge forecast={forecast} edit={edit} />
    </section>
  );
}
