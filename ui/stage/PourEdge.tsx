'use client';
import { useMemo, useRef, useState } from 'react';
import type { Forecast } from '@/core/forecast';
import { applyLever, leversTo } from '@/core/flow';
import type { Plan } from '@/core/plan';
import { sayGrams, there } from '@/core/units';
import { SaidChoice, Told } from '../kit';
import { GRIP, keyStep, ONE_DRAG, useHandle, yIn } from '../kit/useHandle';
import { linesFor } from '../section/lines';
import { pourAxis, type PourAxis } from '../mix/pourAxis';
import look from './stage.module.css';

const W = 124;
const TOP = 22;
const APART = 17;
const AT_X = 20;
/** One press of an arrow key, g of water. */
const STEP_G = 5;

/** The pour scale at the edge of the stage: a batter between dough and water, and the point is taken hold of to pour more or less water; of several batters one is chosen. */
export function PourEdge({
  forecast,
  edit,
  height = 250,
}: {
  forecast: Forecast;
  edit: (key: string, change: (p: Plan) => Plan) => void;
  height?: number;
}) {
  const { light } = forecast;
  const svg = useRef<SVGSVGElement>(null);
  const { batters } = light.resolved.plan;
  const [chosen, choose] = useState(batters[0]?.id);
  const index = Math.max(
    0,
    batters.findIndex((x) => x.id === chosen),
  );
  const b = there(light.balance.batters[index]);
  const c = there(light.consistency[index]);
  const axis = useMemo(() => pourAxis(light, index, TOP, height - TOP, APART), [light, index, height]);
  const { larder } = light.resolved;
  const handle = useHandle<{ axis: PourAxis; b: typeof b }>(
    (_, clientY, held) => {
      const at = yIn(svg.current, clientY, height);
      if (at === undefined) return undefined;
      const wanted = held.axis.at(at);
      const water = leversTo(held.b, wanted).find((l) => l.what === 'water');
      return water && Math.abs(water.grams) >= 1
        ? () => edit(ONE_DRAG, (p) => applyLever(p, index, { ...water, grams: Math.round(water.grams) }, larder))
        : undefined;
    },
    () => ({ axis, b }),
  );
  const more = (grams: number) =>
    edit('pour.keys', (p) => applyLever(p, index, { what: 'water', grams, sentence: '' }, larder));
  const y = axis.y(b.liquidToDry);
  const called = linesFor(c.words, W - AT_X - 12, 14);
  const [lo, hi] = axis.band;
  const inBand = b.liquidToDry >= lo && b.liquidToDry <= hi;
  return (
    <div className={look.place}>
      <svg
        ref={svg}
        viewBox={`0 0 ${W} ${height}`}
        width="100%"
        role="group"
        aria-label={`Pour scale: liquid to dry ${b.liquidToDry.toFixed(2)}, ${c.words}; this family runs ${lo} to ${hi}.`}
        data-part="pour-scale"
      >
        <rect
          x={AT_X - 6}
          y={TOP}
          width="12"
          height={height - 2 * TOP}
          rx="6"
          fill="var(--ground)"
          stroke="var(--line)"
        />
        <rect
          x={AT_X - 6}
          y={axis.y(lo)}
          width="12"
          height={Math.max(3, axis.y(hi) - axis.y(lo))}
          fill="var(--set)"
          stroke="var(--good)"
          strokeDasharray="4 2"
        />
        <text x="4" y="13" fontSize="12" fill="var(--soft)">
          dough
        </text>
        <text x="4" y={height - 6} fontSize="12" fill="var(--soft)">
          water
        </text>
        {axis.marks
          .filter(
            (m) =>
              m.words !== c.words &&
              (axis.y(m.at) > y + 26 || axis.y(m.at) < y - 10 - 16 * called.length) &&
              axis.y(m.at) > TOP + 8 &&
              axis.y(m.at) < height - TOP - 8,
          )
          .map((m) => (
            <g key={m.words}>
              <path d={`M${AT_X + 6},${axis.y(m.at)}h6`} stroke="var(--soft)" />
              <text x={AT_X + 16} y={axis.y(m.at) + 4} fontSize="12" fill="var(--soft)">
                {m.words}
              </text>
            </g>
          ))}
        {called.map((words, i) => (
          <text
            key={words}
            x={AT_X + 16}
            y={y - 2 - 16 * (called.length - 1 - i)}
            fontSize="14"
            fontWeight="600"
            fill="var(--ink)"
          >
            {words}
          </text>
        ))}
        <text x={AT_X + 16} y={y + 14} fontSize="12.5" fill={inBand ? 'var(--ink)' : 'var(--watch)'}>
          {`${b.liquidToDry.toFixed(2)} : 1`}
        </text>
        <g
          {...handle()}
          className={`${look.handle} ${GRIP.free}`}
          tabIndex={0}
          role="slider"
          aria-label="Water in the batter: up thicker, down thinner"
          aria-orientation="vertical"
          aria-valuemin={Math.round(axis.top * 100) / 100}
          aria-valuemax={Math.round(axis.bottom * 100) / 100}
          aria-valuenow={Math.round(b.liquidToDry * 100) / 100}
          aria-valuetext={`${c.words}, ${b.liquidToDry.toFixed(2)} to 1`}
          onKeyDown={(e) =>
            keyStep(e, { ArrowDown: STEP_G, ArrowUp: -STEP_G, PageDown: 5 * STEP_G, PageUp: -5 * STEP_G }, more)
          }
        >
          <rect x="0" y={y - 22} width={AT_X + 22} height="44" fill="transparent" />
          <circle
            className={look.ring}
            cx={AT_X}
            cy={y}
            r="9"
            fill="var(--accent)"
            stroke="var(--paper)"
            strokeWidth="2"
          />
        </g>
      </svg>
      <div className={look.caption}>
        {batters.length > 1 ? (
          <SaidChoice
            label="Batter at the pour scale"
            value={there(batters[index]).id}
            options={batters.map((x) => ({ value: x.id, words: x.name }))}
            onChange={choose}
          />
        ) : null}
        <Told>{`${sayGrams(b.liquidG)} : ${sayGrams(b.dryBlendG)}`}</Told>
      </div>
    </div>
  );
}
