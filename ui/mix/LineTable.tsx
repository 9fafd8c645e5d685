'use client';
import { Autocomplete, Box, IconButton, Stack, Table, TableBody, TableCell, TableHead, TableRow, TextField, Tooltip } from '@mui/material';
import { isDryBlend, type Larder } from '@/core/larder';
import type { Line, Plan, Treatment } from '@/core/plan';
import { drawsJuice } from '@/core/mix';
import { Choice, CrossMark, NumberField } from '../kit';
import { AmountCell } from './AmountCell';
import { addLine, changeLine, removeLine, type LinePlace } from './editLines';

const TREATMENT_WORDS: Partial<Record<Treatment, string>> = {
  'as-is': 'as is', wilted: 'wilted, juice kept', 'squeezed-hard': 'salted, squeezed hard', 'squeezed-by-hand': 'salted, squeezed by hand', drained: 'salted, drained', parboiled: 'parboiled', fried: 'fried', mashed: 'mashed',
  boiling: 'boiling', syrup: 'in syrup', 'soaking-liquid': 'soaking liquid', soaked: 'soaked', sugared: 'sugared',
};
const FOR_VEG: readonly Treatment[] = ['as-is', 'wilted', 'squeezed-hard', 'squeezed-by-hand', 'drained', 'parboiled', 'fried', 'mashed', 'sugared'];
const FOR_REST: readonly Treatment[] = ['as-is', 'fried', 'boiling', 'syrup', 'soaking-liquid', 'soaked'];

interface Props {
  readonly title: string;
  readonly place: LinePlace;
  readonly lines: readonly Line[];
  readonly larder: Larder;
  readonly dryBlendG: number;
  readonly edit: (key: string, change: (p: Plan) => Plan) => void;
}

/** Lines of one batter or the add-ins: grams at once, share of the dry blend beside the flours, treatment where it moves water. */
export function LineTable({ title, place, lines, larder, dryBlendG, edit }: Props) {
  const all = [...larder.values()];
  return (
    <Box>
      <Table size="small" aria-label={title} sx={{ tableLayout: 'fixed',  '& td, & th': { px: 0.75, py: 0.4, borderColor: 'divider' } }}>
        <TableHead><TableRow><TableCell>{title}</TableCell><TableCell sx={{ width: { xs: 92, sm: 190 } }}>{place === 'addIns' ? 'goes in' : 'share'}</TableCell><TableCell align="right" sx={{ width: { xs: 96, sm: 130 } }}>amount</TableCell><TableCell sx={{ width: 34 }} /></TableRow></TableHead>
        <TableBody>
          {lines.map((line, i) => {
            const ing = larder.get(line.ingredient);
            const dry = ing && isDryBlend(ing);
            const wet = ing?.kind === 'vegetable' || ing?.kind === 'fruit';
            const options = (wet ? FOR_VEG : FOR_REST).map((t) => ({ value: t, words: TREATMENT_WORDS[t] ?? t }));
            const showTreatment = place === 'addIns' || (ing?.kind === 'liquid' && line.treatment !== 'as-is');
            return (
              <TableRow key={`${line.ingredient}-${i}`}>
                <TableCell sx={{ verticalAlign: 'middle' }}>
                  {ing?.name ?? line.ingredient}
                </TableCell>
                <TableCell>
                  {dry && dryBlendG > 0 ? `${((100 * line.massG) / dryBlendG).toFixed(0)} %` : ''}
                  {showTreatment ? <Choice bare label={`How ${ing?.name ?? 'it'} goes in`} value={line.treatment} options={options} width="100%" onChange={(treatment) => edit(`${place}.${i}.treatment`, (p) => changeLine(p, place, i, { treatment }))} /> : null}
                </TableCell>
                <TableCell align="right" sx={{ verticalAlign: 'top' }}>
                  <Stack sx={{ alignItems: 'flex-end' }} spacing={0.5}>
                    <AmountCell ingredient={ing} name={ing?.name ?? line.ingredient} massG={line.massG} onChange={(massG) => edit(`${place}.${i}.massG`, (p) => changeLine(p, place, i, { massG }))} />
                    {drawsJuice(line.treatment) ? <NumberField label="Juice weighed" value={line.weighedG} min={0} max={50000} unit="g" width={{ xs: 88, sm: 128 }} onChange={(weighedG) => edit(`${place}.${i}.weighed`, (p) => changeLine(p, place, i, { weighedG }))} onClear={() => edit(`${place}.${i}.weighed`, (p) => changeLine(p, place, i, { weighedG: undefined }))} /> : null}
                  </Stack>
                </TableCell>
                <TableCell sx={{ width: 34, verticalAlign: 'top' }}>
                  <Tooltip title="Take it out"><IconButton size="small" aria-label={`Take out ${ing?.name ?? line.ingredient}`} onClick={() => edit(`${place}.${i}.remove`, (p) => removeLine(p, place, i))}><CrossMark fontSize="small" /></IconButton></Tooltip>
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
      <Autocomplete
        size="small" options={all} getOptionLabel={(o) => o.name} value={null} blurOnSelect clearOnBlur sx={{ mt: 0.75, maxWidth: 320 }}
        onChange={(_, ing) => { if (ing) edit(`${place}.add.${ing.id}`, (p) => addLine(p, place, ing.id)); }}
        renderInput={(params) => <TextField {...params} label={place === 'addIns' ? 'Add an add-in' : 'Add an ingredient'} />}
      />
    </Box>
  );
}
