'use client';
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { SearForecast } from '@/core/forecast';
import { HOT_THROUGH_C, sayDuration } from '@/core/units';
import { useDegrees, useUnits } from '../kit';

const INK = 'var(--soft)';

/** Face and core temperature through both sides, with 74 °C marked. */
export function SearCurve({ sear }: { sear: SearForecast }) {
  const degrees = useDegrees();
  const units = useUnits();
  const data = sear.result.course.map((p) => ({ s: p[0], face: p[1], middle: p[2] }));
  const last = data[data.length - 1]?.s ?? 1;
  const mark = { fontSize: 11, fill: INK };
  return (
    <div
      role="img"
      aria-label={`Turn after ${sayDuration(sear.minutesASide[0])}; done after ${sayDuration(last)}, the middle at ${degrees(sear.coreC)} degrees.`}
      style={{ width: '100%', maxWidth: 520, height: 170 }}
    >
      <ResponsiveContainer>
        <LineChart data={data} margin={{ top: 10, right: 16, bottom: 4, left: -12 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--line)" strokeDasharray="2 4" />
          <XAxis
            dataKey="s"
            type="number"
            domain={[0, 'dataMax']}
            tickFormatter={(s: number) => sayDuration(s)}
            tick={{ fontSize: 11.5, fill: INK }}
            minTickGap={40}
          />
          <YAxis
            domain={[0, 220]}
            ticks={[0, 100, 200]}
            tick={{ fontSize: 11.5, fill: INK }}
            tickFormatter={(c: number) => `${degrees(c)}°`}
          />
          <Tooltip
            formatter={(v) => `${degrees(Number(v))} °${units.temp}`}
            labelFormatter={(s) => sayDuration(Number(s))}
          />
          <ReferenceLine
            y={HOT_THROUGH_C}
            stroke="var(--good)"
            strokeDasharray="6 3"
            label={{ ...mark, value: `${degrees(HOT_THROUGH_C)}°`, position: 'insideTopRight' }}
          />
          <ReferenceLine
            x={sear.minutesASide[0]}
            stroke={INK}
            strokeDasharray="2 3"
            label={{ ...mark, value: 'turn', position: 'insideTopLeft' }}
          />
          <Line
            dataKey="face"
            name="face in the pan"
            stroke="var(--bad)"
            dot={false}
            strokeWidth={2}
            isAnimationActive={false}
          />
          <Line
            dataKey="middle"
            stroke="var(--accent)"
            dot={false}
            strokeWidth={2}
            strokeDasharray="7 3"
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
      <div style={{ fontSize: 11.5, color: INK }}>
        face in the pan, full line; middle, dashed; {sayDuration(last)} in all
      </div>
    </div>
  );
}
