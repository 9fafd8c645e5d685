'use client';
import NextLink from 'next/link';
import { Box, Button, Stack, Typography } from '@mui/material';
import { addDays, format, parseISO } from 'date-fns';
import { sayDuration, sayGrams, sayMm } from '@/core/units';

export interface PlanCard {
  readonly name: string;
  readonly family: string;
  readonly guests: number;
  readonly keepDays: number;
  readonly allergens: readonly string[];
  readonly diets: readonly string[];
  readonly byWeight: readonly string[];
  readonly massG: number;
  readonly pieces: number | null;
  readonly gramsAPiece: number | null;
  readonly checkAtS: number | null;
  readonly planForS: number | null;
  readonly vessel: string;
  readonly depthM: number;
  readonly heat: string;
  readonly lines: readonly { readonly name: string; readonly massG: number }[];
  readonly topUpG: number;
  readonly steps: readonly { readonly verb: string; readonly sentence: string }[];
  readonly cautions: readonly string[];
}

const SHEET = {
  border: '1.5px solid',
  borderColor: 'text.primary',
  p: 2,
  mb: 2,
  bgcolor: 'background.paper',
  breakInside: 'avoid',
} as const;

/** One page for the counter and a label for the tin, to print. */
export function PlanCardPage({ id, card, today }: { id: string; card: PlanCard; today: string }) {
  const made = parseISO(today);
  return (
    <Box
      sx={{
        maxWidth: 820,
        mx: 'auto',
        '@media print': { zoom: 0.78, '& *': { color: '#000 !important', background: 'none !important' } },
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
        <Typography suppressHydrationWarning>
          Made on {format(made, 'd MMMM yyyy')} · keep at 5 °C or colder · eat by{' '}
          {format(addDays(made, card.keepDays), 'd MMMM yyyy')}
        </Typography>
        <Typography sx={{ mt: 0.5 }}>
          <b>
            Contains: {card.allergens.length > 0 ? card.allergens.join(', ') : 'none of the eleven tracked allergens'}.
          </b>
          {card.diets.length > 0 ? ` Fits: ${card.diets.join(', ')}.` : ''}
        </Typography>
        <Typography sx={{ mt: 0.5 }}>Ingredients, by weight: {card.byWeight.join(', ').toLowerCase()}.</Typography>
        <Typography variant="body2" sx={{ mt: 0.5 }}>
          Made in a kitchen that handles other allergens. For food that is sold, local food codes rule.
        </Typography>
      </Box>
      <Box component="section" aria-label="Card" sx={{ ...SHEET, breakInside: 'auto' }}>
        <Typography variant="h2">
          {card.family} · {card.guests} guests · {sayGrams(card.massG)} · {card.vessel}, {sayMm(card.depthM)} deep
        </Typography>
        <Typography sx={{ fontSize: 20, fontWeight: 600, my: 0.5 }}>
          {card.planForS === null || card.checkAtS === null
            ? 'No steaming.'
            : `Steam, ${card.heat}: check at ${sayDuration(card.checkAtS)}, plan for ${sayDuration(card.planForS)}.`}
          {card.pieces === null ? '' : ` ${card.pieces} pieces of ${sayGrams(card.gramsAPiece ?? 0)}.`}
        </Typography>
        <Box component="ul" sx={{ columns: 2, pl: 2.5, my: 0.5 }}>
          {card.lines.map((l, i) => (
            <li key={i}>
              {l.name} <b>{sayGrams(l.massG)}</b>
            </li>
          ))}
          {card.topUpG > 0.5 ? (
            <li>
              Water, to top up <b>{sayGrams(card.topUpG)}</b>
            </li>
          ) : null}
        </Box>
        <Box component="ol" sx={{ pl: 2.5, my: 0.5, '& li': { mb: 0.25 } }}>
          {card.steps.map((s, i) => (
            <li key={i}>
              <b>{s.verb}.</b> {s.sentence}
            </li>
          ))}
        </Box>
        <Typography variant="h3" component="h2">
          Take care
        </Typography>
        <Box component="ul" sx={{ pl: 2.5, my: 0.5 }}>
          {card.cautions.map((c) => (
            <li key={c}>{c}</li>
          ))}
        </Box>
      </Box>
    </Box>
  );
}
