'use client';
import { memo, useMemo, useState } from 'react';
import { isDryBlend, type Larder } from '@/core/larder';
import { weighingOf, type Line, type Plan } from '@/core/plan';
import type { School } from '@/core/families';
import type { WaitCost } from '@/core/stations/mix/waitTradeOffs';
import { AddIngredient } from '../larder/AddIngredient';
import { useKitchen } from '../kitchen/useKitchen';
import { addLine, type LinePlace } from '../lines/editLines';
import { FindIngredient } from './FindIngredient';
import { LineRow } from './LineRow';
import look from './mix.module.css';

type Edit = (key: string, change: (p: Plan) => Plan) => void;

/** Finds what to add; what the larder does not know is added to it here, and to the plan. */
export const AddLine = memo(function AddLine({
  place,
  larder,
  edit,
}: {
  place: LinePlace;
  larder: Larder;
  edit: Edit;
}) {
  const { keepThing } = useKitchen();
  const [naming, setNaming] = useState<string | undefined>(undefined);
  const add = useMemo(() => (id: string) => edit(`${place}.add.${id}`, (p) => addLine(p, place, id)), [edit, place]);
  return (
    <>
      <FindIngredient
        larder={larder}
        label={
          place === 'addIns' ? 'Add an add-in' : typeof place === 'number' ? 'Add an ingredient' : 'Add to the filling'
        }
        onFind={(i) => add(i.id)}
        onNew={setNaming}
      />
      {naming === undefined ? null : (
        <AddIngredient
          called={naming}
          onClose={() => setNaming(undefined)}
          onAdd={async (i) => {
            await keepThing('ingredients', i, `${i.name} is in the larder.`);
            setNaming(undefined);
            add(i.id);
          }}
        />
      )}
    </>
  );
});

interface Props {
  readonly title: string;
  readonly place: LinePlace;
  readonly lines: readonly Line[];
  readonly larder: Larder;
  readonly dryBlendG: number;
  readonly readings: Plan['readings'];
  readonly waits: readonly WaitCost[];
  readonly juice: School | undefined;
  readonly edit: Edit;
  readonly onSwap: (place: LinePlace, index: number) => void;
}

/** Lines of one batter or the add-ins: amounts at once, share of the dry blend beside the flours, treatment where it moves water. */
export function LineTable({ title, place, lines, larder, dryBlendG, readings, waits, juice, edit, onSwap }: Props) {
  return (
    <div>
      <table aria-label={title} className={look.lines}>
        <thead>
          <tr>
            <th>{title}</th>
            <th>{typeof place === 'number' ? 'share' : 'goes in'}</th>
            <th className={look.right}>amount</th>
            <th />
          </tr>
        </thead>
        <tbody>
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
                larder={larder}
                share={share}
                place={place}
                index={i}
                weighed={weighing && readings[weighing.node]?.[weighing.slot]}
                wait={waits.find((w) => w.node.slice(w.node.indexOf(':') + 1) === line.id)}
                juice={juice}
                edit={edit}
                onSwap={onSwap}
              />
            );
          })}
        </tbody>
      </table>
      <AddLine place={place} larder={larder} edit={edit} />
    </div>
  );
}
