'use client';
import { IconButton, Stack, TableCell, TableRow } from '@mui/material';
import { memo } from 'react';
import type { Ingredient } from '@/core/larder';
import { drawsJuice, usualDrawSalt, weighingOf, withReading, type Line, type Plan, type Treatment } from '@/core/plan';
import { Choice, CrossMark, NumberField } from '../kit';
import { AmountCell } from './AmountCell';
import { changeLine, removeLine, type LinePlace } from './editLines';

const TREATMENT_WORDS: Partial<Record<Treatment, string>> = {
  'as-is': 'as is',
  wilted: 'wilted, juice kept',
  'squeezed-hard': 'salted, squeezed hard',
  'squeezed-by-hand': 'salted, squeezed by hand',
  drained: 'salted, drained',
  parboiled: 'parboiled',
  fried: 'fried',
  mashed: 'mashed',
  boiling: 'boiling',
  syrup: 'in syrup',
  'soaking-liquid': 'soaking liquid',
  soaked: 'soaked',
  sugared: 'sugared',
  'to-the-mark': 'to the mark',
  bloomed: 'bloomed',
  roux: 'part cooked to paste',
  'soaked-alkali': 'soaked with lime',
  'squeezed-boiled': 'squeezed unsalted, boiled in its juice',
  'boiled-down': 'fried, then boiled down',
  infused: 'steeped, blended, strained',
  frying: 'to fry in',
};
const words = (list: readonly Treatment[]) => list.map((t) => ({ value: t, words: TREATMENT_WORDS[t] ?? t }));
const FOR_VEG = words([
  'as-is',
  'wilted',
  'squeezed-hard',
  'squeezed-by-hand',
  'drained',
  'squeezed-boiled',
  'parboiled',
  'fried',
  'boiled-down',
  'mashed',
  'sugared',
  'infused',
]);
const FOR_LIQUID = words(['as-is', 'boiling', 'syrup', 'soaking-liquid', 'to-the-mark']);
const FOR_FAT = words(['as-is', 'frying']);
const FOR_REST = words(['as-is', 'fried', 'syrup', 'soaked', 'soaked-alkali', 'mashed', 'roux', 'bloomed']);
/** Add-ins of which a share can be kept for the top: what stays in pieces. */
const KEEPABLE: readonly Treatment[] = ['fried', 'parboiled'];
/** What a line of a batter can usefully be asked: how a liquid, a sugar, a grain or a vegetable goes in. */
const ASKED: readonly Ingredient['kind'][] = ['liquid', 'sugar', 'grain', 'vegetable', 'fruit', 'fat'];

export interface LineRowProps {
  readonly line: Line;
  readonly ingredient: Ingredient | undefined;
  readonly share: string;
  readonly place: LinePlace;
  readonly index: number;
  /** The cook's weighing of its juice, g. */
  readonly weighed: number | undefined;
  readonly edit: (key: string, change: (p: Plan) => Plan) => void;
}

/** One line: name, share or treatment, amount, and the weighed juice where there is any. */
export const LineRow = memo(function LineRow({ line, ingredient, share, place, index, weighed, edit }: LineRowProps) {
  const name = ingredient?.name ?? line.ingredient;
  const wet = ingredient?.kind === 'vegetable' || ingredient?.kind === 'fruit';
  const options = wet
    ? FOR_VEG
    : ingredient?.kind === 'liquid'
      ? FOR_LIQUID
      : ingredient?.kind === 'fat'
        ? FOR_FAT
        : FOR_REST;
  const asked =
    place === 'addIns' || line.treatment !== 'as-is' || (ingredient !== undefined && ASKED.includes(ingredient.kind));
  const set = (field: string, change: Partial<Line>) =>
    edit(`${place}.${index}.${field}`, (p) => changeLine(p, place, index, change));
  const weighing = weighingOf(line);
  const weigh = (g: number | undefined) => {
    if (weighing) edit(`${place}.${index}.weighed`, (p) => withReading(p, weighing, g));
  };
  return (
    <TableRow>
      <TableCell sx={{ verticalAlign: 'middle' }}>{name}</TableCell>
      <TableCell sx={{ '& > * + *': { mt: 0.75 } }}>
        {share}
        {asked && share === '' ? (
          <Choice
            bare
            label={`How ${name} goes in`}
            value={line.treatment}
            options={options}
            width="100%"
            onChange={(treatment) =>
              set('treatment', { treatment, drawSaltG: line.drawSaltG ?? usualDrawSalt(treatment, line.massG) })
            }
          />
        ) : null}
        {place === 'addIns' && KEEPABLE.includes(line.treatment) ? (
          <NumberField
            label="Kept for the top"
            value={100 * (line.keptBack ?? 0)}
            min={0}
            max={60}
            decimals={0}
            unit="%"
            width="100%"
            onChange={(pct) => set('keptBack', { keptBack: pct > 0 ? pct / 100 : undefined })}
          />
        ) : null}
      </TableCell>
      <TableCell align="right" sx={{ verticalAlign: 'top' }}>
        <Stack sx={{ alignItems: 'flex-end' }} spacing={0.5}>
          <AmountCell
            ingredient={ingredient}
            name={name}
            massG={line.massG}
            onChange={(massG) => set('massG', { massG })}
          />
          {weighing && drawsJuice(line.treatment) ? (
            <NumberField
              label="Juice weighed"
              value={weighed}
              min={0}
              max={50000}
              unit="g"
              width={{ xs: 88, sm: 128 }}
              onChange={(g) => weigh(g)}
              onClear={() => weigh(undefined)}
            />
          ) : null}
        </Stack>
      </TableCell>
      <TableCell sx={{ width: 34, verticalAlign: 'top' }}>
        <IconButton
          size="small"
          title="Take it out"
          aria-label={`Take out ${name}`}
          onClick={() => edit(`${place}.${index}.remove`, (p) => removeLine(p, place, index))}
        >
          <CrossMark fontSize="small" />
        </IconButton>
      </TableCell>
    </TableRow>
  );
});
