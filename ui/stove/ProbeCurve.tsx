'use client';
import {
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import { useDegrees, useUnits } from '../kit';
import type { Cooking } from './useCooking';
import { pourSteam } from '@/core/stations/steam/cooking';

/** The curve of the probe over the one that was forecast, °C over minutes in the steam, and when it should be clean. */
export function ProbeCurve({ cooking }: { cooking: Cooking }) {
  const degrees = useDegrees();
  const units = useUnits();
  const history = pourSteam(cooking.forecast?.heat)?.history ?? [];
  const every = Math.max(1, Math.floor(history.length / 60));
  const forecast = history
    .filter((_, i) => i % every === 0)
    .map(([t, c]) => ({ minutes: t / 60, forecast: degrees(c) }));
  const probe = cooking.readings.map((r) => ({ minutes: r.timeS / 60, probe: degrees(r.tempC) }));
  const last = cooking.readings.at(-1);
  const clean = cooking.expected && cooking.expected.medianS / 60;
  return (
    <figure
      style={{ margin: 0, width: '100%', maxWidth: 560 }}
      aria-label={`Probe over the forecast: ${last ? `${degrees(last.tempC)} °${units.temp} after ${Math.round(last.timeS / 60)} min` : 'nothing read yet'}`}
    >
      <ResponsiveContainer width="100%" height={130}>
        <ComposedChart margin={{ top: 8, right: 16, bottom: 0, left: -12 }}>
          <CartesianGrid stroke="var(--line)" vertical={false} />
          <XAxis
            dataKey="minutes"
            type="number"
            unit=" min"
            tickFormatter={(v: number) => String(Math.round(v))}
            domain={[0, 'dataMax']}
          />
          <YAxis domain={['auto', degrees(100)]} unit="°" />
          <Line
            data={forecast}
            dataKey="forecast"
            dot={false}
            isAnimationActive={false}
            stroke="var(--soft)"
            strokeDasharray="5 4"
          />
          <Scatter data={probe} dataKey="probe" isAnimationActive={false} fill="var(--bad)" />
          {clean === undefined ? null : <ReferenceLine x={clean} stroke="var(--good)" strokeWidth={2} label="clean" />}
        </ComposedChart>
      </ResponsiveContainer>
    </figure>
  );
}
