'use client';
import { Box, Button } from '@mui/material';
import { useMemo } from 'react';
import { forecastLight } from '@/core/forecast';
import { gearStandIns, withGear } from '@/core/desk/substitutes';
import { sayMm } from '@/core/units';
import { Told } from '../kit';
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
    <Box>
      <Box component="ul" sx={{ m: 0, pl: 2.5, '& li': { py: 0.25 } }}>
        {list.map(({ g, next, fill, stopped }) => (
          <li key={g.id}>
            <b>For {g.lacks}:</b> {g.words}. {g.changes}{' '}
            {g.vessel && fill ? (
              <Told>{`${next.vesselCount > 1 ? `${next.vesselCount} of them, ` : ''}${sayMm(fill.depthM)} deep.`}</Told>
            ) : null}
            {stopped ? <Told>{` ${stopped}`}</Told> : null}
            {(g.vessel || g.guard) && !stopped ? (
              <Button size="small" onClick={() => edit(`gear.${g.id}`, () => next)} aria-label={`Use it: ${g.words}`}>
                Use it
              </Button>
            ) : null}
          </li>
        ))}
      </Box>
    </Box>
  );
}
