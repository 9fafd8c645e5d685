'use client';
import { useState } from 'react';
import { boilingPointC } from '@/core/units';
import { DEFAULT_HOB } from '@/core/kitchen';
import { kettleTestPower } from '@/core/model/steam';
import { Column, Note, NumberField, Press, Row, Spoken } from '../kit';
import { useKept } from '../kitchen/useKept';
import { useKitchen } from '../kitchen/useKitchen';
import type { StationProps } from '../plan/StationProps';

const MOST_W = 6000;
const LEAST_W = 50;

/** Seconds to bring water to the boil at a dial setting: the ring's own power, kept for that heat. */
export function KettleTest({ plan, forecast }: StationProps) {
  const { keepThing, kitchen } = useKitchen();
  const [litres, setLitres] = useState(1);
  const [fromC, setFromC] = useState(20);
  const [seconds, setSeconds] = useState(300);
  const [told, keep] = useKept();
  const { ring } = forecast.light.resolved;
  const watts = kettleTestPower(litres, fromC, boilingPointC(kitchen.altitudeM), seconds);
  const work = async () => {
    if (!(watts >= LEAST_W && watts <= MOST_W))
      throw new Spoken(
        `That makes ${Math.round(watts)} W, which no kitchen ring gives; check the litres and the seconds.`,
      );
    const hob = kitchen.hobs.find((h) => h.id === forecast.light.resolved.hob.id) ?? {
      ...DEFAULT_HOB,
      id: 'my-hob',
      name: 'My hob',
    };
    const rings = hob.rings.map((r) =>
      r.id === ring.id ? { ...r, measuredPowerW: { ...r.measuredPowerW, [plan.heat]: Math.round(watts) } } : r,
    );
    await keepThing('hobs', { ...hob, rings }, `${hob.name} is kept.`);
    return `Kept: ${plan.heat} on the ${ring.name.toLowerCase()} of ${hob.name} gives ${(watts / 1000).toFixed(2)} kW.`;
  };
  return (
    <Column>
      <Note>Bring a known amount of water to the boil on {plan.heat} heat, lid on, and time it.</Note>
      <Row align="end">
        <NumberField
          settled
          label="Water"
          value={litres}
          min={0.1}
          max={20}
          unit="l"
          width={110}
          decimals={2}
          onChange={setLitres}
        />
        <NumberField settled label="From" value={fromC} min={0} max={90} unit="°C" width={110} onChange={setFromC} />
        <NumberField
          settled
          label="To the boil"
          value={seconds}
          min={10}
          max={7200}
          unit="s"
          width={120}
          decimals={0}
          onChange={setSeconds}
        />
        <Press onClick={() => keep(work)}>Keep {(watts / 1000).toFixed(2)} kW</Press>
      </Row>
      {told}
    </Column>
  );
}
