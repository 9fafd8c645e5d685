'use client';
import { later } from '../kit/later';
import { useMemo, useState } from 'react';
import { measurings, type Measuring, type Narrowed } from '@/core/desk/advice/measureFirst';
import { withReading } from '@/core/plan';
import { inUnits, sentenceCase } from '@/core/units';
import { NumberField, Press, useUnits } from '../kit';
import { MyCupField } from '../lines/MyCupField';
import { useMeasure } from '../kit/measure';
import type { StationProps } from '../plan/StationProps';
import look from './mind.module.css';

const KettleTest = later(() => import('../steam/KettleTest').then((m) => m.KettleTest));
const ThicknessCheck = later(() => import('../mix/ThicknessCheck').then((m) => m.ThicknessCheck));

const figureOf = (x: number): string => (x < 0.095 ? x.toFixed(2) : x < 9.95 ? x.toFixed(1) : String(Math.round(x)));
/** "±6.4 to ±4.8": how far a figure may be off, before and after. */
const narrows = ({ from, to }: Narrowed, by: number, unit: string): string =>
  `±${figureOf(from * by)} to ±${figureOf(to * by)}${unit}`;

/** What a measuring narrows, in words. */
export function narrowsWords(m: Measuring): string {
  const parts = [
    m.minutes && m.minutes.from - m.minutes.to > 0.005 * m.minutes.from
      ? `the minutes from ${narrows(m.minutes, 1 / 60, '')}`
      : '',
    m.salt ? `the salt from ${narrows(m.salt, 1, ' %')}` : '',
    m.hydration ? `the hydration from ${narrows(m.hydration, 1, '')}` : '',
    m.thickness ? `how thick it is from ${narrows(m.thickness, 100, ' %')}` : '',
  ].filter((x) => x !== '');
  return `narrows ${parts.length > 1 ? `${parts.slice(0, -1).join(', ')} and ${parts[parts.length - 1]}` : parts[0]}`;
}

/** The one measuring that narrows this forecast most, and how it is done, done from here. */
export function MeasureFirst(props: StationProps) {
  const { forecast, kitchen } = props;
  const units = useUnits();
  const [measure] = useMeasure();
  const [opened, open] = useState<string | undefined>(undefined);
  const list = useMemo(
    () => measurings(forecast.light, forecast.heat, kitchen, measure === 'cups'),
    [forecast, kitchen, measure],
  );
  // What is being measured stays until it is put away, though it narrows nothing any more.
  const first = list.find((m) => m.id === opened) ?? list[0];
  if (!first) return null;
  return (
    <section className={look.measure} aria-label="Measure this first">
      <i aria-hidden />
      <div>
        <b>Measure this first:</b> {first.words}. It {inUnits(narrowsWords(first), units)}.{' '}
        <Press
          quiet
          fix
          aria-expanded={opened === first.id}
          onClick={() => open(opened === first.id ? undefined : first.id)}
        >
          {opened === first.id ? 'Put away' : 'Do it now'}
        </Press>
        {opened === first.id ? <DoIt {...props} m={first} /> : null}
      </div>
    </section>
  );
}

function DoIt({ m, ...props }: StationProps & { m: Measuring }) {
  const { how } = m;
  const { plan, forecast, edit } = props;
  switch (how.by) {
    case 'kettle':
      return <KettleTest {...props} />;
    case 'drain':
      return <ThicknessCheck {...props} />;
    case 'cup': {
      const ingredient = forecast.light.resolved.larder.get(how.ingredient);
      return ingredient ? <MyCupField ingredient={ingredient} /> : null;
    }
    case 'reading':
      return (
        <NumberField
          settled
          label={sentenceCase(m.words)}
          value={plan.readings[how.place.node]?.[how.place.slot]}
          min={0}
          max={how.unit === 'g' ? 20_000 : how.unit === 'mm' ? 200 : 110}
          unit={how.unit}
          width={160}
          instead={`about ${Math.round(how.expected)}`}
          onChange={(value) => edit(`reading.${how.place.node}`, (p) => withReading(p, how.place, value))}
          onClear={() => edit(`reading.${how.place.node}`, (p) => withReading(p, how.place, undefined))}
        />
      );
  }
}
