'use client';
import { useMemo } from 'react';
import { tryFix } from '@/core/tryFix';
import { inUnits } from '@/core/units';
import { Press, Say, useUnits, type Tone } from '../kit';
import type { StationProps } from './StationProps';

const TONES: Readonly<Record<'better' | 'mind' | 'must', Tone>> = { better: 'plain', mind: 'watch', must: 'stop' };

/** What to mind, worst first; a fix that was tried and found to help is one press, undone like any edit. */
export function AdviceList({
  plan,
  forecast,
  kitchen,
  edit,
  about,
}: StationProps & { /** Only advice of these ids. */ readonly about?: readonly string[] }) {
  const units = useUnits();
  const { advice } = forecast.light;
  const list = useMemo(
    () =>
      advice
        .filter((a) => about === undefined || about.includes(a.id))
        .map((a) => ({ a, tried: tryFix(plan, kitchen, a) })),
    [advice, about, plan, kitchen],
  );
  return list.map(({ a, tried }) => (
    <Say key={a.id} tone={TONES[a.level]}>
      {inUnits(a.sentence, units)}{' '}
      {tried ? (
        <Press
          quiet
          fix
          aria-label={`Take it: ${inUnits(tried.words, units)}`}
          onClick={() => edit(`fix.${a.id}`, () => tried.plan)}
        >
          {inUnits(tried.words, units)}
        </Press>
      ) : null}
    </Say>
  ));
}
