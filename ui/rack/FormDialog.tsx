'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogTitle, Stack } from '@mui/material';
import { useState, type ReactNode } from 'react';
import { problemsOf } from '@/core/plan';
import type { z } from 'zod';
import { Say } from '../kit';

/** A dialog that keeps a draft once its schema is content, and says everything that is wrong until then. */
export function FormDialog<T>({
  title,
  schema,
  draft,
  onClose,
  onKeep,
  children,
}: {
  title: string;
  schema: z.ZodType<T>;
  draft: unknown;
  onClose: () => void;
  onKeep: (t: T) => Promise<void>;
  children: ReactNode;
}) {
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const keep = async () => {
    const made = schema.safeParse(draft);
    if (!made.success) {
      setTrouble(problemsOf(made.error).map((p) => p.sentence));
      return;
    }
    try {
      await onKeep(made.data);
    } catch (e) {
      setTrouble([e instanceof Error ? e.message : 'Not kept; try again.']);
    }
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>{title}</DialogTitle>
      <DialogContent>
        <Stack spacing={1.75} sx={{ pt: 1 }}>
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
          Keep it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
