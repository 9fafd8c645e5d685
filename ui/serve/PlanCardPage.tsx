'use client';
import NextLink from 'next/link';
import { Box, Button, Stack, Typography } from '@mui/material';
import { addDays } from 'date-fns';
import { useState } from 'react';
import type { Keep } from '@/core/rest';
import { sayTimes, type SteamTimes } from '@/core/steam';
import { allergenWords, type Step, type WeighOut } from '@/core/steps';
import { plural, sayDuration, sayGrams, sayMm } from '@/core/units';
import { LocalTime, Told } from '../kit';
import { PourTable } from '../kit/PourTable';
import { WeighList } from '../kit/WeighList';

export interface PlanCard {
  readonly name: string;
  readonly family: string;
  readonly guests: number;
  readonly keep: Keep;
  readonly allergens: readonly string[];
  readonly notStated: readonly string[];
  readonly diets: readonly string[];
  readonly byWeight: readonly string[];
  readonly addIns: readonly string[];
  readonly beside: readonly { readonly name: string; readonly byWeight: readonly string[] }[];
  readonly massG: number;
  readonly pieces: number | null;
  readonly gramsAPiece: number | null;
  readonly times: Pick<SteamTimes, 'checkAtS' | 'planForS' | 'standS' | 'totalS'> | null;
  readonly vessel: string;
  readonly depthM: number;
  readonly heat: string;
  readonly weighOut: readonly WeighOut[];
  readonly steps: readonly Pick<Step, 'verb' | 'sentence' | 'lookFor' | 'timeline'>[];
  readonly cautions: readonly string[];
}

/** Ingredient names as a label lists them. */
const namesOf = (names: readonly string[]): string => names.map((n) => n.split(',')[0].toLowerCase()).join(', ');

const SHEET = {
  border: '1.5px solid',
  borderColor: 'text.primary',
  p: 2,
  mb: 2,
  bgcolor: 'background.paper',
  breakInside: 'avoid',
} as const;

/** One page for the counter and a label for the tin, to print. */
export function PlanCardPage({ id, card }: { id: string; card: PlanCard }) {
  const [made] = useState(() => new Date());
  return (
    <Box
      sx={{
        maxWidth: 820,
        mx: 'auto',
        '@media print': {
          zoom: 0.66,
          maxWidth: 'none',
          '& *': { color: '#000 !important', background: 'none !important' },
        },
      }}
    >
      <Stack direction="row" spacing={1} className="no-print" sx={{ my: 1.5 }}>
        <Button variant="contained" size="medium" onClick={() => window.print()}>
          Print
        </Button>
        <Button component={NextLink} href={`/plans/${id}`}>
          Back to the plan
        </Button>
      </Stack>
      <Box component="section" aria-label="Label" sx={SHEET}>
        <Typography variant="h1" sx={{ overflowWrap: 'anywhere' }}>
          {card.name}
        </Typography>
        <Typography>
          Made on <LocalTime at={made.toISOString()} as="long" /> · keeps <Told>{card.keep.words}</Told> · eat by{' '}
          <LocalTime at={addDays(made, card.keep.days).toISOString()} as="long" />
        </Typography>
        <Typography sx={{ mt: 0.5 }}>
          <b>Contains: {allergenWords(card.allergens, card.notStated)}.</b>
          {card.diets.length > 0 ? ` Fits: ${card.diets.join(', ')}.` : ''}
        </Typography>
        <Typography sx={{ mt: 0.5 }}>
          Ingredients, by weight: {namesOf(card.byWeight)}.
          {card.addIns.length > 0 ? ` In it: ${namesOf(card.addIns)}.` : ''}
        </Typography>
        {card.beside.map((x) => (
          <Typography key={x.name} variant="body2">
            Beside it, {x.name.toLowerCase()}: {namesOf(x.byWeight)}.
          </Typography>
        ))}
        <Typography variant="body2" sx={{ mt: 0.5 }}>
          Made in a kitchen that handles other allergens. For food that is sold, local food codes rule.
        </Typography>
      </Box>
      <Box component="section" aria-label="Card" sx={{ ...SHEET, breakInside: 'auto' }}>
        <Typography variant="h2">
          {card.family} · {plural(card.guests, 'guest')} · <Told>{sayGrams(card.massG)}</Told> · {card.vessel},{' '}
          <Told>{sayMm(card.depthM)}</Told> deep
        </Typography>
        <Typography sx={{ fontSize: 20, fontWeight: 600, my: 0.5 }}>
          {card.times === null
            ? 'No steaming.'
            : `Steam, ${card.heat}: check at ${sayDuration(card.times.checkAtS)}; ${sayTimes(card.times)}.`}
          {card.pieces === null ? null : (
            <Told>{` ${plural(card.pieces, 'piece')} of ${sayGrams(card.gramsAPiece ?? 0)}.`}</Told>
          )}
        </Typography>
        <WeighList groups={card.weighOut} />
        <Box
          component="ol"
          sx={{
            pl: 2.5,
            my: 0.5,
            '& li': { mb: 0.25 },
            '@media print': { columns: 2, columnGap: 4, '& li': { breakInside: 'avoid' } },
          }}
        >
          {card.steps.map((s, i) => (
            <li key={i}>
              <b>{s.verb}.</b> <Told>{s.sentence}</Told>
              {s.lookFor ? (
                <i>
                  {' '}
                  <Told>{s.lookFor}</Told>
                </i>
              ) : null}
              {s.timeline ? <PourTable moments={s.timeline} /> : null}
            </li>
          ))}
        </Box>
        <Typography variant="h3" component="h2">
          Take care
        </Typography>
        <Box component="ul" sx={{ pl: 2.5, my: 0.5 }}>
          {card.cautions.map((c) => (
            <li key={c}>
              <Told>{c}</Told>
            </li>
          ))}
        </Box>
      </Box>
    </Box>
  );
}
