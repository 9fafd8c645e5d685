'use client';
import { wayOf } from '@/core/families';
import { sayGrams, there } from '@/core/units';
import { Column, Fact, NumberField, Row, Told } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { changeBatter } from '../lines/editLines';
import { FillingsPanel } from './FillingsPanel';
import { LineTable } from './LineTable';
import { useStandIn } from '../lines/useStandIn';
import { useWaitCosts } from '../lines/useWaitCosts';
import { WaitsPanel } from './WaitsPanel';
import { Ways } from './Ways';

/** What is weighed: batters, add-ins, and the choices where cooks disagree. */
export function WeighPanel(props: StationProps) {
  const { plan, forecast, edit } = props;
  const { light } = forecast;
  const waits = useWaitCosts(light);
  const { swap, asked } = useStandIn(props);
  return (
    <Column>
      <Ways {...props} />
      {plan.batters.map((batter, i) => (
        <Column key={batter.id}>
          <LineTable
            title={batter.name}
            place={i}
            lines={batter.lines}
            larder={light.resolved.larder}
            dryBlendG={there(light.balance.batters[i]).dryBlendG}
            readings={plan.readings}
            waits={waits}
            juice={undefined}
            edit={edit}
            onSwap={swap}
          />
          <Row>
            <NumberField
              label="Liquid wanted"
              value={batter.wantedLiquidG}
              min={0}
              max={50000}
              unit="g"
              width={140}
              onChange={(wantedLiquidG) => edit(`batter.${i}.liquid`, (p) => changeBatter(p, i, { wantedLiquidG }))}
              onClear={() => edit(`batter.${i}.liquid`, (p) => changeBatter(p, i, { wantedLiquidG: undefined }))}
            />
            {batter.wantedLiquidG !== undefined ? (
              <Fact name="Top up with water">
                <Told>{sayGrams(there(light.balance.batters[i]).topUpG)}</Told>
              </Fact>
            ) : null}
          </Row>
        </Column>
      ))}
      <LineTable
        title="Add-ins"
        place="addIns"
        lines={plan.addIns}
        larder={light.resolved.larder}
        dryBlendG={there(light.balance.batters[0]).dryBlendG}
        readings={plan.readings}
        waits={waits}
        juice={light.family.schools.juice}
        edit={edit}
        onSwap={swap}
      />
      {wayOf(light.family).bends ? <FillingsPanel {...props} /> : null}
      <WaitsPanel {...props} />
      {asked}
    </Column>
  );
}
