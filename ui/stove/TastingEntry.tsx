'use client';
import { Box, Button, Paper, Stack, TextField, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { useState } from 'react';
import { z } from 'zod';
import { TEXTURE_AXES } from '@/core/mix';
import { AXIS_WORDS } from '../mix/TextureBars';
import { Say } from '../kit';
import { useHalf } from '../kit/useHalf';
import { sayOutcome } from './outbox';
import type { BatchHand } from './useBatch';

const WORDS = ['less', 'right', 'more'] as const;
type Word = (typeof WORDS)[number];
const halfSchema = z.object({
  overall: z.int().min(1).max(5).nullable(),
  axes: z.partialRecord(z.enum(TEXTURE_AXES), z.enum(WORDS)),
  note: z.string().max(2000),
});
type Half = z.infer<typeof halfSchema>;
const NOTHING: Half = { overall: null, axes: {}, note: '' };
const readHalf = (kept: unknown): Half | undefined => halfSchema.safeParse(kept).data;

/** A fork in one hand: overall one to five, less, right or more for each axis, three words. */
export function TastingEntry({ hand }: { hand: BatchHand }) {
  const { batch, events, record } = hand;
  const [half, setHalf, drop] = useHalf(`tasting/${batch.id}`, NOTHING, readHalf);
  const { overall, axes, note } = half;
  const [told, setTold] = useState<{ words: string; well: boolean } | undefined>(undefined);
  const tasted = events.flatMap((e) => (e.kind === 'tasted' ? [e] : []));
  const send = () => {
    if (overall === null) {
      setTold({ words: 'Choose 1 to 5 first.', well: false });
      return;
    }
    void record({ kind: 'tasted', overall, axes, note: note.trim() }).then((outcome) => {
      setTold({ words: sayOutcome(outcome, 'Written down.'), well: outcome.how === 'written' });
      // What was refused stays in the form, to be put right.
      if (outcome.how === 'refused') return;
      drop();
    });
  };
  return (
    <Paper sx={{ p: 2, my: 2 }}>
      <Typography variant="h2" gutterBottom>
        How does it eat?
      </Typography>
      <Stack direction="row" spacing={2} useFlexGap sx={{ flexWrap: 'wrap', alignItems: 'center' }}>
        <ToggleButtonGroup
          exclusive
          value={overall}
          onChange={(_, v: number | null) => setHalf({ ...half, overall: v })}
          aria-label="Overall, one to five"
        >
          {[1, 2, 3, 4, 5].map((n) => (
            <ToggleButton key={n} value={n} sx={{ width: 56, height: 56, fontSize: 18 }}>
              {n}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 0.75 }}>
          {TEXTURE_AXES.map((axis) => (
            <Stack key={axis} direction="row" spacing={1} sx={{ alignItems: 'center' }}>
              <Typography sx={{ width: 96 }} id={`taste-${axis}`}>
                {AXIS_WORDS[axis]}
              </Typography>
              <ToggleButtonGroup
                exclusive
                size="small"
                value={axes[axis] ?? null}
                aria-labelledby={`taste-${axis}`}
                onChange={(_, v: Word | null) => setHalf({ ...half, axes: { ...axes, [axis]: v ?? undefined } })}
              >
                {WORDS.map((w) => (
                  <ToggleButton key={w} value={w} sx={{ textTransform: 'none', px: 1.5 }}>
                    {w}
                  </ToggleButton>
                ))}
              </ToggleButtonGroup>
            </Stack>
          ))}
        </Box>
      </Stack>
      <TextField
        label="A few words"
        multiline
        fullWidth
        value={note}
        onChange={(e) => setHalf({ ...half, note: e.target.value.slice(0, 2000) })}
        sx={{ my: 1.5 }}
      />
      <Button variant="outlined" sx={{ minHeight: 48 }} onClick={send}>
        Write the tasting down
      </Button>
      <div role="status">{told ? <Say tone={told.well ? 'plain' : 'watch'}>{told.words}</Say> : null}</div>
      {tasted.length > 0 ? (
        <>
          <Typography variant="body2" color="text.secondary">
            {tasted.length} {tasted.length === 1 ? 'tasting' : 'tastings'} in the notebook.
          </Typography>
          <Box component="ul" aria-label="Tastings" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {tasted.map((t) => (
              <Stack component="li" key={t.key} direction="row" spacing={1} sx={{ alignItems: 'center' }}>
                <span style={{ overflowWrap: 'anywhere', minWidth: 0 }}>
                  {t.overall} of 5{t.note ? `, “${t.note}”` : ''}
                </span>
                <Button sx={{ flex: 'none' }} onClick={() => void record({ kind: 'taken-back', of: t.key })}>
                  Take back
                </Button>
              </Stack>
            ))}
          </Box>
        </>
      ) : null}
    </Paper>
  );
}
