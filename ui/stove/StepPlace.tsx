'use client';
import { there } from '@/core/units';
import { traitsOf } from '@/core/flow';
import { wayOf } from '@/core/families';
import type { Forecast } from '@/core/forecast';
import { coverIn, layerBatters } from '@/core/forecast';
import type { Step } from '@/core/steps';
import { SectionDrawing } from '../section/SectionDrawing';
import { LAYER_COLOURS } from '../section/layerColours';
import look from './stepPlace.module.css';
import { overWater, stackIn } from '@/core/stations/steam/cooking';

/** Steps at which a place in the cake matters: how deep, where the pick goes, how far it has set or cooled. */
/** The drawing moves on this often, s. */
const EVERY_S = 10;

/** The cake in section as it is now, where a step speaks of a place in it. */
export function StepPlace({
  step,
  forecast,
  inSteamS,
  cooledS,
}: {
  step: Step;
  forecast: Forecast;
  inSteamS: number | undefined;
  cooledS: number;
}) {
  const { op } = step;
  // Layers that went on earlier or later by touch are drawn as they went on.
  const poured = step.timeline?.filter((m) => m.turn?.is === 'pour').map((m) => m.atS);
  const { light, heat } = forecast;
  if (!traitsOf(op).inPan || light.fill.depthM <= 0 || wayOf(light.family).into === 'film') return null;
  const cooling = op === 'cool';
  const batters = layerBatters(light);
  const frames = cooling ? heat?.rest?.frames : overWater(heat)?.frames;
  const before = traitsOf(op).shows === 'pour';
  const timeS = Math.floor((cooling ? cooledS : before ? 0 : (inSteamS ?? 0)) / EVERY_S) * EVERY_S;
  return (
    <div className={look.drawing}>
      <SectionDrawing
        vessel={light.resolved.vessel}
        depthM={light.fill.depthM}
        frames={before ? undefined : frames}
        timeS={timeS}
        show="set"
        pick={op === 'check'}
        coldSpot={cooling || before ? undefined : overWater(heat)?.coldSpot}
        foil={!cooling && coverIn(light).foil}
        pieceShare={light.balance.pieceVolumeShare}
        surroundings={cooling || before ? 'cooling' : 'steam'}
        layers={stackIn(heat)?.pours.map((p, i) => ({
          colour: LAYER_COLOURS[there(batters[p.batter]).colour] ?? '#ddd',
          toM: p.toM,
          fromS: before ? Infinity : cooling ? 0 : (poured?.[i] ?? p.atS),
        }))}
      />
    </div>
  );
}
