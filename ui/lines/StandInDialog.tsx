'use client';
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from '@mui/material';
import { useMemo } from 'react';
import { exchange, standInsFor, whatChanges } from '@/core/desk/substitutes';
import { inUnits, sayDuration, sayGrams } from '@/core/units';
import { useUnits } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { linesAt, type LinePlace } from '@/core/plan';
import { useMinutes } from './useMinutes';
import { overWater } from '@/core/stations/steam/cooking';

/** What it does to the steaming, once that is worked out. */
function minuteWords(nowS: number | undefined, thenS: number | null | undefined): string {
  if (nowS === undefined || thenS === null) return '';
  if (thenS === undefined) return 'Minutes: working it out.';
  const by = thenS - nowS;
  return Math.abs(by) < 30
    ? 'It steams as long.'
    : `It steams ${sayDuration(Math.abs(by))} ${by > 0 ? 'longer' : 'less'}.`;
}

/** What could stand in for a line, each re-balanced and with what it changes; taken with one press and undone like any edit. */
export function StandInDialog({
  plan,
  forecast,
  kitchen,
  edit,
  at,
  onClose,
}: StationProps & {
  readonly at: { readonly place: LinePlace; readonly index: number };
  readonly onClose: () => void;
}) {
  const { larder } = forecast.light.resolved;
  const units = useUnits();
  const line = linesAt(plan, at.place)[at.index];
  const ingredient = line && larder.get(line.ingredient);
  const list = useMemo(
    () =>
      ingredient
        ? standInsFor(ingredient, larder).map((s) => {
            const done = exchange(plan, at.place, at.index, s, larder);
            return { s, done, changes: whatChanges(plan, done.plan, kitchen)?.sentences ?? [] };
          })
        : [],
    [ingredient, larder, plan, at, kitchen],
  );
  const plans = useMemo(() => list.map((x) => x.done.plan), [list]);
  const minutes = useMinutes(plans, kitchen);
  const nowS = overWater(forecast.heat)?.times?.planForS;
  if (!line || !ingredient) return null;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>In place of {ingredient.name.toLowerCase()}</DialogTitle>
      <DialogContent>
        {list.length === 0 ? (
          <Typography>
            {['raising', 'alkali'].includes(ingredient.kind)
              ? 'Nothing in the larder does its work safely.'
              : 'Nothing is known to stand in for it: add what you have as another line and leave this one out.'}
          </Typography>
        ) : (
          list.map(({ s, done, changes }) => (
            <Box
              key={s.to}
              sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-start', py: 1, borderTop: 1, borderColor: 'divider' }}
            >
              <Box sx={{ flex: 1 }}>
                <Typography sx={{ fontWeight: 600 }}>
                  {inUnits(`${larder.get(s.to)?.name ?? s.to}, ${sayGrams(line.massG * s.factor)}`, units)}
                </Typography>
                <Typography variant="body2">
                  {inUnits([s.changes, ...changes, minuteWords(nowS, minutes.get(done.plan))].join(' '), units)}
                </Typography>
                {done.rebalanced.length > 0 ? (
                  <Typography variant="body2" color="text.secondary">
                    {inUnits(`Re-balanced: ${done.rebalanced.join(', ')}.`, units)}
                  </Typography>
                ) : null}
              </Box>
              <Button
                variant="outlined"
                aria-label={`Take ${larder.get(s.to)?.name ?? s.to}`}
                onClick={() => {
                  edit(`standIn.${line.id}.${s.to}`, () => done.plan);
                  onClose();
                }}
              >
                Take it
              </Button>
            </Box>
          ))
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
      </DialogActions>
    </Dialog>
  );
}
