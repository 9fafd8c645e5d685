'use client';
import { Box, Button, Paper, Snackbar, Stack } from '@mui/material';
import { useMemo, useState } from 'react';
import { familyOf } from '@/core/families';
import { thingNames } from '@/core/kitchen';
import type { KitchenState } from '@/db';
import { CutStation } from '../cut/CutStation';
import { NamesKept, PreviewProvider, Say, useKeys } from '../kit';
import { TextureBars } from '../mix/TextureBars';
import { MixStation } from '../mix/MixStation';
import { RestStation } from '../rest/RestStation';
import { SearStation } from '../sear/SearStation';
import { ServeStation } from '../serve/ServeStation';
import { SteamStation } from '../steam/SteamStation';
import { VesselStation } from '../vessel/VesselStation';
import { KitchenContext, useKitchenHand } from '../kitchen/useKitchen';
import type { PastBlend } from '@/db';
import { DrawingPane } from './DrawingPane';
import { PlanTitle } from './PlanTitle';
import { AdviceList } from './AdviceList';
import { StartedNote } from './StartedNote';
import { LeftDrafts } from './LeftDrafts';
import { StaleDialog } from './StaleDialog';
import { STATIONS, STATION_WORDS, type StationName } from './stations';
import { StationStrip } from './StationStrip';
import { useForecast } from './useForecast';
import { usePlanDocument, type StoredPlanDoc } from './usePlanDocument';

const PANELS = {
  mix: MixStation,
  vessel: VesselStation,
  steam: SteamStation,
  rest: RestStation,
  cut: CutStation,
  sear: SearStation,
  serve: ServeStation,
} as const;

/** The bench for one plan: the strip of stations, the drawing, and the chosen station beside it. */
export function PlanBench({
  stored,
  kitchen: initialKitchen,
  past,
}: {
  stored: StoredPlanDoc;
  kitchen: KitchenState;
  past: readonly PastBlend[];
}) {
  const hand = useKitchenHand(initialKitchen);
  const { kitchen } = hand;
  const doc = usePlanDocument(stored);
  const { forecast, problems, heating, heatTrouble, heatAgain } = useForecast(doc.plan, kitchen);
  const shared = forecast && { plan: doc.plan, forecast, kitchen, heating, past, edit: doc.edit };
  const r = forecast?.light.resolved;
  const inPlan = r ? [r.vessel, r.steamer, r.fryingPan, ...r.also.map((a) => a.vessel)] : [];
  const [station, setStation] = useState<StationName>('mix');
  const [error, setError] = useState<string | undefined>(undefined);
  const { undo, redo } = doc;
  useKeys(
    useMemo(() => Object.fromEntries(STATIONS.map((s, i) => [String(i + 1), () => setStation(s)])), []),
    useMemo(() => ({ '$mod+z': undo, '$mod+Shift+z': redo, '$mod+Shift+Z': redo }), [undo, redo]),
  );
  const family = familyOf(doc.plan.family);
  const Panel = PANELS[station];
  return (
    <KitchenContext value={hand}>
      <PreviewProvider value={doc.half}>
        <NamesKept names={[...thingNames(kitchen), ...inPlan.map((x) => x.name)]}>
          <PlanTitle
            id={stored.id}
            doc={doc}
            familyName={family.ok ? family.value.name : doc.plan.family}
            canCook={forecast !== undefined && problems.length === 0}
            onError={setError}
          />
          <div role="status">{doc.trouble ? <Say tone="watch">{doc.trouble}</Say> : null}</div>
          <LeftDrafts left={doc.left} onChoose={doc.takeLeft} />
          {heatTrouble ? (
            <Stack direction="row" spacing={1} sx={{ alignItems: 'center' }} role="alert">
              <Say tone="watch">{heatTrouble}</Say>
              <Button variant="outlined" onClick={heatAgain}>
                Work it out again
              </Button>
            </Stack>
          ) : null}
          {shared ? (
            <>
              <StationStrip forecast={shared.forecast} heating={heating} station={station} onStation={setStation} />
              <StartedNote id={stored.id} />
              <Box
                sx={{
                  display: 'grid',
                  gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 6fr) minmax(0, 7fr)' },
                  gap: 2,
                  mt: 1.5,
                  alignItems: 'start',
                }}
              >
                <Paper sx={{ p: 1.5, position: { md: 'sticky' }, top: 8, minWidth: 0 }}>
                  <DrawingPane forecast={shared.forecast} station={station} edit={doc.edit} />
                  {station === 'mix' ? (
                    <Box sx={{ mt: 1 }}>
                      <TextureBars texture={shared.forecast.light.texture} />
                    </Box>
                  ) : null}
                  <Box sx={{ mt: 1 }}>
                    <div role="status">
                      {[...problems, ...(shared.forecast.heat?.problems ?? [])].map((p) => (
                        <Say key={p.code + p.path} tone="stop">
                          {p.sentence}
                        </Say>
                      ))}
                    </div>
                    <AdviceList {...shared} />
                  </Box>
                </Paper>
                <Paper id="station" role="tabpanel" aria-labelledby={`tab-${station}`} sx={{ p: 1.75, minWidth: 0 }}>
                  <h2 className="unseen">{STATION_WORDS[station]}</h2>
                  <Panel {...shared} />
                </Paper>
              </Box>
            </>
          ) : (
            problems.map((p) => (
              <Say key={p.code + p.path} tone="stop">
                {p.sentence}
              </Say>
            ))
          )}
          <StaleDialog theirs={doc.theirs} mine={doc.plan} onChoose={doc.settle} />
          <Snackbar
            open={error !== undefined}
            message={error}
            autoHideDuration={8000}
            onClose={() => setError(undefined)}
          />
        </NamesKept>
      </PreviewProvider>
    </KitchenContext>
  );
}
