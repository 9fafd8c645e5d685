'use client';
import { Column } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { AddLine } from './LineTable';

/** Finds what goes into a batter, or what goes in beside it. */
export default function AddLines({ plan, forecast, edit }: StationProps) {
  const { larder } = forecast.light.resolved;
  return (
    <Column>
      {plan.batters.map((b, i) => (
        <AddLine key={b.id} place={i} larder={larder} edit={edit} />
      ))}
      <AddLine place="addIns" larder={larder} edit={edit} />
    </Column>
  );
}
