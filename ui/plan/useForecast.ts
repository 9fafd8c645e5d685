'use client';
import { startTransition, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { composeForecast, forecastLight, heatJobs, type Forecast, type HeatForecast } from '@/core/forecast';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import type { Problem } from '@/core/units';
import { corePool } from '@/workers/corePool';

export interface LiveForecast {
  readonly forecast: Forecast | undefined;
  readonly problems: readonly Problem[];
  /** True while the heat solver works on the plan as it stands. */
  readonly heating: boolean;
  /** Why the heat could not be worked out, after it was tried again by itself. */
  readonly heatTrouble: string | undefined;
  readonly heatAgain: () => void;
}

/** The heat starts once the typing pauses this long. */
const SETTLE_MS = 220;
/** So often it is tried again by itself, after so long, ms. */
const TRIES = 2;
const AGAIN_MS = 600;
/** Given up, it is tried anew this often, and at once when the device says that it is back, ms. */
const BACK_MS = 10_000;

/** Heat as it was worked out for a plan, named by its hash. */
interface Done {
  readonly hash: string;
  readonly heat: HeatForecast | undefined;
  readonly coarse: boolean;
}

/**
 * The plan's forecast as it is edited: everything light at once on the page, the heat from a worker as soon as it has it. While a hand is still
 * moving, and at the first look, a coarse heat comes first; the full one follows.
 * @param moving something is being dragged or typed and is not taken yet
 * @param settleMs the full heat starts once the plan has stood so long
 */
export function useForecast(plan: Plan, kitchen: Kitchen, moving = false, settleMs = SETTLE_MS): LiveForecast {
  const light = useMemo(() => forecastLight(plan, kitchen), [plan, kitchen]);
  // The heat is named by all that it depends on: a new name, note or guest neither computes nor restarts anything.
  const hash = useMemo(() => (light.ok ? heatJobs(light.value).hash : ''), [light]);
  const [done, setDone] = useState<Done | undefined>(undefined);
  // One coarse run at a time: the next takes up what the hand has come to by then.
  const [drafting, setDrafting] = useState(false);
  const [undrafted, setUndrafted] = useState<string | undefined>(undefined);
  const [failed, setFailed] = useState<{ hash: string; tries: number } | undefined>(undefined);
  /** The run under way. */
  const under = useRef<AbortController | undefined>(undefined);
  const asked = useRef({ plan, kitchen });
  useEffect(() => {
    asked.current = { plan, kitchen };
  }, [plan, kitchen]);
  useEffect(() => () => under.current?.abort(), []);
  // A newer run has the older one given up, so that the page never shows an answer to an older plan.
  const run = useCallback((hash: string, coarse: boolean, done: (d: Done) => void, failed: () => void) => {
    under.current?.abort();
    const mine = (under.current = new AbortController());
    const { plan: ofPlan, kitchen: inKitchen } = asked.current;
    void corePool()
      .run('heat', [ofPlan, inKitchen, coarse], { signal: mine.signal, urgent: true })
      .then(
        (heat) => (mine.signal.aborted ? undefined : done({ hash, heat, coarse })),
        () => (mine.signal.aborted ? undefined : failed()),
      );
  }, []);
  const known = done?.hash === hash && !done.coarse;
  const drafted = done?.hash === hash;
  const first = done === undefined;
  const tries = failed?.hash === hash ? failed.tries : 0;
  const gaveUp = tries > TRIES;
  const wantsDraft = (moving || first) && !drafted && !drafting && undrafted !== hash;
  useEffect(() => {
    if (!wantsDraft) return;
    // What is asked for is told once the page has drawn itself, so that the draw does not wait for it.
    const timer = setTimeout(() => {
      setDrafting(true);
      run(
        hash,
        true,
        // It gives way to the hand that moves on meanwhile.
        (d) =>
          startTransition(() => {
            setDone(d);
            setDrafting(false);
          }),
        () => {
          setUndrafted(hash);
          setDrafting(false);
        },
      );
    });
    return () => clearTimeout(timer);
  }, [hash, wantsDraft, run]);
  const waits = moving || (first && (wantsDraft || drafting));
  useEffect(() => {
    if (known || gaveUp || waits) return;
    const timer = setTimeout(
      () => run(hash, false, setDone, () => setFailed((f) => ({ hash, tries: (f?.hash === hash ? f.tries : 0) + 1 }))),
      tries > 0 ? AGAIN_MS * tries : settleMs,
    );
    return () => clearTimeout(timer);
  }, [hash, known, tries, gaveUp, waits, settleMs, run]);
  // What failed for want of the kitchen comes when it is back.
  useEffect(() => {
    if (!gaveUp || known) return;
    const again = () => setFailed(undefined);
    const timer = setInterval(again, BACK_MS);
    window.addEventListener('online', again);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', again);
    };
  }, [gaveUp, known]);
  const heat = done?.heat;
  const forecast = useMemo(() => (light.ok ? composeForecast(light.value, heat) : undefined), [light, heat]);
  return {
    forecast,
    problems: light.ok ? light.value.problems : light.problems,
    heating: !known,
    heatTrouble:
      gaveUp && !known
        ? 'The heat could not be worked out on this device; the minutes shown are not of this plan.'
        : undefined,
    heatAgain: useCallback(() => setFailed(undefined), []),
  };
}
