'use client';
import { Stack } from '@mui/material';
import { useRouter } from 'next/navigation';
import { CUP_ML, LENGTH_UNITS, MASS_UNITS, TABLESPOON_ML, TEMP_UNITS } from '@/core/units';
import type { Kitchen } from '@/core/kitchen';
import { Choice } from '../kit';
import type { SettingsChange } from '../kitchen/useKitchen';

const MASS_WORDS = { g: 'grams', oz: 'ounces' } as const;
const LENGTH_WORDS = { mm: 'millimetres', cm: 'centimetres', in: 'inches' } as const;
const TEMP_WORDS = { C: '°C', F: '°F' } as const;
const CUPS = Object.keys(CUP_ML) as (keyof typeof CUP_ML)[];
const SPOONS = Object.keys(TABLESPOON_ML) as (keyof typeof TABLESPOON_ML)[];

/** The units a cook reads and types in, and the size of her cup and spoon: chosen here, for every page. */
export function UnitsPanel({
  kitchen,
  onKeep,
}: {
  kitchen: Kitchen;
  onKeep: (change: SettingsChange) => Promise<boolean>;
}) {
  const router = useRouter();
  const keep = (change: SettingsChange) => void onKeep(change).then(() => router.refresh());
  const { units } = kitchen;
  return (
    <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap' }} component="section" aria-label="Units">
      <Choice
        label="Weight"
        value={units.mass}
        width={120}
        options={MASS_UNITS.map((u) => ({ value: u, words: MASS_WORDS[u] }))}
        onChange={(mass) => keep({ units: { mass } })}
      />
      <Choice
        label="Length"
        value={units.length}
        width={140}
        options={LENGTH_UNITS.map((u) => ({ value: u, words: LENGTH_WORDS[u] }))}
        onChange={(length) => keep({ units: { length } })}
      />
      <Choice
        label="Temperature"
        value={units.temp}
        width={120}
        options={TEMP_UNITS.map((u) => ({ value: u, words: TEMP_WORDS[u] }))}
        onChange={(temp) => keep({ units: { temp } })}
      />
      <Choice
        label="Cup"
        value={kitchen.cup}
        width={110}
        options={CUPS.map((c) => ({ value: c, words: `${CUP_ML[c]} ml` }))}
        onChange={(cup) => keep({ cup })}
      />
      <Choice
        label="Tablespoon"
        value={kitchen.tablespoon}
        width={120}
        options={SPOONS.map((c) => ({ value: c, words: `${TABLESPOON_ML[c]} ml` }))}
        onChange={(tablespoon) => keep({ tablespoon })}
      />
    </Stack>
  );
}
