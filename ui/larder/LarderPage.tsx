'use client';
import { Box, Button, Snackbar, Stack, TextField, Typography } from '@mui/material';
import { DataGrid, type GridColDef } from '@mui/x-data-grid';
import { useMemo, useState } from 'react';
import { INGREDIENT_TABLE, ingredientSchema, larderOf, type Ingredient } from '@/core/larder';
import type { Kitchen } from '@/core/kitchen';
import { ownIngredient, useKitchenHand } from '../kitchen/useKitchen';
import { PlusMark } from '../kit';
import { AddIngredient } from './AddIngredient';

interface Row {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
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
    pack: r.packG ? { word: i.pack?.word ?? 'pack', massG: r.packG, price: r.price ?? undefined } : i.pack,
  };
  const parsed = ingredientSchema.safeParse(changed);
  if (!parsed.success) throw new Error(parsed.error.issues[0]?.message ?? 'That does not fit; check the figures.');
  return parsed.data;
}

const number = (field: keyof Row, headerName: string, width = 84): GridColDef<Row> => ({
  field,
  headerName,
  type: 'number',
  width,
  editable: true,
});

/** The ingredient table: find, sort, edit in place, add from a label, stock and price. */
export function LarderPage({ kitchen: initial }: { kitchen: Kitchen }) {
  const hand = useKitchenHand(initial);
  const [word, setWord] = useState('');
  const [told, setTold] = useState<string | undefined>(undefined);
  const [adding, setAdding] = useState(false);
  const larder = useMemo(() => larderOf(hand.kitchen.ingredients), [hand.kitchen.ingredients]);
  const rows = useMemo(
    () =>
      [...larder.values()]
        .map(rowOf)
        .filter((r) => `${r.name} ${r.kind}`.toLowerCase().includes(word.trim().toLowerCase())),
    [larder, word],
  );
  const columns: GridColDef<Row>[] = [
    { field: 'name', headerName: 'Ingredient', width: 250, editable: true },
    { field: 'kind', headerName: 'Kind', width: 96 },
    number('water', 'Water'),
    number('starch', 'Starch'),
    number('sugars', 'Sugars'),
    number('fat', 'Fat', 74),
    number('protein', 'Protein'),
    number('fibreAsh', 'Fibre, ash', 96),
    number('density', 'g/ml', 74),
    number('absorption', 'Takes up', 88),
    number('stockG', 'Stock, g', 92),
    number('packG', 'Pack, g', 88),
    number('price', 'Price', 78),
    { field: 'source', headerName: 'From', width: 96 },
    {
      field: 'reset',
      headerName: '',
      width: 108,
      sortable: false,
      renderCell: ({ row }) =>
        row.source === 'yours' && INGREDIENT_TABLE.some((i) => i.id === row.id) ? (
          <Button
            onClick={() =>
              void hand.removeThing('ingredients', row.id).then(() => setTold(`${row.name} is as in the table again.`))
            }
          >
            Table again
          </Button>
        ) : null,
    },
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
          Add from a label
        </Button>
      </Stack>
      <Typography variant="body2" color="text.secondary" gutterBottom>
        Grams in 100 g, spooned density, what a flour takes up, and what is in the cupboard. Double-click a figure to
        change it; parts add up to 100, give or take 2.
      </Typography>
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
            await hand.keepThing('ingredients', ownIngredient(withRow(i, next), {}));
            setTold(`${next.name} is kept.`);
            return next;
          }}
          onProcessRowUpdateError={(e: Error) => setTold(e.message)}
          initialState={{ pagination: { paginationModel: { pageSize: 100 } } }}
          hideFooter
          sx={{ bgcolor: 'background.paper', '& .MuiDataGrid-columnHeaderTitle': { fontWeight: 600 } }}
        />
      </Box>
      <AddIngredient
        open={adding}
        onClose={() => setAdding(false)}
        onAdd={async (i) => {
          await hand.keepThing('ingredients', i);
          setAdding(false);
          setTold(`${i.name} is in the larder.`);
        }}
      />
      <Snackbar open={told !== undefined} message={told} autoHideDuration={7000} onClose={() => setTold(undefined)} />
    </>
  );
}
