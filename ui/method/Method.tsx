'use client';
import { useMemo, type ReactNode } from 'react';
import { opOf, toldSteps } from '@/core/steps';
import type { StationProps } from '../plan/StationProps';
import { Sentence } from './Sentence';

/** A station's part of the method, in working order; what belongs under a sentence stands there. */
export function Method({
  station,
  under,
  leave,
  ...props
}: StationProps & {
  readonly station: string;
  /** What opens under a step, by its operation. */
  readonly under?: Readonly<Record<string, () => ReactNode>>;
  /** Operations that are told elsewhere. */
  readonly leave?: readonly string[];
}) {
  const { forecast } = props;
  const told = useMemo(
    () =>
      toldSteps({ light: forecast.light, heat: forecast.heat, e: forecast.evaluated }).filter(
        (t) => t.step.station === station && !leave?.includes(opOf(t.step.id)),
      ),
    [forecast, station, leave],
  );
  const last = new Map(told.map((t) => [opOf(t.step.id), t.step.id]));
  return told.map((t) => {
    const op = opOf(t.step.id);
    return (
      <div key={t.step.id}>
        <Sentence told={t} {...props} />
        {last.get(op) === t.step.id ? under?.[op]?.() : null}
      </div>
    );
  });
}
