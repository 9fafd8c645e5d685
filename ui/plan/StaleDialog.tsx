'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from '@mui/material';
import type { Plan } from '@/core/plan';
import type { StoredPlanDoc } from './documentState';

const describe = (p: Plan): string =>
  `"${p.name}", ${Math.round(p.batters.reduce((s, b) => s + b.lines.reduce((a, l) => a + l.massG, 0), 0) + p.addIns.reduce((s, l) => s + l.massG, 0))} g weighed in, ${p.guests} guests`;

/** Two windows changed one plan: the cook chooses which version goes on. Both stay kept. */
export default function StaleDialog({
  theirs,
  mine,
  onChoose,
}: {
  theirs: StoredPlanDoc | undefined;
  mine: Plan;
  onChoose: (choice: 'mine' | 'theirs') => void;
}) {
  return (
    <Dialog open={theirs !== undefined} aria-labelledby="stale-title">
      <DialogTitle id="stale-title">This plan was changed in another window</DialogTitle>
      <DialogContent>
        <Typography>
          Both changed the same thing. What only one of them changed is kept of both; for the rest, which one do you go
          on with?
        </Typography>
        <Typography sx={{ mt: 1 }}>Here: {describe(mine)}.</Typography>
        <Typography>There: {theirs ? describe(theirs.plan) : ''}.</Typography>
      </DialogContent>
      <DialogActions>
        <Button size="large" onClick={() => onChoose('theirs')}>
          Take the other window&apos;s
        </Button>
        <Button size="large" variant="contained" onClick={() => onChoose('mine')}>
          Go on with this one
        </Button>
      </DialogActions>
    </Dialog>
  );
}
