'use client';
import type { Forecast } from '@/core/forecast';
import { coverIn } from '@/core/forecast';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { inUnits, sayDuration, sayWater } from '@/core/units';
import { useUnits } from '../kit';
import { drawn, path } from '../kit/scales';
import { useWidth } from '../kit/useWidth';
import { sayScale } from '../section/sectionFrame';
import { DialHandle } from './DialHandle';
import { Pans, Steamer } from './SittingParts';
import { SittingPicks } from './SittingPicks';
import { lidWords, sittingFrame } from './sittingFrame';
import look from './stage.module.css';
import { overWater } from '@/core/stations/steam/cooking';

/** Where the cake sits: hob and dial, water and its level, rack, tiers, pans, lid and guard, to scale; each part is pressed to change it. */
export function Sitting({
  plan,
  forecast,
  kitchen,
  timeS,
  inSteam,
  edit,
  mostY = 250,
}: {
  plan: Plan;
  forecast: Forecast;
  kitchen: Kitchen;
  timeS: number;
  inSteam: boolean;
  edit: (key: string, change: (p: Plan) => Plan) => void;
  mostY?: number;
}) {
  const [place, width] = useWidth<HTMLDivElement>(280);
  const units = useUnits();
  const { light, heat } = forecast;
  const { steamer, vessel, ring } = light.resolved;
  const f = sittingFrame(light, heat, inSteam ? timeS : 0, width, mostY);
  const cover = coverIn(light);
  const { cx, pot } = f;
  const water = overWater(heat)?.water;
  const mark = ring.marks[plan.heat];
  const lasts = water ? `lasts ${sayDuration(water.lastsS)}` : '';
  const words = inUnits(
    `${steamer.name} on ${ring.name.toLowerCase()}, ${plan.heat} heat, ${sayWater(f.waterMl)} of water in it, ${lidWords(light)}; ${f.pans.length > 1 ? `${f.pans.length} side by side of ` : ''}${vessel.name}.`,
    units,
  );
  const phases = plan.heatPhases.length > 0;
  return (
    <div className={look.place} data-elsewhere={inSteam ? undefined : ''}>
      <div className={look.place} ref={place}>
        <svg
          viewBox={`0 0 ${f.width} ${drawn(f.height)}`}
          width="100%"
          role="group"
          aria-label={`Where it sits, to scale: ${words}`}
          data-part="sitting"
        >
          <Steamer frame={f} cover={cover} />
          <Pans frame={f} cover={cover} />
          {inSteam ? (
            <path
              d={[-0.5, 0, 0.5].map((u) => path`M${cx + u * pot.half},${f.waterY - 4}c-5,-6 5,-9 0,-15`).join('')}
              fill="none"
              stroke="var(--steam)"
              strokeWidth="1.3"
              opacity="0.6"
            />
          ) : null}
          <path
            d={path`M${cx - pot.half - 14},${f.hobY + 3}H${cx + pot.half + 14}`}
            stroke="var(--ink)"
            strokeWidth="3"
          />
          {phases ? null : (
            <DialHandle
              x={drawn(cx - 34)}
              y={drawn(f.hobY + 25)}
              heat={plan.heat}
              words={mark === undefined ? plan.heat : `${plan.heat}, at ${mark}`}
              edit={edit}
            />
          )}
          <text x={drawn(cx - 12)} y={drawn(f.hobY + 22)} fontSize="14" fontWeight="600" fill="var(--ink)">
            {phases ? 'changes on the way' : mark === undefined ? plan.heat : `${plan.heat}, at ${mark}`}
          </text>
          <text x={drawn(cx - 12)} y={drawn(f.hobY + 38)} fontSize="12" fill="var(--soft)">
            {heat ? `${(heat.powerW.value / 1000).toFixed(2)} kW into the steam` : ring.name}
          </text>
          <text
            x={drawn(cx)}
            y={drawn(Math.min(f.hobY - 6, f.waterY + 18))}
            fontSize="12.5"
            textAnchor="middle"
            fill="var(--ink)"
          >
            {inUnits(`${sayWater(f.waterMl)}${lasts ? `, ${lasts}` : ''}`, units)}
          </text>
        </svg>
        <SittingPicks frame={f} plan={plan} forecast={forecast} kitchen={kitchen} edit={edit} />
      </div>
      <div className={look.caption}>
        <span>{`${inSteam ? lidWords(light) : 'where it steams'}; press to change; ${sayScale(f.scale)}`}</span>
      </div>
    </div>
  );
}
