import { Box } from '@mui/material';
import type { StepMoment } from '@/core/steps';
import { sayDuration } from '@/core/units';
import { Told } from './units';

/** The moments inside a step: each pour of a layered cake, on the clock of the first. */
export function PourTable({ moments }: { moments: readonly StepMoment[] }) {
  return (
    <Box
      component="table"
      aria-label="Pours"
      sx={{ borderCollapse: 'collapse', my: 0.5, '& td': { pr: 1.5, py: 0.1 } }}
    >
      <tbody>
        {moments.map((m) => (
          <tr key={m.words}>
            <Box component="td" sx={{ textAlign: 'right', whiteSpace: 'nowrap', fontWeight: 600 }}>
              {m.atS < 1 ? 'start' : sayDuration(m.atS)}
            </Box>
            <td>
              <Told>{m.words}</Told>
            </td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}
