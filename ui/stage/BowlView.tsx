'use client';
import type { CakeState, Life } from '@/core/work/timeline';
import type { Forecast } from '@/core/forecast';
import { inUnits, sayDuration, sayGrams, sayMm, there } from '@/core/units';
import { useDegrees, useUnits } from '../kit';
import { BatterBody } from '../section/BatterBody';
import { LAYER_COLOURS } from '../section/layerColours';
import { linesFor } from '../section/lines';
import { sayScale, sectionFrame } from '../section/sectionFrame';
import { bowlFor, clearOver, depthIn, mixedShare } from './bowl';
import { Words } from '../section/Words';

/** From one line of its words to the next, px. */
const LINE = 17;

/** Batters in their bowls: as they are mixed, settling, or risen by the gas they hold. */
export function BowlView({
  forecast,
  life,
  atS,
  state,
  width,
  mostY,
}: {
  forecast: Forecast;
  life: Life;
  atS: number;
  state: CakeState;
  width: number;
  mostY: number;
}) {
  const degrees = useDegrees();
  const units = useUnits();
  const { light } = forecast;
  const { batters } = light.resolved.plan;
  const each = width / batters.length;
  const stands = state.is === 'bowl';
  const node = stands ? forecast.evaluated.byId.get(state.step.step.id) : undefined;
  const gasMl = stands && node ? (node.outs[0]?.gasMl ?? 0) * state.way : 0;
  const bowls = batters.map((b, i) => {
    const volumeMl = there(light.balance.batters[i]).volumeMl;
    const bowl = bowlFor(volumeMl);
    const mixed = stands ? node : forecast.evaluated.byId.get(`mix:${b.id}`);
    const tempC = mixed?.outs[0]?.tempC;
    const share = stands ? 1 : mixedShare(forecast, life, b.id, atS);
    const depthM = depthIn(bowl, share * volumeMl + (i === 0 ? gasMl : 0));
    const c = there(light.consistency[i]);
    const clearM = stands && gasMl <= 1 ? clearOver(depthM, c.stirEveryS, state.forS) : 0;
    return { b, bowl, depthM, c, clearM, share, tempC, massG: there(light.balance.batters[i]).massG };
  });
  const said = (x: (typeof bowls)[number]): string =>
    inUnits(
      `${x.share < 0.995 ? `${sayGrams(x.share * x.massG)} of ${sayGrams(x.massG)} in the bowl` : `${sayGrams(x.massG)}, like ${x.c.words}`}${x.clearM > 0.0005 ? `; ${sayMm(x.clearM)} of clear liquid on top after ${sayDuration(stands ? state.forS : 0)}` : ''}${gasMl > 1 && x === bowls[0] ? `; risen by ${Math.round(gasMl)} ml of gas` : ''}`,
      units,
    );
  const drawn = bowls.map((x) => {
    const frame = sectionFrame(x.bowl, x.bowl.heightM, { width: each, mostY, side: 40, head: 30, foot: 62 });
    const is = x.tempC === undefined ? '' : `, ${degrees(x.tempC)} °${units.temp}${stands ? '' : ' once mixed'}`;
    const across = inUnits(sayMm(x.bowl.shape === 'bowl' ? x.bowl.diameterM : 0), units);
    return {
      frame,
      name: linesFor(`${x.b.name}${is}`, each - 8, 14),
      facts: [
        ...linesFor(said(x), each - 8, 12),
        ...linesFor(`a bowl of ${across}, ${sayScale(frame.scale)}`, each - 8, 12, 1),
      ],
    };
  });
  const lines = Math.max(...drawn.map((d) => d.name.length + d.facts.length));
  return (
    <svg
      viewBox={`0 0 ${width} ${mostY + 92 + LINE * Math.max(0, lines - 3)}`}
      width="100%"
      role="img"
      aria-label={`In the bowl: ${bowls.map((x) => `${x.b.name}, ${said(x)}`).join('. ')}.`}
      data-part="bowl"
    >
      {bowls.map((x, i) => {
        const { frame, name, facts } = there(drawn[i]);
        const fill = Math.min(x.depthM, x.bowl.heightM);
        return (
          <g key={x.b.id} transform={`translate(${i * each} 0)`}>
            <BatterBody
              vessel={x.bowl}
              depthM={fill}
              frame={frame}
              timeS={0}
              show="heat"
              fromC={0}
              pieceShare={0}
              colour={LAYER_COLOURS[x.b.colour] ?? 'var(--milk)'}
              degrees={degrees}
            />
            {x.clearM > 0.0005 ? (
              <path
                d={`M${frame.cx - 46},${frame.y(fill - x.clearM)}h92`}
                stroke="var(--watch)"
                strokeWidth="2"
                strokeDasharray="6 4"
              />
            ) : null}
            {gasMl > 1 && i === 0
              ? [-0.6, -0.3, 0, 0.25, 0.55].map((u, k) => (
                  <circle
                    key={u}
                    cx={frame.cx + u * 80}
                    cy={frame.y(fill * (0.35 + 0.12 * (k % 3)))}
                    r={3 + 2 * (k % 2)}
                    fill="none"
                    stroke="var(--steam)"
                  />
                ))
              : null}
            {name.map((words, k) => (
              <Words key={k} x={frame.cx} y={frame.baseY + 24 + LINE * k} as="strong">
                {words}
              </Words>
            ))}
            {facts.map((words, k) => (
              <Words key={k} x={frame.cx} y={frame.baseY + 26 + LINE * (name.length + k)}>
                {words}
              </Words>
            ))}
          </g>
        );
      })}
    </svg>
  );
}
