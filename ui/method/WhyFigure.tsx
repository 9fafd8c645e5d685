'use client';
import { useId, useState, type ReactNode } from 'react';
import type { Forecast } from '@/core/forecast';
import type { Why } from '@/core/explain';
import { inUnits, sayC, sayDuration, sayGrams, sayMm } from '@/core/units';
import { SOURCE_WORDS, useUnits } from '../kit';
import look from './method.module.css';

/** A value with its unit, as a cook reads it. */
function sayValue(value: number | string, unit: string): string {
  if (typeof value === 'string') return value;
  if (unit === 's') return sayDuration(value);
  if (unit === 'm') return sayMm(value);
  if (unit === 'g') return sayGrams(value);
  if (unit === '°C') return sayC(value);
  if (unit === 'W') return `${(value / 1000).toFixed(2)} kW`;
  return `${Number(value.toPrecision(3))}${unit ? ` ${unit}` : ''}`;
}
/** What a bare name of the forecast does not say by itself. */
const NAMES: Readonly<Record<string, string>> = { in: 'all that went in', likely: 'the likely time' };
/** The last words of a path, apart: "firstCleanPickS" is "first clean pick". */
const nameOf = (path: string): string => {
  const words = (
    path
      .split('.')
      .filter((p) => p !== 'value' && !/^\d+$/.test(p))
      .at(-1) ?? path
  )
    .replace(/(S|M|C|G|W|Ml|Pct|MPas)$/, '')
    .replace(/([A-Z])/g, (c) => ` ${c.toLowerCase()}`)
    .trim();
  return NAMES[words] ?? words;
};

/** A computed figure: pressed, it says why it is what it is. */
export function WhyFigure({
  forecast,
  path,
  source,
  children,
}: {
  forecast: Forecast;
  path: string;
  source?: 'measured' | 'learned' | undefined;
  children: ReactNode;
}) {
  const [why, setWhy] = useState<Why | string | undefined>(undefined);
  const units = useUnits();
  const id = useId();
  const open = async () => {
    if (why !== undefined) return setWhy(undefined);
    // The laws in words are fetched when somebody asks.
    const [{ whyOf }, { forecastJson }] = await Promise.all([import('@/core/explain'), import('@/core/formats')]);
    const found = whyOf(forecastJson(forecast, false), path);
    setWhy(found.ok ? found.value : 'It is there once the heat has been worked out.');
  };
  return (
    <>
      <button
        type="button"
        className={look.figure}
        data-source={source}
        title="why this"
        aria-expanded={why !== undefined}
        aria-controls={why === undefined ? undefined : id}
        onClick={() => void open()}
        onBlur={() => setWhy(undefined)}
        onKeyDown={(e) => {
          if (e.key === 'Escape') setWhy(undefined);
        }}
      >
        {children}
      </button>
      {why === undefined ? null : (
        <span id={id} role="note" className={look.why}>
          {typeof why === 'string' ? (
            why
          ) : (
            <>
              <b>{inUnits(sayValue(why.value, why.unit), units)}</b>, {SOURCE_WORDS[why.source]}
              {why.spread
                ? inUnits(
                    `; ${sayValue(why.spread.low, why.unit)} to ${why.spread.high === null ? 'never' : sayValue(why.spread.high, why.unit)}`,
                    units,
                  )
                : ''}
              . {why.law}
              {why.inputs.length > 0 ? (
                <>
                  {' '}
                  From{' '}
                  {why.inputs.map((i) => `${nameOf(i.path)} ${inUnits(sayValue(i.value, i.unit), units)}`).join(', ')}.
                </>
              ) : null}
            </>
          )}
        </span>
      )}
    </>
  );
}
