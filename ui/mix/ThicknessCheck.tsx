'use client';
import { useState } from 'react';
import { absorptionFromDrain, drainTimeFor } from '@/core/model/batter';
import { Column, Note, NumberField, Press, Row, Say, Title, sentenceOf } from '../kit';
import { ownIngredient, useKitchen } from '../kitchen/useKitchen';
import type { StationProps } from '../plan/StationProps';
import { shortName, there } from '@/core/units';

/** A spoon of batter, seconds until the stream breaks to drops: calibrates the main flour and moves the pour scale. */
export function ThicknessCheck({ forecast }: StationProps) {
  const { keepThing } = useKitchen();
  const [seconds, setSeconds] = useState(3);
  const [told, setTold] = useState<{ tone: 'ready' | 'watch'; words: string } | undefined>(undefined);
  const { light } = forecast;
  const c = there(light.consistency[0]);
  const main = Object.entries(there(light.balance.batters[0]).shares).sort((a, b) => b[1] - a[1])[0]?.[0];
  const flour = main ? light.resolved.larder.get(main) : undefined;
  const keep = async () => {
    if (!flour) return;
    const found = absorptionFromDrain(seconds, c.phi, c.serumMPas, flour.absorption ?? 1.15);
    if (!found.ok) {
      setTold({ tone: 'watch', words: there(found.problems[0]).sentence });
      return;
    }
    try {
      await keepThing(
        'ingredients',
        ownIngredient(flour, {
          absorption: Number(found.value.toFixed(3)),
          ...(flour.characterised ? { characterised: { ...flour.characterised, drainTest: true } } : {}),
        }),
        `${flour.name} is kept.`,
      );
      setTold({
        tone: 'ready',
        words: `Kept: ${flour.name} takes up ${found.value.toFixed(2)} of its volume (${(flour.absorption ?? 1.15).toFixed(2)} before).`,
      });
    } catch (e) {
      setTold({ tone: 'watch', words: sentenceOf(e, 'Not kept; try again.') });
    }
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
        <Press disabled={!flour} onClick={() => void keep()}>
          Keep for {flour ? shortName(flour.name).toLowerCase() : 'the flour'}
        </Press>
      </Row>
      {told ? (
        <Say tone={told.tone} role="status">
          {told.words}
        </Say>
      ) : null}
    </Column>
  );
}
