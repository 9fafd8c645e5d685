'use client';
import { memo } from 'react';
import type { Ingredient, Larder } from '@/core/larder';
import { juiceSchoolOf, treatmentsFor, TREATMENT_WORDS, type Line, type Plan } from '@/core/plan';
import type { School } from '@/core/families';
import type { WaitCost } from '@/core/stations/mix/waitTradeOffs';
import { Choice, CrossMark, IconPress, SwapMark } from '../kit';
import { AmountCell } from '../lines/AmountCell';
import { changeLine, removeLine, treatLine, weighLine, type LinePlace } from '../lines/editLines';
import { LineDetails } from '../lines/LineDetails';
import look from './mix.module.css';

export interface LineRowProps {
  readonly line: Line;
  readonly ingredient: Ingredient | undefined;
  readonly larder: Larder;
  readonly share: string;
  readonly place: LinePlace;
  readonly index: number;
  readonly weighed: number | undefined;
  readonly wait: WaitCost | undefined;
  /** What each way of the juice school changes, where this line answers that question. */
  readonly juice: School | undefined;
  readonly edit: (key: string, change: (p: Plan) => Plan) => void;
  readonly onSwap: (place: LinePlace, index: number) => void;
}

/** One line in the words of a cook: what, how it goes in, how much, and below it what else it is asked. */
export const LineRow = memo(function LineRow(props: LineRowProps) {
  const { line, ingredient, share, place, index, edit, onSwap } = props;
  const name = ingredient?.name ?? line.ingredient;
  const ways = ingredient ? treatmentsFor(ingredient, line.treatment) : [line.treatment];
  const set = (field: string, change: Partial<Line>) =>
    edit(`${place}.${line.id}.${field}`, (p) => changeLine(p, place, index, change));
  return (
    <>
      <tr>
        <td>{name}</td>
        <td>
          {share}
          {ways.length > 1 && share === '' ? (
            <Choice
              as="bare"
              label={`How ${name} goes in`}
              value={line.treatment}
              options={ways.map((t) => ({ value: t, words: TREATMENT_WORDS[t], hint: hintOf(props.juice, t) }))}
              width="100%"
              onChange={(treatment) =>
                edit(`${place}.${line.id}.treatment`, (p) => treatLine(p, place, index, treatment))
              }
            />
          ) : null}
        </td>
        <td className={look.right}>
          <AmountCell
            ingredient={ingredient}
            name={name}
            massG={line.massG}
            onChange={(massG) => edit(`${place}.${line.id}.massG`, (p) => weighLine(p, place, index, massG))}
          />
        </td>
        <td>
          <IconPress small label={`Stand-ins for ${name}`} onClick={() => onSwap(place, index)}>
            <SwapMark size="small" />
          </IconPress>
          <IconPress
            small
            label={`Take out ${name}`}
            onClick={() => edit(`${place}.${line.id}.remove`, (p) => removeLine(p, place, index))}
          >
            <CrossMark size="small" />
          </IconPress>
        </td>
      </tr>
      <tr>
        <td colSpan={4}>
          {ingredient ? (
            <LineDetails
              line={line}
              ingredient={ingredient}
              larder={props.larder}
              addIn={place === 'addIns'}
              weighed={props.weighed}
              wait={props.wait}
              set={set}
              edit={edit}
            />
          ) : null}
        </td>
      </tr>
    </>
  );
});

/** The school's word on a way of handling the juice. */
function hintOf(juice: School | undefined, treatment: Line['treatment']): string | undefined {
  const school = juiceSchoolOf(treatment);
  return school === undefined ? undefined : juice?.options.find((o) => o.id === school)?.differs;
}
