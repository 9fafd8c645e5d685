import { forecast, type Forecast } from '@/core/forecast';
import type { Kitchen } from '@/core/kitchen';
import { standing, type StampedEvent } from '@/core/work/notebook';
import type { Plan } from '@/core/plan';
import { scaleG } from '@/core/steps';
import { asCooked, courseOf, inSteam, steamedS, steamingOf } from '@/core/work/stove';
import { boilingPointC } from '@/core/units';

/** A batch as a device needs it. */
export interface AskedBatch {
  readonly snapshot: { readonly plan: Plan; readonly kitchen: Kitchen | null };
  readonly events: readonly StampedEvent[];
}

/** What the step in hand asks of the devices. */
export interface Ask {
  /** A line to be weighed out now. */
  readonly weigh: { readonly line: string; readonly targetG: number } | undefined;
  /** The probe is held in boiling water, at so many °C. */
  readonly boilC: number | undefined;
  /** The cake is in the steam: since so long, s, warming like this. */
  readonly steam: { readonly forS: number; readonly forecast: Forecast } | undefined;
  /** Where the knob stands. */
  readonly heat: 'off' | 'gentle' | 'medium' | 'strong';
}

/** Answers with what a batch asks of the devices at a moment; the forecast is kept as long as its plan stays. */
export function asker(kitchen: Kitchen): (batch: AskedBatch, nowMs: number) => Ask {
  let kept: { key: string; forecast: Forecast } | undefined;
  return ({ snapshot, events: all }, nowMs) => {
    const events = standing(all);
    const plan = asCooked(snapshot.plan, events);
    const key = JSON.stringify(plan);
    if (kept?.key !== key) {
      const made = forecast(plan, snapshot.kitchen ?? kitchen);
      if (!made.ok) throw new Error(made.problems[0]?.sentence);
      kept = { key, forecast: made.value };
    }
    const f = kept.forecast;
    const course = courseOf(f.steps, events, nowMs, 600);
    const step = course.now;
    const steaming = steamingOf(events);
    const boil = f.steps.find((s) => s.op === 'boil-up');
    const boiling = boil !== undefined && course.states.get(boil.id)?.is === 'waiting' && !steaming;
    const done = new Set(
      events.flatMap((e) => (e.kind === 'line-weighed' || (e.kind === 'line-ticked' && e.done) ? [e.line] : [])),
    );
    const next =
      step && step.op === 'weigh'
        ? f.weighOut.flatMap((g) => g.amounts).find((a) => a.line !== undefined && !done.has(a.line))
        : undefined;
    const turned = events.findLast((e) => e.kind === 'turned');
    const on = inSteam(events);
    return {
      weigh: next?.line === undefined ? undefined : { line: next.line, targetG: scaleG(next) },
      boilC: boiling ? boilingPointC(f.light.resolved.kitchen.altitudeM) : undefined,
      steam: on ? { forS: steamedS(on, nowMs), forecast: f } : undefined,
      heat: !on ? 'off' : turned?.kind === 'turned' ? turned.heat : f.light.resolved.plan.heat,
    };
  };
}
