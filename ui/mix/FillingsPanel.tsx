'use client';
import { fillingCounts, fillingPlace } from '@/core/plan';
import { sayGrams, there } from '@/core/units';
import { Choice, Column, NumberField, Press, Row, Small, Told, WordsField } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { addFilling, changeFilling, removeFilling } from '../lines/editLines';
import { LineTable } from './LineTable';
import { useStandIn } from '../lines/useStandIn';
import { useWaitCosts } from '../lines/useWaitCosts';

/** What sheets are filled with: each filling of its own lines, for all rolls or for so many, ready or cooked in the sheet. */
export function FillingsPanel(props: StationProps) {
  const { plan, forecast, edit } = props;
  const { light } = forecast;
  const waits = useWaitCosts(light);
  const { swap, asked } = useStandIn(props);
  const counts = fillingCounts(plan.fillings, plan.vesselCount);
  return (
    <Column>
      {plan.fillings.map((f, i) => {
        const count = there(counts[i]);
        const grams = f.lines.reduce((a, l) => a + l.massG, 0);
        const set = (field: string, change: Parameters<typeof changeFilling>[2]) =>
          edit(`filling.${f.id}.${field}`, (p) => changeFilling(p, i, change));
        return (
          <div key={f.id} role="group" aria-label={`Filling: ${f.name}`}>
            <LineTable
              title={f.name}
              place={fillingPlace(i)}
              lines={f.lines}
              larder={light.resolved.larder}
              dryBlendG={0}
              readings={plan.readings}
              waits={waits}
              juice={undefined}
              edit={edit}
              onSwap={swap}
            />
            <Row>
              <WordsField
                label="Filling"
                value={f.name}
                most={120}
                wrong={(name) => (name === '' ? 'Give the filling a name.' : undefined)}
                onTake={(name) => set('name', { name })}
                width={200}
              />
              <NumberField
                label="For"
                value={f.count}
                min={0}
                max={500}
                whole
                unit="rolls"
                width={110}
                helper={f.count !== undefined ? undefined : plan.fillings.length > 1 ? 'all the others' : 'all of them'}
                onChange={(n) => set('count', { count: n })}
                onClear={() => set('count', { count: undefined })}
              />
              <Choice
                label="Goes in"
                value={f.doneness}
                width={170}
                options={[
                  { value: 'ready', words: 'ready to eat' },
                  { value: 'raw', words: 'raw, cooked in it' },
                ]}
                onChange={(doneness) => set('doneness', { doneness, safeC: undefined })}
              />
              {f.doneness === 'raw' ? (
                <NumberField
                  label="Safe at"
                  value={light.resolved.plan.fillings.find((x) => x.id === f.id)?.safeC}
                  min={40}
                  max={100}
                  decimals={0}
                  unit="°C"
                  width={100}
                  onChange={(safeC) => set('safeC', { safeC })}
                />
              ) : null}
              <Press quiet onClick={() => edit(`filling.${f.id}.remove`, (p) => removeFilling(p, i))}>
                Leave it out
              </Press>
            </Row>
            {grams > 0 && count >= 1 ? (
              <Small>
                <Told>{`${sayGrams(grams / count)} a roll before it is cooked`}</Told>
              </Small>
            ) : null}
          </div>
        );
      })}
      {plan.fillings.length < 12 ? <Press onClick={() => edit('filling.add', addFilling)}>Add a filling</Press> : null}
      {asked}
    </Column>
  );
}
