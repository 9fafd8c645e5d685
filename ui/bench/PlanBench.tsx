'use client';
import { fetchLater, later } from '../kit/later';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { familyOf } from '@/core/families';
import { thingNames } from '@/core/kitchen';
import type { PackedKitchen } from '../kitchen/packed';
import { NamesKept, Press, PreviewProvider, Say, TryOnProvider, useKeys, useTell } from '../kit';
import { MixStation } from '../mix/MixStation';
import { KitchenContext, useKitchenHand } from '../kitchen/useKitchen';
import type { PastBlend } from '@/db';
import { STATION_WORDS, type StationName } from '../timeline/headline';
import { StageAndLife } from '../timeline/StageAndLife';
import { PlanTitle } from '../plan/PlanTitle';
import { isLeftToTake } from '../plan/keepTried';
import { MindProvider, useMindOf } from '../advice/useMind';
import { StartedNote } from '../plan/StartedNote';
import { useOnDevice } from '../kit/useOnDevice';
import { useForecast } from '../plan/useForecast';
import type { StoredPlanDoc } from '../plan/documentState';
import { usePlanDocument } from '../plan/usePlanDocument';
import look from './bench.module.css';
import { grounded } from '../kit/grounded';

const BenchSide = later(() => import('./BenchSide').then((m) => m.BenchSide));
const ToMind = later(() => import('../advice/ToMind').then((m) => m.ToMind));
const LeftDrafts = later(() => import('../plan/LeftDrafts'));
const StaleDialog = grounded(() => import('../plan/StaleDialog'));

/** The page has come to rest after so long, ms: then what it may still need is fetched. */
const AWAKE_MS = 1200;

/** The stations that a first look does not open. */
const LATER = {
  vessel: () => import('../vessel/VesselStation').then((m) => m.VesselStation),
  steam: () => import('../steam/SteamStation').then((m) => m.SteamStation),
  rest: () => import('../rest/RestStation').then((m) => m.RestStation),
  cut: () => import('../cut/CutStation').then((m) => m.CutStation),
  sear: () => import('../sear/SearStation').then((m) => m.SearStation),
  serve: () => import('../serve/ServeStation').then((m) => m.ServeStation),
};
const PANELS = {
  mix: MixStation,
  vessel: later(LATER.vessel),
  steam: later(LATER.steam),
  rest: later(LATER.rest),
  cut: later(LATER.cut),
  sear: later(LATER.sear),
  serve: later(LATER.serve),
} as const;

/** Those of a single key are the life line's. */
const NO_KEYS = {};

/** The bench for one plan: the stage, the life line under it, and the chosen station's part of the method beside what to mind. */
export function PlanBench({
  stored,
  kitchen: initialKitchen,
  past,
}: {
  stored: StoredPlanDoc;
  kitchen: PackedKitchen;
  past: readonly PastBlend[];
}) {
  const hand = useKitchenHand(initialKitchen);
  const { kitchen } = hand;
  const doc = usePlanDocument(stored);
  const { forecast, problems, heating, heatTrouble, heatAgain } = useForecast(
    doc.plan,
    kitchen,
    doc.moving,
    doc.trying ? 0 : undefined,
  );
  const mind = useMindOf(doc.taken, kitchen, forecast, problems, doc.moving, doc.trying);
  const { plan, edit, moving } = doc;
  const shared = useMemo(
    () => forecast && { plan, forecast, kitchen, heating, past, edit },
    [plan, forecast, kitchen, heating, past, edit],
  );
  // While a hand is moving, stage and life line go with it; sentences and what to mind follow as soon as there is time.
  const behind = useDeferredValue(shared);
  const below = moving ? behind : shared;
  const r = forecast?.light.resolved;
  const inPlan = r ? [r.vessel, r.steamer, r.fryingPan, ...r.also.map((a) => a.vessel)] : [];
  const [station, setStation] = useState<StationName>('mix');
  const tell = useTell();
  // The stage answers first; the sentences follow at once.
  const awake = useDeferredValue(useOnDevice());
  useEffect(() => {
    const timer = setTimeout(() => void fetchLater(), AWAKE_MS);
    return () => clearTimeout(timer);
  }, []);
  // A change that was tried elsewhere and is to be the plan.
  useEffect(() => {
    if (!isLeftToTake(stored.id)) return;
    void import('../plan/triedPlan').then(({ takeLeftPlan }) => {
      const left = takeLeftPlan(stored.id);
      if (left) edit('tried', () => left);
    });
  }, [stored.id, edit]);
  const { undo, redo } = doc;
  useKeys(
    NO_KEYS,
    useMemo(() => ({ '$mod+z': undo, '$mod+Shift+z': redo, '$mod+Shift+Z': redo }), [undo, redo]),
  );
  const family = familyOf(doc.plan.family);
  const Panel = PANELS[station];
  return (
    <KitchenContext value={hand}>
      <PreviewProvider value={doc.half}>
        <TryOnProvider value={doc.tryOn}>
          <MindProvider value={mind}>
            <NamesKept names={[...thingNames(kitchen), ...inPlan.map((x) => x.name)]}>
              <PlanTitle
                id={stored.id}
                doc={doc}
                familyName={family.ok ? family.value.name : doc.plan.family}
                canCook={forecast !== undefined && problems.length === 0}
                onError={(words) => tell({ words })}
              />
              <div role="status">
                {doc.trouble ? <Say tone="watch">{doc.trouble}</Say> : null}
                {doc.note ? <Say>{doc.note}</Say> : null}
              </div>
              {doc.left.length > 0 ? <LeftDrafts left={doc.left} onChoose={doc.takeLeft} /> : null}
              {heatTrouble ? (
                <div className={look.row} role="alert">
                  <Say tone="watch">{heatTrouble}</Say>
                  <Press onClick={heatAgain}>Work it out again</Press>
                </div>
              ) : null}
              <StartedNote id={stored.id} />
              {shared ? (
                <div className={look.bench}>
                  <StageAndLife {...shared} station={station} onStation={setStation} />
                  {/* Nothing here answers before the page is awake, so it is drawn then, and need not be sent twice. */}
                  {awake && below ? (
                    <>
                      <section id="station" role="tabpanel" aria-labelledby={`tab-${station}`} className={look.method}>
                        <h2 className="unseen">{STATION_WORDS[station]}</h2>
                        <Panel {...below} />
                      </section>
                      <div className={look.side}>
                        <BenchSide id={stored.id} taken={doc.taken} shown={below} />
                      </div>
                    </>
                  ) : null}
                </div>
              ) : (
                <section aria-label="To mind">
                  <ToMind edit={edit} />
                </section>
              )}
              {doc.theirs ? <StaleDialog theirs={doc.theirs} mine={doc.plan} onChoose={doc.settle} /> : null}
            </NamesKept>
          </MindProvider>
        </TryOnProvider>
      </PreviewProvider>
    </KitchenContext>
  );
}
