'use client';
import { wayOf } from '@/core/families';
import { useState } from 'react';
import { CUP_ML, plural, sayMm, TABLESPOON_ML, there } from '@/core/units';
import { leastFillMl, measuredFill } from '@/core/model/vessel';
import { Choice, Column, Fact, NumberField, Press, Row, Say, Title } from '../kit';
import type { StationProps } from '../plan/StationProps';

/** Fill in, number out: so many spoons, ladles or cups a mould give its depth and how many moulds the batter fills. */
export function FillPanel({ plan, forecast, kitchen, edit }: StationProps) {
  const { light } = forecast;
  const { vessel } = light.resolved;
  const { volumeMl } = light.balance;
  const scoops = [
    ...kitchen.scoops.map((s) => ({ value: s.id, words: `${s.name}, ${s.ml} ml`, ml: s.ml })),
    {
      value: 'tbsp',
      words: `tablespoon, ${TABLESPOON_ML[kitchen.tablespoon]} ml`,
      ml: TABLESPOON_ML[kitchen.tablespoon],
    },
    { value: 'cup', words: `cup, ${CUP_ML[kitchen.cup]} ml`, ml: CUP_ML[kitchen.cup] },
  ];
  const [by, setBy] = useState(there(scoops[0]).value);
  const scoop = there(scoops.find((s) => s.value === by) ?? scoops[0]);
  const spoons = light.fill.volumeEachMl / scoop.ml;
  const { into: what } = wayOf(light.family);
  const least = leastFillMl(vessel);
  const fill = (each: number) => measuredFill(vessel, volumeMl, each, light.family.rise);
  const now = fill(light.fill.volumeEachMl);
  const take = (key: string, each: number) => {
    const { count } = fill(each);
    if (count >= 1 && count <= 200) edit(key, (p) => ({ ...p, vesselCount: count }));
  };
  return (
    <Column label={`Fill of a ${what}`}>
      <Title>Fill of one {what}</Title>
      <Row>
        <Choice label="Filled by" value={by} options={scoops} width={210} onChange={setBy} />
        <NumberField
          label={`Of it, a ${what}`}
          value={spoons}
          min={0.01}
          max={200}
          decimals={2}
          fractions={Math.abs(spoons * 8 - Math.round(spoons * 8)) < 0.02}
          width={120}
          onChange={(n) => take('fill.each', n * scoop.ml)}
        />
        <NumberField
          label={`How many ${what}s`}
          value={plan.vesselCount}
          min={1}
          max={200}
          whole
          width={160}
          onChange={(vesselCount) => edit('vesselCount', (p) => ({ ...p, vesselCount }))}
        />
        <Fact name="Each holds" note={`${sayMm(now.depthM)}`}>
          {Math.round(now.eachMl)} ml
        </Fact>
        <Fact name="Least that covers">{least < 10 ? least.toFixed(1) : Math.round(least)} ml</Fact>
      </Row>
      {now.covers ? null : (
        <Say tone="watch">
          {`${now.eachMl.toFixed(1)} ml leaves the base showing: at least ${least.toFixed(1)} ml, so at most ${plural(fill(least).count, what)}.`}
        </Say>
      )}
      {now.overflows ? <Say tone="watch">{`So full it runs over as it cooks: fill less, make more.`}</Say> : null}
      {now.covers ? null : (
        <Press quiet onClick={() => take('fill.least', least)}>
          {plural(fill(least).count, what)}
        </Press>
      )}
    </Column>
  );
}
