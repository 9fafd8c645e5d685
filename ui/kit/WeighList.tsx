'use client';
import { Box, Typography } from '@mui/material';
import type { WeighOut } from '@/core/steps';
import { roundGrams, sayGrams } from '@/core/units';
import { Told } from './units';

/** What to weigh out, batter by batter and apart, with how it is bought and what is easily mixed up: on the card and at the stove. */
export function WeighList({ groups, columns = 2 }: { groups: readonly WeighOut[]; columns?: number }) {
  return (
    <Box sx={{ columns: { xs: 1, sm: columns }, columnGap: 3, my: 0.5 }}>
      {groups.map((g) => (
        <Box key={g.name} sx={{ breakInside: 'avoid', mb: 0.75 }}>
          <Typography component="h3" sx={{ fontWeight: 600, fontSize: 'inherit' }}>
            <Told>{`${g.name}, ${sayGrams(g.massG)}`}</Told>
          </Typography>
          <Box component="ul" sx={{ pl: 2.5, my: 0 }}>
            {g.amounts.map((a, i) => (
              <li key={i}>
                {a.name}{' '}
                <b>
                  <Told>{a.fine ? `${roundGrams(a.massG, 'fine').value} g` : sayGrams(a.massG)}</Told>
                </b>
                <Told>{`${a.note ? `, ${a.note}` : ''}${a.bought ? ` (${a.bought})` : ''}`}</Told>
              </li>
            ))}
          </Box>
          {(g.lookAlikes ?? []).map((x) => (
            <Box key={x} sx={{ fontSize: '0.9em', color: 'text.secondary', fontStyle: 'italic' }}>
              {x}
            </Box>
          ))}
        </Box>
      ))}
    </Box>
  );
}
