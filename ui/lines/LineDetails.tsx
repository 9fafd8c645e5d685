'use client';
import { boughtWords, isSoaked, settlePiece, type Ingredient, type Larder } from '@/core/larder';
import {
  drawsJuice,
  lineTimes,
  isSoakedGrain,
  usualDrawSalt,
  weighingOf,
  withReading,
  type Line,
  type Plan,
} from '@/core/plan';
import { withWait } from '@/core/flow';
import type { WaitCost } from '@/core/stations/mix/waitTradeOffs';
import { Column, NumberField, Row, Small, TimeField, Told, sentenceOf, useTell } from '../kit';
import { useKitchen } from '../kitchen/useKitchen';
import { DryField } from './DryField';

/** Add-ins of which a share can be kept for the top: what stays in pieces. */
const KEEPABLE: readonly Line['treatment'][] = ['fried', 'parboiled'];

export interface DetailsProps {
  readonly line: Line;
  readonly ingredient: Ingredient;
  readonly larder: Larder;
  readonly addIn: boolean;
  /** The cook's weighing of its juice, g. */
  readonly weighed: number | undefined;
  /** What its wait gives, where it waits. */
  readonly wait: WaitCost | undefined;
  readonly set: (field: string, change: Partial<Line>) => void;
  readonly edit: (key: string, change: (p: Plan) => Plan) => void;
}

/** What else a line can be asked: as bought, dry, drawing salt and minutes, soaking water, juice weighed, kept for the top. */
export function LineDetails({ line, ingredient, larder, addIn, weighed, wait, set, edit }: DetailsProps) {
  const { keepThing } = useKitchen();
  const tell = useTell();
  const settle = (g: number) =>
    keepThing(
      'ingredients',
      settlePiece(ingredient, g),
      `One ${ingredient.piece?.word ?? 'piece'} of ${ingredient.name} is taken as ${Math.round(g)} g.`,
    ).catch((e: unknown) => tell({ words: sentenceOf(e) }));
  const salted = usualDrawSalt(line.treatment, 100) !== undefined;
  const draws = drawsJuice(line.treatment);
  const soaked = isSoaked(ingredient);
  const dried = soaked || ingredient.uptake?.as === 'cooked';
  const weighing = draws ? weighingOf(line) : undefined;
  const weigh = (g: number | undefined) => {
    if (weighing) edit(`weigh.${line.id}`, (p) => withReading(p, weighing, g));
  };
  // A dried thing soaks first; its other minutes are those of what is done to it then.
  const own = soaked ? 'soakS' : 'drawS';
  const { [own]: usualS, soakC: waterC } = lineTimes(line);
  const timeS = line[own] ?? wait?.waitS ?? usualS;
  const stands = soaked || isSoakedGrain(line.treatment) || (draws && (wait !== undefined || line[own] !== undefined));
  const bought = dried ? '' : boughtWords(ingredient, line.massG);
  if (!bought && !stands && !dried && !(addIn && KEEPABLE.includes(line.treatment))) return null;
  return (
    <Column>
      {bought ? (
        <Small>
          <Told>{bought}</Told>
        </Small>
      ) : null}
      <Row>
        {dried ? (
          <DryField
            label="Dry"
            width={104}
            ingredient={ingredient}
            massG={line.massG}
            soak={{ timeS, waterC }}
            onChange={(massG) => set('dry', { massG })}
          />
        ) : null}
        {salted ? (
          <NumberField
            label="Salt to draw it"
            value={line.drawSaltG}
            min={0}
            max={5000}
            unit="g"
            width={120}
            onChange={(drawSaltG) => set('drawSaltG', { drawSaltG })}
          />
        ) : null}
        {stands ? (
          <TimeField
            label={soaked || !draws ? 'Soaks' : line.treatment === 'wilted' ? 'Wilts' : 'Stands'}
            timeS={timeS}
            width={112}
            onTake={(wantedS) =>
              edit(`wait.${line.id}`, (p) =>
                withWait(p, wait?.node ?? `${soaked ? 'soak' : 'draw'}:${line.id}`, wantedS, larder),
              )
            }
          />
        ) : null}
        {soaked ? (
          <NumberField
            label="Water at"
            value={waterC}
            min={0}
            max={100}
            decimals={0}
            unit="°C"
            width={104}
            onChange={(soakC) => set('soakC', { soakC })}
          />
        ) : null}
        {ingredient.piece && !soaked && (ingredient.kind === 'vegetable' || ingredient.kind === 'fruit') ? (
          <NumberField
            label={`One ${ingredient.piece.word}`}
            value={ingredient.piece.massG}
            min={0.5}
            max={20000}
            unit="g"
            width={128}
            helper={
              ingredient.piece.weighed
                ? 'your weighing'
                : `usually ${ingredient.piece.fromG} to ${ingredient.piece.toG}`
            }
            settled
            onChange={(g) => void settle(g)}
          />
        ) : null}
        {weighing ? (
          <NumberField
            label="Juice weighed"
            value={weighed}
            min={0}
            max={50000}
            unit="g"
            width={128}
            onChange={(g) => weigh(g)}
            onClear={() => weigh(undefined)}
          />
        ) : null}
        {addIn && KEEPABLE.includes(line.treatment) ? (
          <NumberField
            label="Kept for the top"
            value={100 * (line.keptBack ?? 0)}
            min={0}
            max={60}
            decimals={0}
            unit="%"
            width={128}
            onChange={(pct) => set('keptBack', { keptBack: pct > 0 ? pct / 100 : undefined })}
          />
        ) : null}
      </Row>
      {wait ? (
        <Small>
          <Told>{wait.sentence}</Told>
        </Small>
      ) : null}
    </Column>
  );
}
