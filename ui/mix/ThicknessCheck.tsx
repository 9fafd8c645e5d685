'use client';
import { useState } from 'react';
import type { Ingredient } from '@/core/larder';
import { absorptionFromDrain, drainTimeFor } from '@/core/model/batter';
import { Column, Note, NumberField, Press, Row, Spoken, Title } from '../kit';
import { useKept } from '../kitchen/useKept';
import { ownIngredient, useKitchen } from '../kitchen/useKitchen';
import type { StationProps } from '../plan/StationProps';
import { shortName, there } from '@/core/units';

/** A spoon of batter, seconds until the stream breaks to drops: calibrates the main flour and moves the pour scale. */
export function ThicknessCheck({ forecast }: StationProps) {
  const { keepThing } = useKitchen();
  const [seconds, setSeconds] = useState(3);
  const [told, keep] = useKept();
  const { light } = forecast;
  const c = there(light.consistency[0]);
  const main = Object.entries(there(light.balance.batters[0]).shares).sort((a, b) => b[1] - a[1])[0]?.[0];
  const flour = main ? light.resolved.larder.get(main) : undefined;
  const work = async (of: Ingredient) => {
    const before = of.absorption ?? 1.15;
    const found = absorptionFromDrain(seconds, c.phi, c.serumMPas, before);
    if (!found.ok) throw new Spoken(there(found.problems[0]).sentence);
    await keepThing(
      'ingredients',
      ownIngredient(of, {
        absorption: Number(found.value.toFixed(3)),
        ...(of.characterised ? { characterised: { ...of.characterised, drainTest: true } } : {}),
      }),
      `${of.name} is kept.`,
    );
    return `Kept: ${of.name} takes up ${found.value.toFixed(2)} of its volume (${before.toFixed(2)} before).`;
  };
  return (
    <Column>
      <Title>Thickness check</Title>
      <Note>
        Fill a 15 ml spoon, tilt it, and count until the stream breaks to drops.
        {c.viscosityMPas === undefined ? '' : ` The model expects ${drainTimeFor(c.viscosityMPas).toFixed(1)} s.`} A
        house test, good for one cook and one spoon.
      </Note>
      <Row align="end">
        <NumberField
          settled
          label="Drain time"
          value={seconds}
          min={0}
          max={120}
          unit="s"
          width={120}
          onChange={setSeconds}
        />
        <Press disabled={!flour} onClick={() => flour && keep(() => work(flour))}>
          Keep for {flour ? shortName(flour.name).toLowerCase() : 'the flour'}
        </Press>
      </Row>
      {told}
    </Column>
  );
}
