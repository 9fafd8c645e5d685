'use client';
import { Box, Stack, Typography } from '@mui/material';
import { sheetForecast } from '@/core/stations/mix/sheet';
import { sayMm } from '@/core/units';
import { Fact, Say, Told } from '../kit';
import type { StationProps } from '../plan/StationProps';

/** Whether the sheet rolls without cracking and lifts without tearing, and what would move the limits. */
export function SheetPanel({ forecast }: StationProps) {
  const s = sheetForecast(forecast.light);
  if (!s) return null;
  return (
    <Stack spacing={0.75} component="section" aria-label="Sheets that hold">
      <Typography variant="h3" component="h3">
        Will it hold
      </Typography>
      <Stack direction="row" spacing={2.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Fact name="This sheet">{sayMm(s.depthM)}</Fact>
        <Fact name="Thickest that rolls" note={`${sayMm(s.cold.thickestM)} once cold`}>
          {sayMm(s.hot.thickestM)}
        </Fact>
        <Fact name="Thinnest that lifts">{sayMm(s.hot.thinnestM)}</Fact>
        <Fact name="Grain of the flour">{Math.round(s.grainUm)} µm</Fact>
      </Stack>
      <Say tone={s.rolls && s.lifts ? 'ready' : 'watch'}>{s.sentence}</Say>
      <Box component="ul" sx={{ m: 0, pl: 2.5, fontSize: 14 }}>
        {s.levers.map((l) => (
          <li key={l}>
            <Told>{l}</Told>
          </li>
        ))}
      </Box>
    </Stack>
  );
}
