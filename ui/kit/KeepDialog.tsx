'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogTitle, Stack } from '@mui/material';
import { useState, type ReactNode } from 'react';
import { Say } from './Say';

/** A dialog that keeps what is in it, or stays open and says everything that is wrong with it. */
export function KeepDialog({
  title,
  keepWords = 'Keep it',
  maxWidth = 'sm',
  onClose,
  onKeep,
  children,
}: {
  title: string;
  keepWords?: string;
  maxWidth?: 'xs' | 'sm';
  onClose: () => void;
  /** Keeps it; returns what is wrong instead, or fails with why it could not be kept. */
  onKeep: () => Promise<readonly string[]>;
  children: ReactNode;
}) {
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const keep = () =>
    onKeep().then(setTrouble, (e: unknown) => setTrouble([e instanceof Error ? e.message : 'Not kept; try again.']));
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth={maxWidth}>
      <DialogTitle>{title}</DialogTitle>
      <DialogContent>
        <Stack spacing={1.5} sx={{ pt: 1 }}>
          {children}
          {trouble.map((t) => (
            <Say key={t} tone="stop" role="alert">
              {t}
            </Say>
          ))}
        </Stack>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button variant="contained" onClick={() => void keep()}>
          {keepWords}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
