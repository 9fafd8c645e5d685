'use client';
import { useMemo } from 'react';
import { forecastLight } from '@/core/forecast';
import { gearStandIns, withGear } from '@/core/desk/substitutes';
import { sayMm } from '@/core/units';
import { Press, Told } from '../kit';
import look from '../kit/rows.module.css';
import type { StationProps } from '../plan/StationProps';

/** What stands in for gear that a kitchen lacks, each tried on this plan. */
export function GearStandIns({ plan, kitchen, edit }: StationProps) {
  const list = useMemo(
    () =>
      gearStandIns(plan).map((g) => {
        const next = withGear(plan, g, kitchen);
        const light = forecastLight(next, kitchen);
        const fill = light.ok && light.value.problems.length === 0 ? light.value.fill : undefined;
        return { g, next, fill, stopped: light.ok ? light.value.problems[0]?.sentence : undefined };
      }),
    [plan, kitchen],
  );
  if (list.length === 0) return null;
  return (
    <ul className={look.points}>
      {list.map(({ g, next, fill, stopped }) => (
        <li key={g.id}>
          <b>For {g.lacks}:</b> {g.words}. {g.changes}{' '}
          {g.vessel && fill ? (
            <Told>{`${next.vesselCount > 1 ? `${next.vesselCount} of them, ` : ''}${sayMm(fill.depthM)} deep.`}</Told>
          ) : null}
          {stopped ? <Told>{` ${stopped}`}</Told> : null}
          {(g.vessel || g.guard) && !stopped ? (
            <Press quiet onClick={() => edit(`gear.${g.id}`, () => next)} aria-label={`Use it: ${g.words}`}>
              Use it
            </Press>
          ) : null}
        </li>
      ))}
    </ul>
  );
}
