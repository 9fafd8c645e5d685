'use client';
import {
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import { TEXTURE_AXES } from '@/core/model/batter';
import type { Lever } from '@/core/desk/whatIf';
import { AXIS_WORDS } from '../kit/TextureBars';
import { DASHES } from './TextureKey';
import type { Point } from './useSweep';
import look from './try.module.css';

export interface PastDot {
  readonly name: string;
  readonly value: number;
  readonly minutes: number | null;
}
const TICK = { fontSize: 12, fill: 'var(--soft)' } as const;

interface Drawn {
  readonly key: string;
  readonly name: string;
  readonly of: (p: Point) => number | null;
  readonly dash?: string;
  readonly stroke?: string;
}

/** One small chart: a figure, or a few of one scale, over a quantity, with the family's band, where it stands, and what is pointed at. */
function SmallChart({
  lever,
  points,
  lines,
  unit,
  at,
  dots,
  limit,
  domain,
  title,
  onAt,
}: {
  lever: Lever;
  points: readonly Point[];
  lines: readonly Drawn[];
  unit: string;
  at: number;
  dots?: readonly PastDot[];
  /** Over this it is not safe. */
  limit?: number;
  domain?: [number, number];
  title: string;
  onAt: (value: number) => void;
}) {
  const data = points.map((p) => ({ x: p.value, ...Object.fromEntries(lines.map((l) => [l.key, l.of(p)])) }));
  return (
    <figure className={look.chart}>
      <figcaption>{title}</figcaption>
      <div className={look.plot} role="img" aria-label={words(title, lever, lines, points, unit)}>
        <ResponsiveContainer>
          <ComposedChart
            data={data}
            margin={{ top: 4, right: 8, bottom: 0, left: -18 }}
            onClick={(e) => {
              const x = Number(e.activeLabel);
              if (Number.isFinite(x)) onAt(x);
            }}
          >
            <CartesianGrid stroke="var(--line)" strokeDasharray="2 4" />
            {lever.band ? (
              <ReferenceArea
                x1={lever.band[0]}
                x2={lever.band[1]}
                fill="var(--good)"
                fillOpacity={0.12}
                ifOverflow="hidden"
              />
            ) : null}
            <XAxis
              dataKey="x"
              type="number"
              domain={[lever.range[0], lever.range[1]]}
              tickFormatter={(v: number) => v.toFixed(lever.decimals)}
              tick={TICK}
              allowDataOverflow
            />
            <YAxis
              tick={TICK}
              domain={domain ?? [0, 'auto']}
              width={52}
              tickFormatter={(v: number) => String(Number(v.toFixed(1)))}
            />
            {limit === undefined ? null : <ReferenceLine y={limit} stroke="var(--bad)" strokeDasharray="6 3" />}
            <ReferenceLine x={lever.now} stroke="var(--soft)" strokeDasharray="3 3" />
            <ReferenceLine x={at} stroke="var(--accent)" strokeWidth={2} />
            {lines.map((l) => (
              <Line
                key={l.key}
                dataKey={l.key}
                name={l.name}
                stroke={l.stroke ?? 'var(--accent)'}
                strokeDasharray={l.dash ?? ''}
                strokeWidth={2}
                dot={false}
                isAnimationActive={false}
                connectNulls={false}
              />
            ))}
            {dots && dots.length > 0 ? (
              <Scatter
                data={dots.flatMap((d) => (d.minutes === null ? [] : [{ x: d.value, y: d.minutes }]))}
                dataKey="y"
                fill="var(--steam)"
                isAnimationActive={false}
              />
            ) : null}
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}

/** What a chart says, in words: its ends and what is between. */
function words(title: string, lever: Lever, lines: readonly Drawn[], points: readonly Point[], unit: string): string {
  const [first, last] = [points[0], points[points.length - 1]];
  if (!first || !last) return `${title}: being worked out.`;
  const say = (v: number | null) => (v === null ? 'not reached' : `${v.toFixed(1)} ${unit}`);
  return `${title} over ${lever.name}: ${lines
    .map(
      (l) =>
        `${l.name} ${say(l.of(first))} at ${first.value.toFixed(lever.decimals)} ${lever.unit}, ${say(l.of(last))} at ${last.value.toFixed(lever.decimals)}`,
    )
    .join('; ')}.`;
}

/** A quantity with its three small charts: minutes, texture, safety. */
export function LeverCharts({
  lever,
  points,
  at,
  dots,
  onAt,
}: {
  lever: Lever;
  points: readonly Point[];
  at: number;
  dots: readonly PastDot[];
  onAt: (value: number) => void;
}) {
  return (
    <div className={look.charts}>
      <SmallChart
        title="minutes until a pick is clean"
        lever={lever}
        points={points}
        at={at}
        dots={dots}
        unit="min"
        lines={[{ key: 'min', name: 'clean', of: (p) => (p.quick.minutesS === null ? null : p.quick.minutesS / 60) }]}
        onAt={onAt}
      />
      <SmallChart
        title="texture, 0 to 10"
        lever={lever}
        points={points}
        at={at}
        unit="of 10"
        domain={[0, 10]}
        lines={TEXTURE_AXES.map((a, i) => ({
          key: a,
          name: AXIS_WORDS[a],
          of: (p: Point) => p.quick.texture[a],
          dash: DASHES[i],
        }))}
        onAt={onAt}
      />
      <SmallChart
        title="hours from 60 to 21 °C, 2 at most"
        lever={lever}
        points={points}
        at={at}
        unit="h"
        limit={2}
        lines={[
          {
            key: 'h',
            name: 'cooling',
            of: (p) => (p.quick.to21S === null ? null : p.quick.to21S / 3600),
            stroke: 'var(--steam)',
          },
        ]}
        onAt={onAt}
      />
    </div>
  );
}
