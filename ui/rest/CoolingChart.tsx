'use client';
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { RestForecast } from '@/core/forecast';
import { inUnits, sayC, sayDuration } from '@/core/units';
import { useDegrees, useUnits } from '../kit';

/** Centre, mean and edge over the hours, with the 60, 21 and 5 °C gates. */
export function CoolingChart({ rest }: { rest: RestForecast }) {
  const data = rest.curve.map((p) => ({ h: p.timeS / 3600, centre: p.centreC, mean: p.meanC, edge: p.edgeC }));
  const last = data[data.length - 1]?.h ?? 1;
  const units = useUnits();
  const degrees = useDegrees();
  const words = inUnits(
    `Cooling: warmest spot ${sayC(data[0]?.centre ?? 0)} at the start, ${sayC(data[data.length - 1]?.centre ?? 0)} after ${sayDuration(last * 3600)}. ${rest.check.sentence}`,
    units,
  );
  return (
    <div role="img" aria-label={words} style={{ width: '100%', height: 210 }}>
      <ResponsiveContainer>
        <LineChart data={data} margin={{ top: 8, right: 12, bottom: 14, left: -14 }}>
          <CartesianGrid stroke="var(--line)" strokeDasharray="2 4" />
          <XAxis
            dataKey="h"
            type="number"
            domain={[0, 'dataMax']}
            tickFormatter={(h: number) => `${Number(h.toFixed(1))}`}
            label={{
              value: 'hours',
              position: 'insideBottom',
              offset: -8,
              fontSize: 12,
              fill: 'var(--soft)',
            }}
            tick={{ fontSize: 12, fill: 'var(--soft)' }}
          />
          <YAxis
            domain={[0, 100]}
            ticks={[5, 21, 60, 100]}
            tick={{ fontSize: 12, fill: 'var(--soft)' }}
            tickFormatter={(c: number) => `${degrees(c)}°`}
          />
          <Tooltip
            formatter={(v) => `${degrees(Number(v))} °${units.temp}`}
            labelFormatter={(h) => sayDuration(Number(h) * 3600)}
          />
          {[60, 21, 5].map((gate) => (
            <ReferenceLine key={gate} y={gate} stroke="var(--watch)" strokeDasharray="6 3" />
          ))}
          {[2, 6].map((h) =>
            h < last ? (
              <ReferenceLine
                key={h}
                x={h}
                stroke="var(--line)"
                label={{
                  value: `${h} h`,
                  fontSize: 11,
                  position: 'insideTopRight',
                  fill: 'var(--soft)',
                }}
              />
            ) : null,
          )}
          <Line
            dataKey="centre"
            stroke="var(--bad)"
            dot={false}
            strokeWidth={2.2}
            isAnimationActive={false}
            name="warmest spot"
          />
          <Line
            dataKey="mean"
            stroke="var(--accent)"
            dot={false}
            strokeDasharray="7 3"
            isAnimationActive={false}
            name="mean"
          />
          <Line
            dataKey="edge"
            stroke="var(--steam)"
            dot={false}
            strokeDasharray="2 3"
            isAnimationActive={false}
            name="coldest edge"
          />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
