'use client';
import { juiceSchoolOf, linesAt, lineTimes, placeOfPath, treatmentsFor, TREATMENT_WORDS, type Line } from '@/core/plan';
import { inUnits, sayWeighed } from '@/core/units';
import { SaidChoice, useUnits } from '../kit';
import { AmountCell } from '../lines/AmountCell';
import { DryField } from '../lines/DryField';
import { treatLine, weighLine } from '../lines/editLines';
import type { StationProps } from '../plan/StationProps';
import look from './method.module.css';

export interface SlotProps extends StationProps {
  readonly id: string;
  readonly text: string;
  /** The line whose panel is open under this sentence. */
  readonly open: string | undefined;
  readonly onOpen: (line: string | undefined) => void;
}
/** A line of the plan by its id in the flow. */
export function lineOf({ plan, forecast }: Pick<StationProps, 'plan' | 'forecast'>, id: string) {
  const at = placeOfPath(forecast.light.flow.lines.find((l) => l.id === id)?.path ?? '');
  if (!at) return undefined;
  const { place, index } = at;
  const line: Line | undefined = linesAt(plan, place)[index];
  return line && { line, place, index, ingredient: forecast.light.resolved.larder.get(line.ingredient) };
}

export function Said({ text }: { text: string }) {
  const units = useUnits();
  return <>{inUnits(text, units)}</>;
}

export function Grams(props: SlotProps) {
  const found = lineOf(props, props.id);
  if (!found) return <Said text={props.text} />;
  const { line, place, index, ingredient } = found;
  return (
    <AmountCell
      as="said"
      ingredient={ingredient}
      name={ingredient?.name ?? line.ingredient}
      massG={line.massG}
      onChange={(massG) => props.edit(`${place}.${line.id}.massG`, (p) => weighLine(p, place, index, massG))}
    />
  );
}

function LineName(props: SlotProps) {
  const found = lineOf(props, props.id);
  if (!found) return <Said text={props.text} />;
  const isOpen = props.open === props.id;
  return (
    <button
      type="button"
      className={look.name}
      aria-expanded={isOpen}
      onClick={() => props.onOpen(isOpen ? undefined : props.id)}
    >
      {props.text}
    </button>
  );
}

/** How it goes in, where there is more than one way: said behind its name. */
function Way(props: SlotProps) {
  const found = lineOf(props, props.id);
  if (!found?.ingredient) return null;
  const { line, place, index, ingredient } = found;
  const ways = treatmentsFor(ingredient, line.treatment);
  if (ways.length < 2 || (place !== 'addIns' && line.treatment === 'as-is')) return null;
  const juice = props.forecast.light.family.schools.juice;
  return (
    <>
      {' ('}
      <SaidChoice
        label={`How ${ingredient.name} goes in`}
        value={line.treatment}
        options={ways.map((t) => ({
          value: t,
          words: TREATMENT_WORDS[t],
          hint: juice?.options.find((o) => o.id === juiceSchoolOf(t))?.differs,
        }))}
        onChange={(treatment) =>
          props.edit(`${place}.${line.id}.treatment`, (p) => treatLine(p, place, index, treatment))
        }
      />
      )
    </>
  );
}

/** A line with its grams. What is no line of the cake (a sauce, a colour) says its grams and is changed where it is balanced. */
export function LineSlot(props: SlotProps) {
  const own = props.forecast.light.flow.lines.find((l) => l.id === props.id);
  if (!lineOf(props, props.id))
    return <Said text={own && own.massG > 0 ? `${sayWeighed(own.massG, own.fine)} ${props.text}` : props.text} />;
  return (
    <>
      <Grams {...props} /> <LineName {...props} />
      <Way {...props} />
    </>
  );
}

export function DrySlot(props: SlotProps) {
  const found = lineOf(props, props.id);
  if (!found?.ingredient) return <Said text={props.text} />;
  const { line, place, index, ingredient } = found;
  const { soakS: timeS, soakC: waterC } = lineTimes(line);
  return (
    <DryField
      as="said"
      label={`Dry ${ingredient.name}`}
      ingredient={ingredient}
      massG={line.massG}
      soak={{ timeS, waterC }}
      onChange={(massG) => props.edit(`${place}.${line.id}.dry`, (p) => weighLine(p, place, index, massG))}
    />
  );
}

/** A line by its name alone, and how it goes in. */
export const NameSlot = (props: SlotProps) => (
  <>
    <LineName {...props} />
    <Way {...props} />
  </>
);
