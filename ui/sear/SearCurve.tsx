'use client';
import type { SearForecast } from '@/core/forecast';
import { sayDuration } from '@/core/units';
import { useDegrees } from '../kit';

/** Face and core temperature through both sides, with 74 °C marked. */
export function SearCurve({ sear }: { sear: SearForecast }) {
  const degrees = useDegrees();
  const course = sear.result.course;
  const last = course[course.length - 1]?.[0] ?? 1;
  const x = (t: number) => 40 + (t / last) * 380;
  const y = (c: number) => 120 - (c / 220) * 112;
  const line = (of: (p: (typeof course)[number]) => number) =>
    course.map((p) => `${x(p[0]).toFixed(1)},${y(of(p)).toFixed(1)}`).join(' ');
  const flip = x(sear.minutesASide[0]);
  return (
    <svg
      viewBox="0 0 440 146"
      width="100%"
      style={{ maxWidth: 520, display: 'block' }}
      role="img"
      aria-label={`Turn after ${sayDuration(sear.minutesASide[0])}; done after ${sayDuration(last)}, the middle at ${degrees(sear.coreC)} degrees.`}
    >
      {[0, 100, 200].map((c) => (
        <g key={c}>
          <path d={`M40,${y(c)}H420`} stroke="var(--mui-palette-divider)" />
          <text x="34" y={y(c) + 4} fontSize="11" textAnchor="end" fill="var(--mui-palette-text-secondary)">
            {degrees(c)}°
          </text>
        </g>
      ))}
      <path d={`M40,${y(74)}H420`} stroke="var(--mui-palette-success-main)" strokeDasharray="6 3" />
      <text x="424" y={y(74) + 4} fontSize="10.5" fill="var(--mui-palette-success-main)" textAnchor="end" dy="-6">
        {degrees(74)}°
      </text>
      <path d={`M${flip},8V120`} stroke="var(--mui-palette-text-secondary)" strokeDasharray="2 3" />
      <text x={flip + 4} y="16" fontSize="11" fill="var(--mui-palette-text-secondary)">
        turn
      </text>
      <polyline points={line((p) => p[1])} fill="none" stroke="var(--mui-palette-error-main)" strokeWidth="2" />
      <polyline
        points={line((p) => p[2])}
        fill="none"
        stroke="var(--mui-palette-primary-main)"
        strokeWidth="2"
        strokeDasharray="7 3"
      />
      <text x="40" y="140" fontSize="11.5" fill="var(--mui-palette-text-secondary)">
        face in the pan, full line; middle, dashed; {sayDuration(last)} in all
      </text>
    </svg>
  );
}
