'use client';
import { Box, ToggleButton, ToggleButtonGroup } from '@mui/material';
import { useCallback, useMemo, useState } from 'react';
import { isRaised } from '@/core/families';
import { coverIn, type Forecast } from '@/core/forecast';
import type { Plan } from '@/core/plan';
import { CutDrawing } from '../cut/CutDrawing';
import { SearDrawing } from '../sear/SearDrawing';
import { SectionDrawing } from '../section/SectionDrawing';
import { LAYER_COLOURS } from '../section/layerColours';
import { TimeScrubber, type TimeMark } from '../section/TimeScrubber';
import type { StationName } from './stations';

/** Cuts whose pieces are laid out by their width. */
const LAID_OUT: ReadonlySet<string> = new Set(['squares', 'rectangles', 'diamonds', 'batons', 'coins']);
const SEAR_COLOURS = { pale: '#EBD9A8', golden: '#D9A94E', deep: '#A8672A' } as const;

/** The one drawing that is always there: in section while it is mixed, steamed and rested; from above while it is cut; in the pan while it is seared. */
export function DrawingPane({
  forecast,
  station,
  edit,
}: {
  forecast: Forecast;
  station: StationName;
  edit: (key: string, change: (p: Plan) => Plan) => void;
}) {
  const { light, heat } = forecast;
  const { vessel, fryingPan, plan } = light.resolved;
  const cooling = station === 'rest' && heat?.rest !== undefined;
  const frames = cooling ? heat?.rest?.frames : heat?.steam?.frames;
  const maxS = frames ? frames.timesS[frames.timesS.length - 1] : 0;
  const times = heat?.steam?.times;
  const [share, setShare] = useState(0.5);
  const [playing, setPlaying] = useState(false);
  const [show, setShow] = useState<'heat' | 'set'>('heat');
  const onTime = useCallback((s: number) => setShare(maxS > 0 ? s / maxS : 0), [maxS]);
  const marks = useMemo((): TimeMark[] => {
    if (cooling && heat?.rest) {
      return [
        ...(heat.rest.unmouldAtS === undefined ? [] : [{ atS: heat.rest.unmouldAtS, words: 'leaves the pan' }]),
        ...(heat.rest.cutReadyAtS === undefined ? [] : [{ atS: heat.rest.cutReadyAtS, words: 'cuts clean' }]),
      ];
    }
    if (!times) return [];
    if (heat?.layers)
      return [
        ...heat.layers.pours.slice(1).map((p, i) => ({ atS: p.atS, words: `pour ${i + 2}` })),
        { atS: times.firstCleanPickS.value, words: 'set through' },
      ];
    return [
      { atS: times.checkAtS, words: 'check' },
      { atS: times.firstCleanPickS.value, words: 'first clean pick' },
      { atS: Math.min(maxS, times.planForS), words: times.standS > 0 ? 'fire off' : 'plan for' },
    ];
  }, [cooling, heat, times, maxS]);
  if (station === 'cut' && light.cut)
    return (
      <CutDrawing
        cut={light.cut}
        label={vessel.name}
        onSize={
          LAID_OUT.has(plan.cut?.shape ?? 'whole')
            ? (sizeM) =>
                edit('cut.drag', (p) => ({
                  ...p,
                  cut: {
                    shape: p.cut?.shape ?? 'squares',
                    by: {
                      kind: 'size',
                      sizeM,
                      ...(p.cut?.by.kind === 'size' && p.cut.by.otherM !== undefined
                        ? { otherM: p.cut.by.otherM }
                        : {}),
                    },
                  },
                }))
            : undefined
        }
      />
    );
  if (station === 'sear' && light.packing && plan.sear)
    return <SearDrawing pan={fryingPan} packing={light.packing} colour={SEAR_COLOURS[plan.sear.colour]} />;
  const layers = heat?.layers?.pours.map((p) => ({
    colour: LAYER_COLOURS[p.colour] ?? '#ddd',
    toM: p.toM,
    fromS: cooling ? 0 : p.atS,
  }));
  const timeS = share * maxS;
  // A raised cake is drawn as high as its heat was worked out: with its gas.
  const risenM = frames && isRaised(light.family) ? frames.depthM : undefined;
  return (
    <Box>
      <SectionDrawing
        vessel={vessel}
        depthM={risenM ?? light.fill.depthM}
        risen={risenM !== undefined}
        frames={frames}
        timeS={timeS}
        show={show}
        coldSpot={cooling ? undefined : heat?.steam?.coldSpot}
        foil={!cooling && coverIn(light).foil}
        pieceShare={light.balance.pieceVolumeShare}
        layers={layers}
        surroundings={cooling ? 'cooling' : 'steam'}
      />
      {frames ? (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
          <Box sx={{ flex: 1, minWidth: 0 }}>
            <TimeScrubber
              label={cooling ? 'Time cooling' : 'Time in the steam'}
              timeS={timeS}
              maxS={maxS}
              marks={marks}
              playing={playing}
              onTime={onTime}
              onPlay={setPlaying}
            />
          </Box>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={show}
            onChange={(_, v: 'heat' | 'set' | null) => {
              if (v) setShow(v);
            }}
            aria-label="What the drawing shows"
          >
            <ToggleButton value="heat" sx={{ py: 0.5, textTransform: 'none' }}>
              Heat
            </ToggleButton>
            <ToggleButton value="set" sx={{ py: 0.5, textTransform: 'none' }}>
              Set
            </ToggleButton>
          </ToggleButtonGroup>
        </Box>
      ) : null}
      {frames ? (
        <Box sx={{ fontSize: 12, color: 'text.secondary' }}>
          {show === 'heat'
            ? 'Milk white is cold, pea-flower blue is hot; dashed lines join equal temperatures.'
            : 'Green glass is set; inside the green line it is still soft.'}
          {times && times.firstCleanPickS.source === 'learned' && !cooling
            ? ' The clock is your steamer’s, as learned from your checks.'
            : ''}
        </Box>
      ) : null}
    </Box>
  );
}
