'use client';
import { Button, IconButton, Stack } from '@mui/material';
import { isDryBlend, type BlendPart, type Larder } from '@/core/larder';
import { sayPct } from '@/core/units';
import { Choice, CrossMark, NumberField, PlusMark } from '../kit';

/** The flours of a dry blend that is kept as one item, in grams. */
export function BlendForm({
  parts,
  larder,
  onChange,
}: {
  parts: readonly BlendPart[];
  larder: Larder;
  onChange: (p: readonly BlendPart[]) => void;
}) {
  const flours = [...larder.values()].filter((i) => isDryBlend(i) && !i.blendOf);
  const sum = parts.reduce((a, p) => a + p.share, 0);
  const change = (at: number, to: Partial<BlendPart>) =>
    onChange(parts.map((p, i) => (i === at ? { ...p, ...to } : p)));
  return (
    <Stack spacing={1}>
      {parts.map((p, i) => (
        <Stack key={i} direction="row" spacing={1} sx={{ alignItems: 'center' }}>
          <Choice
            as="bare"
            label={`Flour ${i + 1}`}
            value={p.ingredient}
            width={240}
            options={flours.map((x) => ({ value: x.id, words: x.name }))}
            onChange={(ingredient) => change(i, { ingredient })}
          />
          <NumberField
            as="bare"
            label={`Grams of flour ${i + 1}`}
            value={p.share}
            min={0}
            max={50000}
            unit="g"
            width={120}
            onChange={(share) => change(i, { share })}
          />
          <span>{sum > 0 ? sayPct(p.share / sum) : ''}</span>
          <IconButton aria-label={`Take out flour ${i + 1}`} onClick={() => onChange(parts.filter((_, j) => j !== i))}>
            <CrossMark size="small" />
          </IconButton>
        </Stack>
      ))}
      <Button
        startIcon={<PlusMark />}
        sx={{ alignSelf: 'flex-start' }}
        disabled={parts.length >= 12}
        onClick={() => onChange([...parts, { ingredient: 'tapioca', share: 0 }])}
      >
        Another flour
      </Button>
    </Stack>
  );
}
