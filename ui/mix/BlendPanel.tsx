'use client';
import { there } from '@/core/units';
import { useState } from 'react';
import { isDryBlend } from '@/core/larder';
import { Column } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { BlendField } from './BlendField';
import { SolverPanel } from './SolverPanel';

/** The three starches the field starts with: the plan's own, filled up with ones of the family. */
function firstThree({ forecast }: StationProps): string[] {
  const { light } = forecast;
  const own = Object.entries(there(light.balance.batters[0]).shares)
    .sort((a, b) => b[1] - a[1])
    .map(([id]) => id);
  const more = [...Object.keys(light.family.blend), 'rice-flour-fine', 'tapioca', 'maize-starch'];
  return [...new Set([...own, ...more])]
    .filter((id) => {
      const i = light.resolved.larder.get(id);
      return i !== undefined && isDryBlend(i);
    })
    .slice(0, 3);
}

/** The blend: its field, its texture, and blends that come near a wanted one. */
export default function BlendPanel(props: StationProps) {
  const { light } = props.forecast;
  const [three, setThree] = useState(() => firstThree(props));
  return (
    <Column>
      {three.length === 3 ? (
        <BlendField
          {...props}
          three={three.flatMap((id) => {
            const i = light.resolved.larder.get(id);
            return i ? [i] : [];
          })}
          onThree={(k, id) => setThree((t) => t.map((x, q) => (q === k ? id : x)))}
        />
      ) : null}
      <SolverPanel {...props} />
    </Column>
  );
}
