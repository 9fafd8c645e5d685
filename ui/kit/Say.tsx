import { Box } from '@mui/material';
import type { ReactNode } from 'react';
import { ToldNode } from './units';

export type Tone = 'ready' | 'watch' | 'stop' | 'plain';
const LOOK: Readonly<Record<Tone, { colour: string; hatch: string; word: string }>> = {
  ready: { colour: 'success.main', hatch: 'none', word: 'Ready' },
  watch: {
    colour: 'warning.main',
    hatch: 'repeating-linear-gradient(135deg, currentColor 0 2px, transparent 2px 7px)',
    word: 'Watch',
  },
  stop: {
    colour: 'error.main',
    hatch: 'repeating-linear-gradient(90deg, currentColor 0 4px, transparent 4px 7px)',
    word: 'Stop',
  },
  plain: { colour: 'text.secondary', hatch: 'none', word: '' },
};

/** A sentence with a tone: colour and hatch together, never colour alone. */
export function Say({
  tone = 'plain',
  children,
  role,
}: {
  tone?: Tone;
  children: ReactNode;
  role?: 'status' | 'alert';
}) {
  const look = LOOK[tone];
  return (
    <Box role={role} sx={{ display: 'flex', gap: 1.25, alignItems: 'stretch', py: 0.25 }}>
      <Box
        aria-hidden
        sx={{
          width: 8,
          flex: 'none',
          color: look.colour,
          backgroundImage: look.hatch,
          border: 1,
          borderColor: look.colour,
          bgcolor: tone === 'ready' ? look.colour : 'transparent',
        }}
      />
      <Box sx={{ minWidth: 0, overflowWrap: 'anywhere' }}>
        {look.word ? <b className="unseen">{look.word}: </b> : null}
        <ToldNode>{children}</ToldNode>
      </Box>
    </Box>
  );
}
