'use client';
import { Box, Button, Stack, TextField, Typography } from '@mui/material';
import { DataGrid, gridNumberComparator, type GridColDef } from '@mui/x-data-grid';
import { useMemo, useState } from 'react';
import { findIngredients, INGREDIENT_TABLE, ingredientSchema, larderOf, type Ingredient } from '@/core/larder';
import { readAmount } from '@/core/units';
import type { PackedKitchen } from '../kitchen/packed';
import { KitchenContext, ownIngredient, useKitchenHand } from '../kitchen/useKitchen';
import { PlusMark, sentenceOf, useTell, Spoken } from '../kit';
import { UnreadableThings } from '../kitchen/UnreadableThings';
import { AddIngredient } from './AddIngredient';
import { FirstBatch } from './FirstBatch';

interface Row {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly also: string;
  readonly allergens: string;
  readonly trimPct: number;
  readonly oneG: number | null;
  readonly water: number;
  readonly starch: number;
  readonly sugars: number;
  readonly fat: number;
  readonly protein: number;
  readonly fibreAsh: number;
  readonly density: number;
  readonly absorption: number | null;
  readonly stockG: number | null;
  readonly price: number | null;
  readonly packG: number | null;
  readonly source: string;
}

const SOURCE = { table: 'table', house: 'our figure', cook: 'yours' } as const;
const rowOf = (i: Ingredient): Row => ({
  id: i.id,
  name: i.name,
  kind: i.kind,
  also: i.alsoCalled.join(', '),
  allergens: i.allergensStated ? i.allergens.join(', ') || 'none' : 'not stated',
  trimPct: Math.round(100 * i.trim),
  oneG: i.piece?.massG ?? null,
  ...i.per100,
  density: i.bulkDensityGPerMl,
  absorption: i.absorption ?? null,
  stockG: i.stockG ?? null,
  price: i.pack?.price ?? null,
  packG: i.pack?.massG ?? null,
  source: SOURCE[i.source],
});

/** A row's edits as an ingredient; the schema says what is wrong. */
function withRow(i: Ingredient, r: Row): Ingredient {
  const changed = {
    ...i,
    name: r.name,
    per100: {
      ...i.per100,
      water: r.water,
      starch: r.starch,
      sugars: r.sugars,
      fat: r.fat,
      protein: r.protein,
      fibreAsh: r.fibreAsh,
    },
    bulkDensityGPerMl: r.density,
    absorption: r.absorption ?? undefined,
    stockG: r.stockG ?? undefined,
    alsoCalled: r.also
      .split(',')
      .map((a) => a.trim())
      .filter((a) => a !== ''),
    trim: r.trimPct / 100,
    piece:
      r.oneG && r.oneG !== i.piece?.massG
        ? { ...i.piece, massG: r.oneG, fromG: r.oneG, toG: r.oneG, weighed: true }
        : i.piece,
    pack: r.packG ? { word: i.pack?.word ?? 'pack', massG: r.packG, price: r.price ?? undefined } : i.pack,
  };
  const parsed = ingredientSchema.safeParse(changed);
  if (!parsed.success) throw new Spoken(parsed.error.issues[0]?.message ?? 'That does not fit; check the figures.');
  return parsed.data;
}

/** A column of figures: typed as everywhere else, and what could be two numbers is asked about, not guessed. */
const number = (field: keyof Row, headerName: string, width = 84): GridColDef<Row> => ({
  field,
  headerName,
  width,
  align: 'right',
  headerAlign: 'right',
  sortComparator: gridNumberComparator,
  editable: true,
  valueParser: (typed: unknown): unknown => {
    if (typeof typed !== 'string') return typed;
    const read = readAmount(typed);
    return read.kind === 'amount' ? read.value : read.kind === 'empty' ? null : typed;
  },
});

/** What is wrong with a figure that was typed into a row; undefined: nothing. */
function wrongFigure(row: Row, columns: readonly GridColDef<Row>[]): string | undefined {
  for (const c of columns) {
    const typed = row[c.field as keyof Row] as unknown;
    if (c.valueParser === undefined || typeof typed !== 'string') continue;
    const read = readAmount(typed);
    if (read.kind === 'ask') return `${read.sentence} Write it without the comma.`;
    if (read.kind === 'bad') return read.sentence;
  }
  return undefined;
}

/** The ingredient table: find, sort, edit in place, add from a label, stock and price. */
export function LarderPage({
  kitchen: initial,
  find = '',
}: {
  kitchen: PackedKitchen;
  /** What is looked for when it opens. */
  find?: string;
}) {
  const tell = useTell();
  const hand = useKitchenHand(initial);
  const [word, setWord] = useState(find);
  const [adding, setAdding] = useState(false);
  const [telling, setTelling] = useState<Ingredient | undefined>(undefined);
  const larder = useMemo(() => larderOf(hand.kitchen.ingredients), [hand.kitchen.ingredients]);
  const rows = useMemo(() => findIngredients(larder.values(), word).map((f) => rowOf(f.ingredient)), [larder, word]);
  const failed = (e: unknown) => tell({ words: sentenceOf(e) });
  const takeOut = (id: string) =>
    hand
      .removeThing(
        'ingredients',
        id,
        `${larder.get(id)?.name ?? id} is ${INGREDIENT_TABLE.some((i) => i.id === id) ? 'as in the table again' : 'out of the larder'}.`,
      )
      .catch(failed);
  const columns: GridColDef<Row>[] = [
    { field: 'name', headerName: 'Ingredient', width: 250, editable: true },
    {
      field: 'reset',
      headerName: '',
      width: 118,
      sortable: false,
      renderCell: ({ row }) => {
        if (row.source !== 'yours') return null;
        const shipped = INGREDIENT_TABLE.some((i) => i.id === row.id);
        const mine = larder.get(row.id);
        return (
          <>
            {mine?.characterised ? <Button onClick={() => setTelling(mine)}>First batch</Button> : null}
            <Button onClick={() => void takeOut(row.id)}>{shipped ? 'Table again' : 'Take out'}</Button>
          </>
        );
      },
    },
    number('stockG', 'Stock, g', 88),
    number('oneG', 'One, g', 80),
    number('trimPct', 'Trim, %', 82),
    number('packG', 'Pack, g', 84),
    number('price', 'Price', 74),
    { field: 'allergens', headerName: 'Allergens', width: 130 },
    number('water', 'Water', 78),
    number('starch', 'Starch', 78),
    number('sugars', 'Sugars', 80),
    number('fat', 'Fat', 66),
    number('protein', 'Protein', 80),
    number('fibreAsh', 'Fibre, ash', 94),
    number('density', 'g/ml', 72),
    number('absorption', 'Takes up', 86),
    { field: 'also', headerName: 'Also called', width: 220, editable: true },
    { field: 'kind', headerName: 'Kind', width: 96 },
    { field: 'source', headerName: 'From', width: 96 },
  ];
  return (
    <>
      <Stack direction="row" spacing={2} useFlexGap sx={{ my: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography variant="h1">Larder</Typography>
        <TextField
          label="Find an ingredient"
          value={word}
          onChange={(e) => setWord(e.target.value)}
          sx={{ width: 260 }}
        />
        <Box sx={{ flex: 1 }} />
        <Button variant="contained" size="medium" startIcon={<PlusMark />} onClick={() => setAdding(true)}>
          Add an ingredient
        </Button>
      </Stack>
      <Typography variant="body2" color="text.secondary" gutterBottom>
        Grams in 100 g, spooned density, what a flour takes up, what trimming takes, what one weighs, and what is in the
        cupboard. Double-click a figure to change it; one weighed piece settles it.
      </Typography>
      <UnreadableThings hand={hand} kinds={(k) => k === 'ingredients'} />
      <Box sx={{ height: 'calc(100dvh - 190px)', minHeight: 360 }}>
        <DataGrid
          rows={rows}
          columns={columns}
          density="compact"
          disableRowSelectionOnClick
          getRowHeight={() => 38}
          processRowUpdate={async (next, old) => {
            const i = larder.get(next.id);
            if (!i) return old;
            const wrong = wrongFigure(next, columns);
            if (wrong) throw new Spoken(wrong);
            // Only what was typed: what another page changed meanwhile in other columns stays.
            const typed = Object.fromEntries(Object.entries(next).filter(([k, v]) => old[k as keyof Row] !== v));
            const row: Row = { ...rowOf(i), ...typed };
            await hand.keepThing('ingredients', ownIngredient(withRow(i, row), {}), `${row.name} is kept.`);
            return row;
          }}
          onProcessRowUpdateError={failed}
          initialState={{ pagination: { paginationModel: { pageSize: 100 } } }}
          pageSizeOptions={[25, 50, 100]}
          sx={{ bgcolor: 'background.paper', '& .MuiDataGrid-columnHeaderTitle': { fontWeight: 600 } }}
        />
      </Box>
      <KitchenContext value={hand}>
        {adding ? (
          <AddIngredient
            called={rows.length === 0 ? word.trim() : ''}
            onClose={() => setAdding(false)}
            onAdd={async (i) => {
              await hand.keepThing('ingredients', i, `${i.name} is in the larder.`);
              setAdding(false);
            }}
          />
        ) : null}
      </KitchenContext>
      {telling ? (
        <FirstBatch
          blend={telling}
          own={hand.kitchen.ingredients}
          onClose={() => setTelling(undefined)}
          onKeep={async (i, over) => {
            await hand.keepThing('ingredients', i, `${i.name} is kept.`, over, telling);
            setTelling(undefined);
          }}
        />
      ) : null}
    </>
  );
}
