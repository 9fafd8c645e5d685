'use client';
import { Typography } from '@mui/material';
import { useState } from 'react';
import { afterFirstBatch, FIRST_BATCH, larderOf, type FirstBatch as Showed, type Ingredient } from '@/core/larder';
import { sayPct, shortName } from '@/core/units';
import { Choice } from '../kit';
import { KeepDialog, type NotKept } from '../kit/KeepDialog';

const WORDS: Readonly<Record<Showed, string>> = {
  softer: 'softer than thought',
  'as-thought': 'as thought',
  firmer: 'firmer and shorter',
  chewier: 'chewier and clearer',
  stickier: 'stickier',
};

/** How a bought blend's first batch set: moves what it is taken to be made of one step. */
export function FirstBatch({
  blend,
  own,
  onClose,
  onKeep,
}: {
  blend: Ingredient;
  own: readonly Ingredient[];
  onClose: () => void;
  onKeep: (i: Ingredient, over: number | undefined) => Promise<void>;
}) {
  const [showed, setShowed] = useState<Showed>('as-thought');
  const larder = larderOf(own);
  const after = afterFirstBatch(blend, showed, larder);
  const keep = async (over: number | undefined): Promise<NotKept | undefined> => {
    if (!after.ok) return { sentences: after.problems.map((p) => p.sentence) };
    await onKeep(after.value, over);
    return undefined;
  };
  return (
    <KeepDialog title={`${blend.name}: its first batch`} maxWidth="xs" onClose={onClose} onKeep={keep}>
      <Choice
        label="It set"
        value={showed}
        width={240}
        options={FIRST_BATCH.map((f) => ({ value: f, words: WORDS[f] }))}
        onChange={setShowed}
      />
      <Typography variant="body2">
        Taken from now on as{' '}
        {(after.ok ? (after.value.blendOf ?? []) : [])
          .map((p) => `${sayPct(p.share)} ${shortName(larder.get(p.ingredient)?.name ?? p.ingredient).toLowerCase()}`)
          .join(', ')}
        {blend.characterised?.drainTest
          ? '; its drain test is kept.'
          : '; a drain test would settle how much liquid it takes.'}
      </Typography>
    </KeepDialog>
  );
}
