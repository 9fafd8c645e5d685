'use client';
import { isAlike } from '@/core/kitchen';
import { Box, Button, Paper, Stack, Typography } from '@mui/material';
import { panNeed } from '@/core/stations/mix';
import { scalePlan, type Plan } from '@/core/plan';
import { choosePans, volumeAtDepth, type PanChoice } from '@/core/model/vessel';
import { inUnits, sayGrams, sayMm } from '@/core/units';
import { Told, useUnits } from '../kit';
import type { StationProps } from '../plan/StationProps';

const COUNTED = { pans: 'Pans', moulds: 'Moulds', sheets: 'Trays' } as const;

/** The plan in a choice of vessels; further vessels are the choice's own. */
const chosen = (p: Plan, c: PanChoice, gramsAMl: number): Plan => ({
  ...p,
  vessel: c.vessel.id,
  vesselCount: c.count,
  alsoVessels: c.also
    ? [{ id: 'moulds', vessel: c.also.vessel.id, count: c.also.count, massEachG: c.also.eachMl * gramsAMl }]
    : [],
});

/** The rack's best vessels of the right kind for this batter, and each one both ways: this batter in it, or this depth in it. */
export function PanChoices({ plan, forecast, kitchen, edit }: StationProps) {
  const { light } = forecast;
  const { steamer, vessel } = light.resolved;
  const units = useUnits();
  const need = panNeed(light.family, steamer, light.balance.volumeMl);
  if (!need)
    return (
      <Typography color="text.secondary">
        Films are cooked in the frying pan: choose it below, the number follows from the batter.
      </Typography>
    );
  const choices = choosePans(kitchen.vessels, need);
  if (kitchen.vessels.length === 0)
    return (
      <Typography color="text.secondary">
        There is nothing on the rack yet: keep your own pans on the Rack page and the best one is found here.
      </Typography>
    );
  if (choices.length === 0)
    return (
      <Typography color="text.secondary">
        {need.use === 'moulds'
          ? 'There are no small moulds on the rack that go into this steamer: put some there, or see what could stand in for them.'
          : need.use === 'sheets'
            ? 'There is no flat tray on the rack that goes into this steamer: put one there, or see what could stand in for it.'
            : `Nothing on the rack holds this batter${need.steamer ? ` and goes into ${steamer.name}` : ''}: make less, or add a pan.`}
      </Typography>
    );
  const gramsAMl = light.balance.massG / Math.max(light.balance.volumeMl, 1e-9);
  return (
    <Box>
      <Typography variant="h3" component="h3" gutterBottom>
        {COUNTED[need.use]} for this batter
      </Typography>
      <Stack spacing={0.75}>
        {choices.map((c) => {
          const depth = Math.min(light.fill.depthM, c.vessel.heightM / light.family.rise);
          const sameDepth = (volumeAtDepth(c.vessel, depth) * c.count) / Math.max(light.balance.volumeMl, 1e-9);
          const here =
            isAlike(c.vessel, vessel) &&
            c.count === plan.vesselCount &&
            (c.also !== undefined) === plan.alsoVessels.length > 0;
          return (
            <Paper
              key={`${c.vessel.id}${c.also?.vessel.id ?? ''}`}
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
                  {c.count > 1 && need.use === 'pans' ? `${c.count} × ` : ''}
                  {c.vessel.name}
                  {c.also ? ` and ${c.also.vessel.name.toLowerCase()}` : ''}
                  {here ? ', in use' : ''}
                </Typography>
                <Typography variant="body2" color="text.secondary">
                  <Told>{c.why}</Told>
                </Typography>
              </Box>
              <Button
                disabled={here}
                onClick={() => edit(`pan.batter.${c.vessel.id}.${c.count}`, (p) => chosen(p, c, gramsAMl))}
              >
                {inUnits(`This batter, ${sayMm(c.fill.depthM)}`, units)}
              </Button>
              {c.also || need.use !== 'pans' ? null : (
                <Button
                  onClick={() =>
                    edit(`pan.depth.${c.vessel.id}.${c.count}`, (p) => ({
                      ...scalePlan(p, sameDepth),
                      vessel: c.vessel.id,
                      vesselCount: c.count,
                      alsoVessels: [],
                    }))
                  }
                >
                  {inUnits(`This depth, ${sayGrams(light.balance.massG * sameDepth)}`, units)}
                </Button>
              )}
            </Paper>
          );
        })}
      </Stack>
    </Box>
  );
}
