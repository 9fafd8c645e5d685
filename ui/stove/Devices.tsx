'use client';
import { later } from '../kit/later';
import { useEffect } from 'react';
import { probeCheck } from '@/core/work/stove';
import type { Step } from '@/core/steps';
import { boilingPointC, sayC, sayDuration, sayGrams, Z80 } from '@/core/units';
import { Say, Told } from '../kit';
import look from './devices.module.css';
import presses from './presses.module.css';
import wording from './wording.module.css';
import type { Act } from './useAct';
import type { Cooking } from './useCooking';
import { useDevice, type WeighIn } from './useScale';

const ProbeCurve = later(() => import('./ProbeCurve').then((m) => m.ProbeCurve));

/** How far the pour is: a bar that fills to its mark. */
export function PourBar({ name, weigh }: { name: string; weigh: WeighIn }) {
  const { onG, targetG, gone, stable } = weigh;
  if (gone) return <Say tone="watch">The scale is silent: weigh by eye, or plug it in again.</Say>;
  const share = targetG > 0 ? onG / targetG : 0;
  const left = targetG - onG;
  return (
    <div className={look.pour}>
      <div
        role="progressbar"
        aria-label={`${name} on the scale`}
        aria-valuenow={Math.round(onG)}
        aria-valuemin={0}
        aria-valuemax={Math.round(targetG)}
        className={look.pourBar}
      >
        <span style={{ width: `${Math.min(100, Math.max(0, (100 / 1.15) * share))}%` }} data-over={share > 1.01} />
        <i />
      </div>
      <p>
        <b>
          <Told>{sayGrams(Math.max(0, onG))}</Told>
        </b>{' '}
        <Told>{`of ${sayGrams(targetG)} ${name.toLowerCase()}${left > 0.5 ? `, ${sayGrams(left)} to go` : ''}${stable ? '' : ' …'}`}</Told>{' '}
        <button type="button" className={presses.quiet} onClick={weigh.tare}>
          Tare
        </button>
      </p>
    </div>
  );
}

/** Steady within this of boiling, the probe is in boiling water, °C. */
const BOILING_C = 9;

/** What the probe says: in boiling water whether it can be trusted, in the cake its curve and how it moves the time. */
export function ProbeLine({ cooking, step, act }: { cooking: Cooking; step: Step; act: Act }) {
  const probe = useDevice('probe', cooking.nowMs);
  const { forecast, hand, readings, expected } = cooking;
  const { op } = step;
  const boilC = forecast ? boilingPointC(forecast.light.resolved.kitchen.altitudeM) : undefined;
  const checked = hand.events.findLast((e) => e.kind === 'probe-checked');
  const readC = probe?.reading.tempC;
  const boiling = op === 'boil-up' && boilC !== undefined && readC !== undefined && Math.abs(readC - boilC) < BOILING_C;
  const write = boiling && probe && !probe.gone && !checked && cooking.course.states.get(step.id)?.is === 'waiting';
  const at = probe?.reading.atMs;
  useEffect(() => {
    if (!write || boilC === undefined || readC === undefined) return;
    // Ten readings on, it has warmed through.
    const timer = setTimeout(
      () => act({ kind: 'probe-checked', readC, boilC }, undefined, `boil-${hand.batch.id}`.slice(0, 80)),
      2000,
    );
    return () => clearTimeout(timer);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [write]);
  if (op === 'boil-up' && (probe || checked)) {
    if (checked?.kind === 'probe-checked')
      return <p className={wording.look}>{probeCheck(checked.readC, checked.boilC).sentence}</p>;
    return <p className={wording.look}>Hold the probe in the boiling water: it is checked before it is believed.</p>;
  }
  if ((op !== 'steam' && op !== 'check') || (readings.length === 0 && !probe)) return null;
  const last = readings.at(-1);
  const before = readings.at(-4);
  const rate =
    last && before && last.timeS > before.timeS
      ? (60 * (last.tempC - before.tempC)) / (last.timeS - before.timeS)
      : undefined;
  return (
    <>
      {probe?.gone ? (
        <Say tone="watch">
          {`The probe is silent since ${sayDuration(Math.max(1, (cooking.nowMs - (at ?? cooking.nowMs)) / 1000))}: the forecast goes on with what it read before.`}
        </Say>
      ) : null}
      {cooking.outside ? (
        <Say tone="watch">The probe is not in the cake, by what it reads: it is left out of account.</Say>
      ) : null}
      {last ? (
        <p className={wording.look} data-testid="probe">
          <Told>{`Probe ${sayC(last.tempC)}${rate === undefined ? '' : `, ${rate.toFixed(1)} °C a minute up`}`}</Told>
          {expected
            ? `; by that clean at about ${sayDuration(expected.medianS)} (${sayDuration(expected.medianS * Math.exp(-Z80 * expected.sigma))} to ${sayDuration(expected.medianS * Math.exp(Z80 * expected.sigma))}).`
            : '.'}
        </p>
      ) : null}
      {readings.length > 1 ? <ProbeCurve cooking={cooking} /> : null}
    </>
  );
}
