import { Box, Typography } from '@mui/material';
import type { WeighOut } from '@/core/steps';
import { roundGrams, sayGrams } from '@/core/units';

/** What to weigh out, batter by batter and apart: on the card and at the stove. */
export function WeighList({ groups, columns = 2 }: { groups: readonly WeighOut[]; columns?: number }) {
  return (
    <Box sx={{ columns: { xs: 1, sm: columns }, columnGap: 3, my: 0.5 }}>
      {groups.map((g) => (
        <Box key={g.name} sx={{ breakInside: 'avoid', mb: 0.75 }}>
          <Typography component="h3" sx={{ fontWeight: 600, fontSize: 'inherit' }}>
            {g.name}, {sayGrams(g.massG)}
          </Typography>
          <Box component="ul" sx={{ pl: 2.5, my: 0 }}>
            {g.amounts.map((a, i) => (
              <li key={i}>
                {a.name} <b>{a.fine ? `${roundGrams(a.massG, 'fine').value} g` : sayGrams(a.massG)}</b>
                {a.note ? `, ${a.note}` : ''}
              </li>
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
