'use client';
import { Box, Stack, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { LayersForecast } from '@/core/forecast';
import { sayDuration, sayGrams, sayMm } from '@/core/units';
import { NumberField, Told } from '../kit';
import { LAYER_COLOURS } from '../section/layerColours';
import type { StationProps } from '../plan/StationProps';

/** Each pour on the hot stack below it: grams, ladle, minutes, and the window between too soon and too late. */
export function LayersPanel({ plan, layers, edit }: StationProps & { layers: LayersForecast | undefined }) {
  return (
    <Stack spacing={1}>
      <Stack direction="row" spacing={2} sx={{ alignItems: 'center' }}>
        <NumberField
          label="Layers"
          value={plan.layers ?? layers?.pours.length ?? 5}
          min={1}
          max={30}
          whole
          decimals={0}
          width={100}
          onChange={(n) => edit('layers', (p) => ({ ...p, layers: n }))}
        />
        <Typography>{layers?.words ?? ''}</Typography>
      </Stack>
      {layers ? (
        <Box sx={{ overflowX: 'auto' }}>
          <Table size="small" aria-label="Pours" sx={{ '& td, & th': { px: 0.75, py: 0.4, whiteSpace: 'nowrap' } }}>
            <TableHead>
              <TableRow>
                <TableCell>Layer</TableCell>
                <TableCell align="right">grams</TableCell>
                <TableCell align="right">ladle</TableCell>
                <TableCell align="right">to</TableCell>
                <TableCell align="right">pour at</TableCell>
                <TableCell align="right">wait</TableCell>
                <TableCell align="right">too late</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {layers.pours.map((p, i) => (
                <TableRow key={i}>
                  <TableCell>
                    <Box
                      component="span"
                      aria-hidden
                      sx={{
                        display: 'inline-block',
                        width: 14,
                        height: 14,
                        mr: 1,
                        verticalAlign: -2,
                        bgcolor: LAYER_COLOURS[p.colour] ?? '#ccc',
                        border: 1,
                        borderColor: 'text.secondary',
                      }}
                    />
                    {i + 1}. {p.batter}
                    {p.stirFirst ? ', stir first' : ''}
                  </TableCell>
                  <TableCell align="right">
                    <Told>{sayGrams(p.grams)}</Told>
                  </TableCell>
                  <TableCell align="right">{Math.round(p.ladleMl)} ml</TableCell>
                  <TableCell align="right">
                    <Told>{sayMm(p.toM)}</Told>
                  </TableCell>
                  <TableCell align="right">{i === 0 ? 'start' : sayDuration(p.atS)}</TableCell>
                  <TableCell align="right">
                    {sayDuration(p.waitS)}
                    {p.waitsFor === 'tacky' ? ', to dry' : p.waitsFor === 'blotting' ? ', blot' : ''}
                  </TableCell>
                  <TableCell align="right">{Number.isFinite(p.tooLateS) ? sayDuration(p.tooLateS) : '–'}</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Box>
      ) : null}
      <Typography variant="body2" color="text.secondary">
        Pour when the layer is set through and its top tacky, not wet; the lid is up for half a minute each time. One
        that has dried with the lid off, or stood fully set past “too late”, takes no other: roughen it with a fork, or
        wet it.
        {layers?.pours.some((p) => p.waitsFor === 'blotting')
          ? ' More drips on the top than it takes up: blot it before the next, or wrap the lid.'
          : ''}
      </Typography>
    </Stack>
  );
}
