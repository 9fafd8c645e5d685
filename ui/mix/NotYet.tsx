'use client';
import { SaidLine } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { AmountCell } from '../lines/AmountCell';
import { weighLine } from '../lines/editLines';

/** Lines that are in the plan with nothing of them yet: no step can speak of them. */
export function NotYet({ plan, forecast, edit }: StationProps) {
  const { larder } = forecast.light.resolved;
  const empty = [
    ...plan.batters.flatMap((b, place) => b.lines.map((line, index) => ({ line, place, index }))),
    ...plan.addIns.map((line, index) => ({ line, place: 'addIns' as const, index })),
  ].filter((x) => x.line.massG < 0.0005);
  if (empty.length === 0) return null;
  return (
    <SaidLine>
      Not in it yet:{' '}
      {empty.map(({ line, place, index }, i) => {
        const ingredient = larder.get(line.ingredient);
        const name = ingredient?.name ?? line.ingredient;
        return (
          <span key={line.id}>
            {i > 0 ? ', ' : ''}
            <AmountCell
              as="said"
              ingredient={ingredient}
              name={name}
              massG={line.massG}
              onChange={(massG) => edit(`${place}.${line.id}.massG`, (p) => weighLine(p, place, index, massG))}
            />{' '}
            {name.toLowerCase()}
          </span>
        );
      })}
      . How much of it?
    </SaidLine>
  );
}
