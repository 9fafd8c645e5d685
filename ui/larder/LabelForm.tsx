'use client';
import { Stack, Typography } from '@mui/material';
import {
  compositionFromLabel,
  INGREDIENT_KINDS,
  INGREDIENT_TABLE,
  STARCH_KINDS,
  type Ingredient,
  type Label,
} from '@/core/larder';
import { bad, good, problem, type Result } from '@/core/units';
import { Choice, NumberField } from '../kit';

const ROWS: readonly (readonly [keyof Label, string, string])[] = [
  ['energyKJ', 'Energy', 'kJ'],
  ['fatG', 'Fat', 'g'],
  ['carbohydrateG', 'Carbohydrate', 'g'],
  ['sugarsG', 'of which sugars', 'g'],
  ['fibreG', 'Fibre', 'g'],
  ['proteinG', 'Protein', 'g'],
  ['saltG', 'Salt', 'g'],
];

export interface LabelDraft {
  readonly kind: Ingredient['kind'];
  readonly starchKind: (typeof STARCH_KINDS)[number];
  readonly densityGPerMl: number;
  readonly trimPct: number;
  readonly label: Label;
}
export const BLANK_LABEL: LabelDraft = {
  kind: 'flour',
  starchKind: 'rice',
  densityGPerMl: 0.55,
  trimPct: 0,
  label: { energyKJ: undefined, fatG: 0, carbohydrateG: 0, sugarsG: 0, fibreG: 0, proteinG: 0, saltG: 0 },
};
const starchy = (kind: Ingredient['kind']): boolean => kind === 'flour' || kind === 'starch' || kind === 'grain';

/** What a label says, as an ingredient without its name and allergens. */
export function fromLabel(
  d: LabelDraft,
): Result<Omit<Ingredient, 'id' | 'name' | 'alsoCalled' | 'allergens' | 'allergensStated' | 'diets'>> {
  const composition = compositionFromLabel(d.label);
  if (!composition.ok) return composition;
  if (d.trimPct > 95) return bad(problem('trim', 'trim', 'More than 95 % trimmed away leaves nothing.'));
  const like = INGREDIENT_TABLE.find((i) => i.starchKind === d.starchKind);
  return good({
    kind: d.kind,
    per100: composition.value,
    bulkDensityGPerMl: d.densityGPerMl,
    dipFactor: starchy(d.kind) ? 1.15 : 1,
    trim: d.trimPct / 100,
    source: 'cook',
    ...(starchy(d.kind)
      ? { starchKind: d.starchKind, absorption: like?.absorption, grainUm: like?.grainUm, amylose: like?.amylose }
      : {}),
  });
}

/** Kind, density and the per-100 g panel of a pack. */
export function LabelForm({ draft, onChange }: { draft: LabelDraft; onChange: (d: LabelDraft) => void }) {
  const set = (change: Partial<LabelDraft>) => onChange({ ...draft, ...change });
  return (
    <Stack spacing={1.5}>
      <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Choice
          label="Kind"
          value={draft.kind}
          width={150}
          options={INGREDIENT_KINDS.map((k) => ({ value: k, words: k }))}
          onChange={(kind) => set({ kind })}
        />
        {starchy(draft.kind) ? (
          <Choice
            label="Its starch"
            value={draft.starchKind}
            width={170}
            options={STARCH_KINDS.map((k) => ({ value: k, words: k.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`) }))}
            onChange={(starchKind) => set({ starchKind })}
          />
        ) : null}
        <NumberField
          label="Spooned density"
          value={draft.densityGPerMl}
          min={0.1}
          max={2}
          decimals={2}
          unit="g/ml"
          width={150}
          onChange={(densityGPerMl) => set({ densityGPerMl })}
        />
        <NumberField
          label="Trimmed and peeled off"
          value={draft.trimPct}
          min={0}
          max={95}
          decimals={0}
          unit="%"
          width={170}
          onChange={(trimPct) => set({ trimPct })}
        />
      </Stack>
      <Typography variant="body2">As the pack prints it, in 100 g:</Typography>
      <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        {ROWS.map(([key, words, unit]) => (
          <NumberField
            key={key}
            label={words}
            value={draft.label[key]}
            min={0}
            max={key === 'energyKJ' ? 4000 : 5000}
            decimals={2}
            unit={unit}
            width={150}
            onChange={(v) => set({ label: { ...draft.label, [key]: v } })}
            onClear={key === 'energyKJ' ? () => set({ label: { ...draft.label, energyKJ: undefined } }) : undefined}
          />
        ))}
      </Stack>
    </Stack>
  );
}
