'use client';
import { useMemo, type ReactNode } from 'react';
import type { Operation } from '@/core/flow';
import { toldSteps } from '@/core/steps';
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
  readonly under?: Partial<Readonly<Record<Operation, () => ReactNode>>>;
  /** Operations that are told elsewhere. */
  readonly leave?: readonly Operation[];
}) {
  const { forecast } = props;
  const told = useMemo(
    () =>
      toldSteps({ light: forecast.light, heat: forecast.heat, e: forecast.evaluated }).filter(
        (t) => t.step.station === station && !(t.step.op && leave?.includes(t.step.op)),
      ),
    [forecast, station, leave],
  );
  const last = new Map(told.map((t) => [t.step.op, t.step.id]));
  return told.map((t) => {
    const { op } = t.step;
    return (
      <div key={t.step.id}>
        <Sentence told={t} {...props} />
        {op && last.get(op) === t.step.id ? under?.[op]?.() : null}
      </div>
    );
  });
}
