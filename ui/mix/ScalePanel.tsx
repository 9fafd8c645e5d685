'use client';
import { useState } from 'react';
import { GRAMS_A_HEAD } from '@/core/forecast';
import { limitingIngredient, scalePlan } from '@/core/plan';
import { sayGrams, there } from '@/core/units';
import { volumeAtDepth } from '@/core/model/vessel';
import { Column, Note, NumberField, Press, Row, Say, Soft, Title, Told } from '../kit';
import type { StationProps } from '../plan/StationProps';

/** More or less of it: by vessel, guests, pieces, what is in the cupboard, or a factor. Yeast and salt follow; times are worked out anew. */
export function ScalePanel({ plan, forecast, edit }: StationProps) {
  const { light } = forecast;
  const [factor, setFactor] = useState(1.5);
  const [pieces, setPieces] = useState(24);
  const mass = light.balance.massG;
  const apply = (key: string, by: number) => edit(`scale.${key}.${by}`, (p) => scalePlan(p, by));
  const [lo, hi] = light.family.depthMm;
  const byVessel =
    (volumeAtDepth(
      light.resolved.vessel,
      Math.min(light.resolved.vessel.heightM / light.family.rise, (lo + hi) / 2000),
    ) *
      plan.vesselCount) /
    Math.max(light.balance.volumeMl, 1e-9);
  const byGuests = (GRAMS_A_HEAD[plan.role] * plan.guests) / Math.max(mass, 1e-9);
  const grams = light.cut?.gramsAPiece ?? light.serves.gramsEach;
  const limit = limitingIngredient(light.resolved);
  const rows: readonly { key: string; words: string; by: number }[] = [
    {
      key: 'vessel',
      words: `Fill ${plan.vesselCount > 1 ? `${plan.vesselCount} × ` : ''}${light.resolved.vessel.name} to ${Math.round((lo + hi) / 2)} mm`,
      by: byVessel,
    },
    { key: 'guests', words: `${plan.guests} guests, ${plan.role}, ${GRAMS_A_HEAD[plan.role]} g a head`, by: byGuests },
    ...(limit.ok
      ? [
          {
            key: 'limit',
            words: `All the ${limit.value.ingredient.toLowerCase()} there is, ${sayGrams(limit.value.haveG)}`,
            by: limit.value.factor,
          },
        ]
      : []),
  ];
  return (
    <Column>
      <Title>Make more or less</Title>
      {rows.map((r) => (
        <Row key={r.key} align="center">
          <Press onClick={() => apply(r.key, r.by)}>× {r.by.toFixed(2)}</Press>
          <Note>
            <Told>{`${r.words}: ${sayGrams(mass * r.by)}`}</Told>
          </Note>
        </Row>
      ))}
      {limit.ok ? null : <Say>{there(limit.problems[0]).sentence}</Say>}
      <Row align="end">
        <NumberField settled label="Pieces" value={pieces} min={1} max={500} whole width={110} onChange={setPieces} />
        <Press onClick={() => apply('pieces', (pieces * grams) / Math.max(mass, 1e-9))}>
          For {pieces} of <Told>{sayGrams(grams)}</Told>
        </Press>
      </Row>
      <Row align="end">
        <NumberField
          settled
          label="Factor"
          value={factor}
          min={0.05}
          max={20}
          decimals={3}
          width={110}
          onChange={setFactor}
        />
        <Press onClick={() => apply('factor', factor)}>Scale by {factor}</Press>
      </Row>
      <Soft>
        Every mass follows, yeast and salt too. Minutes are not multiplied: they are worked out again for the new depth.
      </Soft>
    </Column>
  );
}
