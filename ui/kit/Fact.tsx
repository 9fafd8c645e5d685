import { Box, Typography } from '@mui/material';
import type { Provenance } from '@/core/units';
import type { ReactNode } from 'react';
import { ToldNode } from './units';

const SOURCE_WORDS: Readonly<Record<Provenance, string>> = {
  default: 'from the model',
  measured: 'you measured',
  learned: 'learned from batches',
};

/** One figure with its name and, where it matters, where it comes from. */
export function Fact({
  name,
  children,
  source,
  note,
}: {
  name: string;
  children: ReactNode;
  source?: Provenance;
  note?: ReactNode;
}) {
  return (
    <Box sx={{ minWidth: 84, maxWidth: 190 }}>
      <Typography variant="body2" color="text.secondary">
        {name}
      </Typography>
      <div className="figure">
        <ToldNode>{children}</ToldNode>
      </div>
      {source || note ? (
        <Typography variant="caption" color="text.secondary" component="div">
          <ToldNode>{note ?? (source ? SOURCE_WORDS[source] : '')}</ToldNode>
        </Typography>
      ) : null}
    </Box>
  );
}
