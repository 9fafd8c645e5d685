'use client';
import { produce } from 'immer';
import { accompanimentAmounts, tableSaltPer15Ml, type AccompanimentAmounts } from '@/core/flow';
import type { Larder } from '@/core/larder';
import { freshLineId, lineIds, type Accompaniment, type Plan } from '@/core/plan';
import { keepingOf, SAUCES, sauceById, withSauce } from '@/core/sauces';
import { sayGrams, there } from '@/core/units';
import {
  Choice,
  Column,
  CrossMark,
  IconPress,
  Note,
  NumberField,
  Panel,
  PlusMark,
  Press,
  Row,
  Soft,
  Told,
  WordsField,
} from '../kit';
import { changeAt } from '../plan/changeAt';
import type { StationProps } from '../plan/StationProps';
import look from './mix.module.css';

const AMOUNT_WORDS = { head: 'A head', piece: 'A piece', batch: 'In all', pack: 'Packs' } as const;
/** So many a plan can have. */
const MOST = 10;

const changeSauce = (plan: Plan, i: number, change: Partial<Accompaniment>): Plan =>
  produce(plan, (p) => changeAt(p.accompaniments, i, change));
const changeSauceLine = (plan: Plan, i: number, k: number, change: Partial<Accompaniment['lines'][number]>): Plan =>
  produce(plan, (p) => changeAt(p.accompaniments[i]?.lines, k, change));
/** A sauce of its own, of two parts to begin with. */
const withEmptySauce = (p: Plan): Plan => ({
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
});

interface SauceProps {
  readonly sauce: Accompaniment;
  readonly at: number;
  readonly amounts: AccompanimentAmounts;
  readonly larder: Larder;
  readonly edit: StationProps['edit'];
}

/** Sauces and toppings by parts, scaled by head; the salt of the cook's own bottle balances the dip. */
export function SaucesPanel({ plan, forecast, edit }: StationProps) {
  const { larder } = forecast.light.resolved;
  const usual = forecast.light.family.usualSauces;
  return (
    <Column>
      {plan.accompaniments.map((sauce, at) => {
        const amounts = accompanimentAmounts(sauce, { guests: plan.guests, pieces: forecast.light.pieces, larder });
        const keeping = keepingOf(sauce, larder);
        const props = { sauce, at, amounts, larder, edit };
        return (
          <Panel key={sauce.id}>
            <Column>
              <SauceHead {...props} />
              {sauce.lines.map((l, k) => (
                <SauceLine key={l.id} {...props} line={l} k={k} />
              ))}
              <Soft>
                <Told>{sayGrams(amounts.massG)}</Told> {sauce.amount.by === 'head' ? `for ${plan.guests}` : 'in all'};
                salt {amounts.saltPct.toFixed(1)} %, sugar {amounts.sugarPct.toFixed(1)} %
                {amounts.balanced ? ', balanced to your bottle' : ''}.
              </Soft>
              <Note>
                <Told>{`${keeping.words} ${keeping.ahead}`}</Told>
              </Note>
              <Press
                quiet
                onClick={() =>
                  edit(`sauce.${at}.add.${sauce.lines.length}`, (p) =>
                    changeSauce(p, at, {
                      lines: [
                        ...there(p.accompaniments[at]).lines,
                        { id: freshLineId(lineIds(p), 'water'), ingredient: 'water', parts: 1 },
                      ],
                    }),
                  )
                }
              >
                <PlusMark />
                Add a part
              </Press>
            </Column>
          </Panel>
        );
      })}
      <Choice
        label="Add one of ours"
        value=""
        width={300}
        options={[...usual.flatMap((id) => sauceById(id) ?? []), ...SAUCES.filter((x) => !usual.includes(x.id))].map(
          (x) => ({ value: x.id, words: x.name, hint: x.about }),
        )}
        onChange={(id) => {
          const sauce = sauceById(id);
          if (sauce && plan.accompaniments.length < MOST) edit(`sauce.add.${id}`, (p) => withSauce(p, sauce));
        }}
      />
      <Press
        disabled={plan.accompaniments.length >= MOST}
        onClick={() => edit(`sauce.new.${plan.accompaniments.length}`, withEmptySauce)}
      >
        <PlusMark />
        An empty sauce or topping
      </Press>
    </Column>
  );
}

/** What it is called, and how much of it. */
function SauceHead({ sauce, at, edit }: SauceProps) {
  const { amount } = sauce;
  const packs = amount.by === 'pack';
  return (
    <Row align="end">
      <WordsField
        label="Name"
        value={sauce.name}
        most={120}
        wrong={(name) => (name === '' ? 'Give it a name.' : undefined)}
        onTake={(name) => edit(`sauce.${at}.name`, (p) => changeSauce(p, at, { name }))}
        width={200}
      />
      <NumberField
        label={AMOUNT_WORDS[amount.by]}
        value={amount.by === 'pack' ? amount.packs : amount.grams}
        min={0}
        max={packs ? 100 : 50000}
        unit={packs ? '' : 'g'}
        width={110}
        onChange={(n) =>
          edit(`sauce.${at}.head`, (p) =>
            changeSauce(p, at, { amount: amount.by === 'pack' ? { by: 'pack', packs: n } : { ...amount, grams: n } }),
          )
        }
      />
      <IconPress
        label={`Take out ${sauce.name}`}
        onClick={() =>
          edit(`sauce.${at}.remove`, (p) => ({ ...p, accompaniments: p.accompaniments.filter((_, j) => j !== at) }))
        }
      >
        <CrossMark size="small" />
      </IconPress>
    </Row>
  );
}

/** One part of it, with the salt of its bottle where it is salty. */
function SauceLine({
  sauce,
  at,
  amounts,
  larder,
  edit,
  line,
  k,
}: SauceProps & { readonly line: Accompaniment['lines'][number]; readonly k: number }) {
  const table = tableSaltPer15Ml(larder, line.ingredient);
  const change = (field: string, to: Partial<Accompaniment['lines'][number]>) =>
    edit(`sauce.${at}.${k}.${field}`, (p) => changeSauceLine(p, at, k, to));
  return (
    <Row align="center">
      <Choice
        as="bare"
        label={`Ingredient ${k + 1} of ${sauce.name}`}
        value={line.ingredient}
        width={190}
        options={[...larder.values()]
          .filter((i) => i.kind !== 'alkali' && i.kind !== 'raising')
          .map((i) => ({ value: i.id, words: i.name }))}
        onChange={(ingredient) => change('ing', { ingredient, saltPer15Ml: undefined })}
      />
      <NumberField
        as="bare"
        label={`Parts of ${line.ingredient} in ${sauce.name}`}
        value={line.parts}
        min={0}
        max={1000}
        width={76}
        onChange={(parts) => change('parts', { parts })}
      />
      <p className={look.amount} data-testid={`sauce-${sauce.id}-${line.ingredient}`}>
        <Told>{sayGrams(amounts.lines[k]?.massG ?? 0)}</Told>
      </p>
      {table > 0.5 ? (
        <NumberField
          label="Salt in 15 ml, label"
          value={line.saltPer15Ml}
          min={0}
          max={6}
          unit="g of salt"
          width={150}
          helper={line.saltPer15Ml === undefined ? `table: ${table.toFixed(1)} g` : undefined}
          onChange={(saltPer15Ml) => change('salt', { saltPer15Ml })}
          onClear={() => change('salt', { saltPer15Ml: undefined })}
        />
      ) : null}
    </Row>
  );
}
