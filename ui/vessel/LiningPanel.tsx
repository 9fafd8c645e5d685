'use client';
import { Button, Stack, Typography } from '@mui/material';
import { sentenceCase } from '@/core/units';
import { liningFor, liningSvg, liningWords } from '@/core/model/vessel';
import { Told } from '../kit';
import type { StationProps } from '../plan/StationProps';

/** What paper to cut for this vessel at this depth, and a drawing of it at true scale to print. */
export function LiningPanel({ plan, forecast }: StationProps) {
  const { vessel } = forecast.light.resolved;
  const pieces = liningFor(vessel, forecast.light.fill.depthM);
  const svg = liningSvg(pieces, `Lining for ${vessel.name}`);
  return (
    <Stack spacing={0.5} component="section" aria-label="Lining">
      <Typography variant="h3" component="h3">
        Paper for it
      </Typography>
      <Typography variant="body2">
        <Told>{`${sentenceCase(liningWords(pieces))}.`}</Told>
      </Typography>
      <Button
        component="a"
        href={`data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`}
        download={`lining ${plan.name.slice(0, 60)}.svg`}
        sx={{ alignSelf: 'flex-start' }}
      >
        Drawing at true scale, to print
      </Button>
    </Stack>
  );
}
