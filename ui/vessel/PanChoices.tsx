'use client';
import { Box, Button, Paper, Stack, Typography } from '@mui/material';
import { scalePlan } from '@/core/plan';
import { choosePans, volumeAtDepth } from '@/core/vessel';
import { sayGrams, sayMm } from '@/core/units';
import type { StationProps } from '../plan/StationProps';

/** The rack's best pans for this batter, and each one both ways: this batter in it, or this depth in it. */
export function PanChoices({ plan, forecast, kitchen, edit }: StationProps) {
  const { light } = forecast;
  const { steamer, vessel } = light.resolved;
  const choices = choosePans(kitchen.vessels, steamer, light.balance.volumeMl, light.family.rise, light.family.depthMm);
  if (kitchen.vessels.length === 0)
    return (
      <Typography color="text.secondary">
        There is nothing on the rack yet: keep your own pans on the Rack page and the best one is found here.
      </Typography>
    );
  if (choices.length === 0)
    return (
      <Typography color="text.secondary">
        Nothing on the rack holds this batter and goes into {steamer.name}: make less, or add a pan.
      </Typography>
    );
  return (
    <Box>
      <Typography variant="h3" component="h3" gutterBottom>
        Pans for this batter
      </Typography>
      <Stack spacing={0.75}>
        {choices.map((c) => {
          const sameDepth =
            (volumeAtDepth(c.vessel, Math.min(light.fill.depthM, c.vessel.heightM / light.family.rise)) * c.count) /
            Math.max(light.balance.volumeMl, 1e-9);
          const here = c.vessel.id === vessel.id && c.count === plan.vesselCount;
          return (
            <Paper
              key={c.vessel.id}
              sx={{
                p: 1,
                display: 'flex',
                gap: 1,
                alignItems: 'center',
                flexWrap: 'wrap',
                borderColor: here ? 'primary.main' : 'divider',
              }}
            >
              <Box sx={{ flex: '1 1 200px' }}>
                <Typography sx={{ fontWeight: 600 }}>
                  {c.count > 1 ? `${c.count} × ` : ''}
                  {c.vessel.name}
                  {here ? ', in use' : ''}
                </Typography>
                <Typography variant="body2" color="text.secondary">
                  {c.why}
                </Typography>
              </Box>
              <Button
                disabled={here}
                onClick={() =>
                  edit(`pan.batter.${c.vessel.id}.${c.count}`, (p) => ({
                    ...p,
                    vessel: c.vessel.id,
                    vesselCount: c.count,
                  }))
                }
              >
                This batter, {sayMm(c.fill.depthM)}
              </Button>
              <Button
                onClick={() =>
                  edit(`pan.depth.${c.vessel.id}.${c.count}`, (p) => ({
                    ...scalePlan(p, sameDepth),
                    vessel: c.vessel.id,
                    vesselCount: c.count,
                  }))
                }
              >
                This depth, {sayGrams(light.balance.massG * sameDepth)}
              </Button>
            </Paper>
          );
        })}
      </Stack>
    </Box>
  );
}
