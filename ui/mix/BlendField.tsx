'use client';
import { useState } from 'react';
import type { Ingredient } from '@/core/larder';
import { TEXTURE_AXES, type TextureAxis } from '@/core/model/batter';
import { shortName, there } from '@/core/units';
import { Choice, Column, Note, NumberField, Row, Small, Soft } from '../kit';
import { AXIS_WORDS } from '../kit/TextureBars';
import type { StationProps } from '../plan/StationProps';
import { BlendTriangle } from './BlendTriangle';
import look from './mix.module.css';
import { useBlendField } from './useBlendField';

/** The blend of three starches, the others held: a field to move a point in, and the same in figures. */
export function BlendField({
  plan,
  forecast,
  edit,
  three,
  onThree,
  past,
}: StationProps & { three: readonly Ingredient[]; onThree: (index: number, id: string) => void }) {
  const [axis, setAxis] = useState<TextureAxis>('chewy');
  const { larder } = forecast.light.resolved;
  const field = useBlendField({ forecast, edit }, three, axis);
  const { shares, together, others, move } = field;
  const flours = [...larder.values()].filter((i) => i.starchKind && !i.blendOf);
  /** One share as it was typed; the two others keep what they are of one another. */
  const share = (k: number, pct: number) => {
    const x = Math.min(1, pct / 100 / together);
    const left = 1 - there(shares[k]);
    const [a, b, c] = shares.map((s, q) => (q === k ? x : left > 1e-9 ? (s / left) * (1 - x) : (1 - x) / 2));
    move([there(a), there(b), there(c)], `share.${k}`);
  };
  return (
    <div className={look.blend}>
      <div className={look.field}>
        <BlendTriangle three={three} field={field} past={past} />
        <Small>
          Bands: {AXIS_WORDS[axis]}, a step of one each, darker is more. Green dashes: where this family lives. Rings:
          past batches, wider is better. Take hold of the point to drag it.
        </Small>
      </div>
      <div className={look.figures}>
        <Column>
          <Choice
            label="Bands show"
            value={axis}
            width="100%"
            options={TEXTURE_AXES.map((a) => ({ value: a, words: AXIS_WORDS[a] }))}
            onChange={setAxis}
          />
          {three.map((i, k) => (
            <Row key={k} align="end">
              <Choice
                label={`Corner ${k + 1}`}
                value={i.id}
                width="calc(100% - 120px)"
                options={flours
                  .filter((f) => f.id === i.id || !three.some((t) => t.id === f.id))
                  .map((f) => ({ value: f.id, words: f.name }))}
                onChange={(id) => onThree(k, id)}
              />
              <NumberField
                label={`Share of ${i.name}`}
                as="bare"
                value={there(shares[k]) * together * 100}
                min={0}
                max={Math.round(together * 1000) / 10}
                unit="%"
                width={104}
                onChange={(pct) => share(k, pct)}
              />
            </Row>
          ))}
          {others.length > 0 ? (
            <Soft>
              Held: {others.map(([id, s]) => `${larder.get(id)?.name ?? id} ${Math.round(s * 100)} %`).join(', ')}.
            </Soft>
          ) : null}
          <Note>
            In grams:{' '}
            {three
              .map((i) => {
                const line = there(plan.batters[0]).lines.find((l) => l.ingredient === i.id);
                return `${shortName(i.name)} ${Math.round(line?.massG ?? 0)}`;
              })
              .join(', ')}
            .
          </Note>
        </Column>
      </div>
    </div>
  );
}
