'use client';
import { Button, IconButton, Paper, Stack, Typography } from '@mui/material';
import { produce } from 'immer';
import { freshLineId, lineIds, type Accompaniment, type Plan } from '@/core/plan';
import { accompanimentAmounts, tableSaltPer15Ml } from '@/core/flow';
import { keepingOf, SAUCES, sauceById, withSauce } from '@/core/sauces';
import { sayGrams, there } from '@/core/units';
import { Choice, CrossMark, NumberField, PlusMark, Told, WordsField } from '../kit';
import { changeAt } from '../plan/changeAt';
import type { StationProps } from '../plan/StationProps';

const AMOUNT_WORDS = { head: 'A head', piece: 'A piece', batch: 'In all', pack: 'Packs' } as const;

const changeSauce = (plan: Plan, i: number, change: Partial<Accompaniment>): Plan =>
  produce(plan, (p) => changeAt(p.accompaniments, i, change));
const changeSauceLine = (plan: Plan, i: number, k: number, change: Partial<Accompaniment['lines'][number]>): Plan =>
  produce(plan, (p) => changeAt(p.accompaniments[i]?.lines, k, change));

/** Sauces and toppings by parts, scaled by head; the salt of the cook's own bottle balances the dip. */
export function SaucesPanel({ plan, forecast, edit }: StationProps) {
  const { larder } = forecast.light.resolved;
  const options = [...larder.values()]
    .filter((i) => i.kind !== 'alkali' && i.kind !== 'raising')
    .map((i) => ({ value: i.id, words: i.name }));
  return (
    <Stack spacing={1.5}>
      {plan.accompaniments.map((s, i) => {
        const keeping = keepingOf(s, larder);
        const amounts = accompanimentAmounts(s, { guests: plan.guests, pieces: forecast.light.pieces, larder });
        return (
          <Paper key={s.id} sx={{ p: 1.25 }}>
            <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', alignItems: 'flex-start', mb: 1 }}>
              <WordsField
                label="Name"
                value={s.name}
                most={120}
                wrong={(name) => (name === '' ? 'Give it a name.' : undefined)}
                onTake={(name) => edit(`sauce.${i}.name`, (p) => changeSauce(p, i, { name }))}
                width={200}
              />
              <NumberField
                label={AMOUNT_WORDS[s.amount.by]}
                value={s.amount.by === 'pack' ? s.amount.packs : s.amount.grams}
                min={0}
                max={s.amount.by === 'pack' ? 100 : 50000}
                unit={s.amount.by === 'pack' ? '' : 'g'}
                width={110}
                onChange={(n) =>
                  edit(`sauce.${i}.head`, (p) =>
                    changeSauce(p, i, {
                      amount: s.amount.by === 'pack' ? { by: 'pack', packs: n } : { ...s.amount, grams: n },
                    }),
                  )
                }
              />
              <IconButton
                aria-label={`Take out ${s.name}`}
                onClick={() =>
                  edit(`sauce.${i}.remove`, (p) => ({
                    ...p,
                    accompaniments: p.accompaniments.filter((_, j) => j !== i),
                  }))
                }
              >
                <CrossMark size="small" />
              </IconButton>
            </Stack>
            {s.lines.map((l, k) => {
              const table = tableSaltPer15Ml(larder, l.ingredient);
              return (
                <Stack
                  key={k}
                  direction="row"
                  spacing={1}
                  useFlexGap
                  sx={{ alignItems: 'center', mb: 0.5, flexWrap: 'wrap' }}
                >
                  <Choice
                    as="bare"
                    label={`Ingredient ${k + 1} of ${s.name}`}
                    value={l.ingredient}
                    width={190}
                    options={options}
                    onChange={(ingredient) =>
                      edit(`sauce.${i}.${k}.ing`, (p) =>
                        changeSauceLine(p, i, k, { ingredient, saltPer15Ml: undefined }),
                      )
                    }
                  />
                  <NumberField
                    as="bare"
                    label={`Parts of ${l.ingredient} in ${s.name}`}
                    value={l.parts}
                    min={0}
                    max={1000}
                    width={76}
                    onChange={(parts) => edit(`sauce.${i}.${k}.parts`, (p) => changeSauceLine(p, i, k, { parts }))}
                  />
                  <Typography sx={{ minWidth: 62, textAlign: 'right' }} data-testid={`sauce-${s.id}-${l.ingredient}`}>
                    <Told>{sayGrams(amounts.lines[k]?.massG ?? 0)}</Told>
                  </Typography>
                  {table > 0.5 ? (
                    <NumberField
                      label="Salt in 15 ml, label"
                      value={l.saltPer15Ml}
                      min={0}
                      max={6}
                      unit="g of salt"
                      width={150}
                      helper={l.saltPer15Ml === undefined ? `table: ${table.toFixed(1)} g` : undefined}
                      onChange={(v) =>
                        edit(`sauce.${i}.${k}.salt`, (p) => changeSauceLine(p, i, k, { saltPer15Ml: v }))
                      }
                      onClear={() =>
                        edit(`sauce.${i}.${k}.salt`, (p) => changeSauceLine(p, i, k, { saltPer15Ml: undefined }))
                      }
                    />
                  ) : null}
                </Stack>
              );
            })}
            <Typography variant="body2" color="text.secondary">
              <Told>{sayGrams(amounts.massG)}</Told> {s.amount.by === 'head' ? `for ${plan.guests}` : 'in all'}; salt{' '}
              {amounts.saltPct.toFixed(1)} %, sugar {amounts.sugarPct.toFixed(1)} %
              {amounts.balanced ? ', balanced to your bottle' : ''}.
            </Typography>
            <Typography variant="body2">
              <Told>{`${keeping.words} ${keeping.ahead}`}</Told>
            </Typography>
            <Button
              startIcon={<PlusMark />}
              onClick={() =>
                edit(`sauce.${i}.add.${s.lines.length}`, (p) =>
                  changeSauce(p, i, {
                    lines: [
                      ...there(p.accompaniments[i]).lines,
                      { id: freshLineId(lineIds(p), 'water'), ingredient: 'water', parts: 1 },
                    ],
                  }),
                )
              }
            >
              Add a part
            </Button>
          </Paper>
        );
      })}
      <Choice
        label="Add one of ours"
        value=""
        width={300}
        options={[
          ...forecast.light.family.usualSauces.flatMap((id) => sauceById(id) ?? []),
          ...SAUCES.filter((x) => !forecast.light.family.usualSauces.includes(x.id)),
        ].map((x) => ({ value: x.id, words: x.name, hint: x.about }))}
        onChange={(id) => {
          const sauce = sauceById(id);
          if (sauce && plan.accompaniments.length < 10) edit(`sauce.add.${id}`, (p) => withSauce(p, sauce));
        }}
      />
      <Button
        variant="outlined"
        sx={{ alignSelf: 'flex-start' }}
        startIcon={<PlusMark />}
        disabled={plan.accompaniments.length >= 10}
        onClick={() =>
          edit(`sauce.new.${plan.accompaniments.length}`, (p) => ({
            ...p,
            accompaniments: [
              ...p.accompaniments,
              {
                id: `sauce-${p.accompaniments.length + 1}-${p.accompaniments.reduce((n, x) => n + x.name.length, 0)}`,
                name: 'New sauce',
                role: 'sauce',
                amount: { by: 'head', grams: 20 },
                method: 'stir',
                lines: [
                  { id: freshLineId(lineIds(p), 'light-soy'), ingredient: 'light-soy', parts: 2 },
                  { id: freshLineId(lineIds(p), 'water'), ingredient: 'water', parts: 2 },
                ],
              },
            ],
          }))
        }
      >
        An empty sauce or topping
      </Button>
    </Stack>
  );
}
