'use client';
import { there } from '@/core/units';
import { Button, Dialog, DialogActions, DialogContent, DialogTitle, Stack } from '@mui/material';
import { useId, useRef, useState, type ReactNode } from 'react';
import { PreviewProvider } from './preview';
import { Say } from './Say';
import { sentenceOf } from './request';

/** What is wrong with what is to be kept, or why it was not; `over`: the revision that keeping it once more writes over. */
export interface NotKept {
  readonly sentences: readonly string[];
  readonly over?: number;
}

/** How a dialog was left without keeping. */
export type Left = 'pressed' | 'escaped';

/** The fields in a part of the page that say themselves that they are wrong, each with its name and what is wrong. */
function redFields(part: HTMLElement | null): readonly { readonly field: HTMLElement; readonly sentence: string }[] {
  return [...(part?.querySelectorAll<HTMLElement>('[aria-invalid="true"]') ?? [])].map((field) => {
    const name = field.getAttribute('aria-label') ?? '';
    const help = document.getElementById(field.getAttribute('aria-describedby') ?? '')?.textContent?.trim() ?? '';
    return { field, sentence: `${name === '' ? '' : `${name}: `}${help || 'put this right first.'}` };
  });
}

/** A dialog that keeps what is in it, or stays open and says everything that is wrong with it. A press beside it does not close it. */
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
  onClose: (how: Left) => void;
  /** Keeps it, over a revision the cook was told of; answers with what is wrong instead. */
  onKeep: (over: number | undefined) => Promise<NotKept | undefined>;
  children: ReactNode;
}) {
  const [not, setNot] = useState<NotKept | undefined>(undefined);
  const [busy, setBusy] = useState(false);
  const id = useId();
  const fields = useRef<HTMLDivElement>(null);
  const keep = async () => {
    // What stands in a red field is not in what would be kept: nothing is, until it is put right.
    const red = redFields(fields.current);
    if (red.length > 0) {
      setNot({ sentences: red.map((r) => r.sentence) });
      there(red[0]).field.focus();
      return;
    }
    setBusy(true);
    try {
      setNot(await onKeep(not?.over));
    } catch (e) {
      const over =
        typeof e === 'object' && e !== null && 'revision' in e && typeof e.revision === 'number'
          ? e.revision
          : undefined;
      setNot({ sentences: [sentenceOf(e, 'Not kept; try again.')], over });
    } finally {
      setBusy(false);
    }
  };
  return (
    <Dialog
      open
      onClose={(_, why) => {
        if (why !== 'backdropClick') onClose('escaped');
      }}
      fullWidth
      maxWidth={maxWidth}
      aria-labelledby={id}
    >
      <DialogTitle id={id}>{title}</DialogTitle>
      <DialogContent>
        <PreviewProvider value={undefined}>
          <Stack spacing={1.5} sx={{ pt: 1 }} ref={fields}>
            {children}
            <div role="alert">
              {not?.sentences.map((t) => (
                <Say key={t} tone="stop">
                  {t}
                </Say>
              ))}
            </div>
          </Stack>
        </PreviewProvider>
      </DialogContent>
      <DialogActions>
        <Button onClick={() => onClose('pressed')}>Leave it</Button>
        <Button variant="contained" disabled={busy} onClick={() => void keep()}>
          {keepWords}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
