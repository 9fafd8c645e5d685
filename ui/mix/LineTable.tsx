'use client';
import { Autocomplete, Box, Table, TableBody, TableCell, TableHead, TableRow, TextField } from '@mui/material';
import { memo, useMemo } from 'react';
import { isDryBlend, type Larder } from '@/core/larder';
import { weighingOf, type Line, type Plan } from '@/core/plan';
import { addLine, type LinePlace } from './editLines';
import { LineRow } from './LineRow';

type Edit = (key: string, change: (p: Plan) => Plan) => void;

const AddLine = memo(function AddLine({ place, larder, edit }: { place: LinePlace; larder: Larder; edit: Edit }) {
  const all = useMemo(() => [...larder.values()], [larder]);
  return (
    <Autocomplete
      size="small"
      options={all}
      getOptionLabel={(o) => o.name}
      value={null}
      blurOnSelect
      clearOnBlur
      sx={{ mt: 0.75, maxWidth: 320 }}
      onChange={(_, ing) => {
        if (ing) edit(`${place}.add.${ing.id}`, (p) => addLine(p, place, ing.id));
      }}
      renderInput={(params) => (
        <TextField {...params} label={place === 'addIns' ? 'Add an add-in' : 'Add an ingredient'} />
      )}
    />
  );
});

interface Props {
  readonly title: string;
  readonly place: LinePlace;
  readonly lines: readonly Line[];
  readonly larder: Larder;
  readonly dryBlendG: number;
  readonly readings: Plan['readings'];
  readonly edit: Edit;
}

/** Lines of one batter or the add-ins: amounts at once, share of the dry blend beside the flours, treatment where it moves water. */
export function LineTable({ title, place, lines, larder, dryBlendG, readings, edit }: Props) {
  return (
    <Box>
      <Table
        size="small"
        aria-label={title}
        sx={{ tableLayout: 'fixed', '& td, & th': { px: 0.75, py: 0.4, borderColor: 'divider' } }}
      >
        <TableHead>
          <TableRow>
            <TableCell>{title}</TableCell>
            <TableCell sx={{ width: { xs: 92, sm: 190 } }}>{place === 'addIns' ? 'goes in' : 'share'}</TableCell>
            <TableCell align="right" sx={{ width: { xs: 104, sm: 176 } }}>
              amount
            </TableCell>
            <TableCell sx={{ width: 34 }} />
          </TableRow>
        </TableHead>
        <TableBody>
          {lines.map((line, i) => {
            const ingredient = larder.get(line.ingredient);
            const share =
              ingredient && isDryBlend(ingredient) && dryBlendG > 0
                ? `${((100 * line.massG) / dryBlendG).toFixed(0)} %`
                : '';
            const weighing = weighingOf(line);
            return (
              <LineRow
                key={line.id}
                line={line}
                ingredient={ingredient}
                share={share}
                place={place}
                index={i}
                weighed={weighing && readings[weighing.node]?.[weighing.slot]}
                edit={edit}
              />
            );
          })}
        </TableBody>
      </Table>
      <AddLine place={place} larder={larder} edit={edit} />
    </Box>
  );
}
