'use client';
import { useState } from 'react';
import { weighingOf, type Line, type LinePlace } from '@/core/plan';
import { Press } from '../kit';
import { changeLine, removeLine } from '../lines/editLines';
import { LineDetails } from '../lines/LineDetails';
import { MyCupField } from '../lines/MyCupField';
import { StandInDialog } from '../lines/StandInDialog';
import { useWaitCosts } from '../lines/useWaitCosts';
import type { StationProps } from '../plan/StationProps';
import look from './method.module.css';

/** All else that a line of the plan can be asked: what could stand in for it, its salt and soaking, what it was bought as. */
export default function LinePanel(
  props: StationProps & { readonly line: Line; readonly place: LinePlace; readonly index: number },
) {
  const { line, place, index, plan, forecast, edit } = props;
  const [swapping, setSwapping] = useState(false);
  const { larder } = forecast.light.resolved;
  const waits = useWaitCosts(forecast.light);
  const ingredient = larder.get(line.ingredient);
  if (!ingredient) return null;
  const { name } = ingredient;
  const weighing = weighingOf(line);
  return (
    <span className={look.line}>
      <span className={look.row}>
        <Press quiet onClick={() => setSwapping(true)} aria-label={`Stand-ins for ${name}`}>
          What could stand in
        </Press>
        <Press
          quiet
          onClick={() => edit(`${place}.${line.id}.remove`, (p) => removeLine(p, place, index))}
          aria-label={`Take out ${name}`}
        >
          Take it out
        </Press>
      </span>
      <LineDetails
        line={line}
        ingredient={ingredient}
        larder={larder}
        addIn={place === 'addIns'}
        weighed={weighing && plan.readings[weighing.node]?.[weighing.slot]}
        wait={waits.find((w) => w.node.slice(w.node.indexOf(':') + 1) === line.id)}
        set={(field, change) => edit(`${place}.${line.id}.${field}`, (p) => changeLine(p, place, index, change))}
        edit={edit}
      />
      {ingredient.dipFactor > 1.01 ? <MyCupField ingredient={ingredient} /> : null}
      {swapping ? <StandInDialog {...props} at={{ place, index }} onClose={() => setSwapping(false)} /> : null}
    </span>
  );
}
