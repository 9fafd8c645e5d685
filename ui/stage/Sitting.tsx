'use client';
import type { Forecast } from '@/core/forecast';
import { coverIn } from '@/core/forecast';
import { LID_AND_GUARD } from '@/core/families';
import { HEATS, type Kitchen } from '@/core/kitchen';
import { chooseSchool, type Plan } from '@/core/plan';
import { guardOf } from '@/core/model/steam';
import { inUnits, sayDuration, sayWater, there } from '@/core/units';
import { useUnits } from '../kit';
import { onRing, ringId, ringsFor, steamersFor, vesselsFor } from '../plan/gear';
import { drawn, path } from '../kit/scales';
import { useWidth } from '../kit/useWidth';
import { sayScale } from '../section/sectionFrame';
import { DialHandle } from './DialHandle';
import { PickOver } from './PickOver';
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
  const { steamer, vessel, ring, hob } = light.resolved;
  const f = sittingFrame(light, heat, inSteam ? timeS : 0, width, mostY);
  const cover = coverIn(light);
  const { cx, lid, pot } = f;
  const water = overWater(heat)?.water;
  const percent = (x: number, y: number, w: number, h: number) =>
    [(100 * x) / f.width, (100 * y) / f.height, (100 * w) / f.width, (100 * h) / f.height] as const;
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
          <g fill="none" stroke="var(--ink)" strokeWidth="1.5" strokeLinejoin="round">
            <rect
              x={drawn(cx - pot.half)}
              y={drawn(f.waterY)}
              width={drawn(2 * pot.half)}
              height={drawn(Math.max(0, pot.base - f.waterY))}
              fill="var(--water)"
              stroke="none"
            />
            <path
              d={path`M${cx - pot.half},${f.waterY}H${cx + pot.half}`}
              stroke="var(--steam)"
              strokeDasharray="3 3"
            />
            <path
              d={path`M${cx - pot.half},${pot.top}V${pot.base - 6}q0,6 6,6H${cx + pot.half - 6}q6,0 6,-6V${pot.top}`}
            />
            {f.tiers.map((t) => (
              <g key={t.top}>
                <path d={path`M${cx - t.half},${t.top}V${t.floor}M${cx + t.half},${t.top}V${t.floor}`} />
                <path d={path`M${cx - t.half},${t.floor}H${cx + t.half}`} strokeDasharray="8 5" />
              </g>
            ))}
            {cover.lid === 'loose' ? (
              <path d={path`M${cx - lid.half - 6},${lid.y - 8}q${lid.half},${-2 * lid.rise} ${2 * lid.half + 12},4`} />
            ) : (
              <path
                d={path`M${cx - lid.half - 6},${lid.y}H${cx + lid.half + 6}M${cx - lid.half},${lid.y}q${lid.half},${-2 * lid.rise} ${2 * lid.half},0`}
                strokeDasharray={cover.lid === 'woven' ? '6 2' : undefined}
              />
            )}
            {cover.lid === 'cloth' ? (
              <path
                d={path`M${cx - lid.half - 12},${lid.y + 5}q4,-6 12,-4q${lid.half},${-1.5 * lid.rise} ${2 * lid.half},0q8,-2 12,4`}
                stroke="var(--speck)"
                strokeWidth="3"
                opacity="0.75"
              />
            ) : null}
          </g>
          {f.pans.map((p) => (
            <g key={p.x}>
              <rect
                x={drawn(p.x - p.half)}
                y={drawn(p.fillTop)}
                width={drawn(2 * p.half)}
                height={drawn(Math.max(0.5, f.pot.top - 3 - p.fillTop))}
                fill="var(--steam)"
                opacity="0.5"
              />
              <path
                d={path`M${p.x - p.half},${p.top}V${f.pot.top - 3}H${p.x + p.half}V${p.top}`}
                fill="none"
                stroke="var(--ink)"
                strokeWidth="1.6"
              />
              {cover.foil ? (
                <path
                  d={path`M${p.x - p.half - 3},${p.top - 2}H${p.x + p.half + 3}`}
                  stroke="var(--pan)"
                  strokeWidth="2"
                  strokeDasharray="6 2"
                />
              ) : null}
            </g>
          ))}
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
        <PickOver
          label="Lid and guard"
          value={guardOf(cover)}
          options={LID_AND_GUARD.map((o) => ({ value: o.id, words: `${o.words} (${o.differs})` }))}
          onChange={(v) => edit('school.dripGuard', (p) => chooseSchool(p, 'dripGuard', v))}
          at={percent(cx - lid.half - 12, 0, 2 * lid.half + 24, lid.y + 6)}
        />
        <PickOver
          label="Pan in the steamer"
          value={vessel.id}
          options={vesselsFor(kitchen, plan).map((v) => ({ value: v.id, words: v.name }))}
          onChange={(id) => edit('vessel', (p) => ({ ...p, vessel: id }))}
          at={percent(cx - lid.half, there(f.tiers[0]).top + 6, 2 * lid.half, pot.top - there(f.tiers[0]).top - 6)}
        />
        <PickOver
          label="Steamer and its water"
          value={steamer.id}
          options={steamersFor(kitchen, plan).map((s) => ({ value: s.id, words: s.name }))}
          onChange={(id) => edit('steamer', (p) => ({ ...p, steamer: id }))}
          at={percent(cx - pot.half, pot.top, 2 * pot.half, pot.base - pot.top)}
        />
        {phases ? null : (
          <PickOver
            label="Dial"
            value={plan.heat}
            options={HEATS.map((h) => ({
              value: h,
              words: ring.marks[h] === undefined ? h : `${h}, at ${ring.marks[h]}`,
            }))}
            onChange={(h) => edit('heat', (p) => ({ ...p, heat: h }))}
            at={percent(cx - 12, f.hobY + 4, 50, 42)}
          />
        )}
        <PickOver
          label="Ring it stands on"
          value={ringId(hob, ring)}
          options={ringsFor(kitchen).map((r) => ({ value: r.id, words: `${r.ring.name}, ${r.hob.name}` }))}
          onChange={(id) => edit('ring', (p) => onRing(p, id))}
          at={percent(cx + 40, f.hobY + 4, f.width - cx - 44, 42)}
        />
      </div>
      <div className={look.caption}>
        <span>{`${inSteam ? lidWords(light) : 'where it steams'}; press to change; ${sayScale(f.scale)}`}</span>
      </div>
    </div>
  );
}
