'use client';
import { useRouter } from 'next/navigation';
import { Button, Stack, Typography } from '@mui/material';
import { sayDuration, sayGrams } from '@/core/units';
import { GRAMS_A_HEAD } from '@/core/forecast';
import { nutritionPer } from '@/core/flow';
import { allergenWords } from '@/core/steps';
import { Choice, Fact, NumberField, Say, Told, WordsField } from '../kit';
import type { StationProps } from '../plan/StationProps';

/** Serve: for how many, with what, and what is in it. */
export function ServeStation({ plan, forecast, edit }: StationProps) {
  const router = useRouter();
  const { light } = forecast;
  const per = nutritionPer(light.balance.whole, light.cut ? light.cut.count * plan.vesselCount : plan.guests);
  const { cost } = light.balance;
  return (
    <Stack spacing={2}>
      <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <NumberField
          label="Guests"
          value={plan.guests}
          min={1}
          max={500}
          whole
          decimals={0}
          width={100}
          onChange={(guests) => edit('guests', (p) => ({ ...p, guests }))}
        />
        <Choice
          label="As"
          value={plan.role}
          width={160}
          options={(Object.keys(GRAMS_A_HEAD) as (keyof typeof GRAMS_A_HEAD)[]).map((r) => ({
            value: r,
            words: r,
            hint: `${GRAMS_A_HEAD[r]} g a head`,
          }))}
          onChange={(role) => edit('role', (p) => ({ ...p, role }))}
        />
      </Stack>
      <Stack direction="row" spacing={3} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Fact
          name="Each gets"
          note={
            light.cut && light.cut.count > 0
              ? `${((light.cut.count * plan.vesselCount) / plan.guests).toFixed(1)} pieces a plate`
              : undefined
          }
        >
          <Told>{sayGrams(light.serves.gramsEach)}</Told>
        </Fact>
        <Fact name="Hands at work">{sayDuration(forecast.totals.handsOnS)}</Fact>
        <Fact name="Waiting">{sayDuration(forecast.totals.waitS)}</Fact>
        <Fact name="Cost" note={cost.unpriced > 0 ? `${cost.unpriced} without a price` : undefined}>
          {cost.total.toFixed(2)}
        </Fact>
      </Stack>
      <Say tone={light.serves.enough ? 'ready' : 'watch'}>
        {light.serves.enough
          ? 'Enough for everyone.'
          : `Short by ${sayGrams(light.serves.neededG - light.balance.massG)} for ${plan.guests} at ${light.serves.gramsAHead} g a head.`}
      </Say>
      <Say tone="watch">
        Allergens: {allergenWords(light.balance.allergens, light.balance.allergensNotStated)}. Fits:{' '}
        {light.balance.diets.length > 0 ? light.balance.diets.join(', ') : 'no tracked diet'}.
      </Say>
      <Typography variant="body2">
        Per {light.cut ? 'piece' : 'guest'}: {Math.round(per.kcal)} kcal ({Math.round(per.kJ)} kJ), fat{' '}
        {per.fatG.toFixed(1)} g, carbohydrate {per.carbohydrateG.toFixed(1)} g of which sugars {per.sugarsG.toFixed(1)}{' '}
        g, protein {per.proteinG.toFixed(1)} g, salt {per.saltG.toFixed(2)} g.
      </Typography>
      {plan.accompaniments.map((a) => {
        const made = forecast.weighOut.find((w) => w.name === a.name);
        return (
          <Typography key={a.id} variant="body2">
            <b>{a.name}</b>, <Told>{sayGrams(made?.massG ?? 0)}</Told>:{' '}
            {a.lines
              .map((l) => `${l.parts} ${light.resolved.larder.get(l.ingredient)?.name.toLowerCase() ?? l.ingredient}`)
              .join(' : ')}
          </Typography>
        );
      })}
      <Typography variant="body2">
        A mouthful of cake and what it is eaten with: salt {light.balance.plate.saltPct.toFixed(2)} %, sugar{' '}
        {light.balance.plate.sugarPct.toFixed(1)} %.
      </Typography>
      <Button
        variant="outlined"
        sx={{ alignSelf: 'flex-start' }}
        onClick={() => router.push(`${window.location.pathname}/card`)}
      >
        Card and label to print
      </Button>
      <details>
        <Typography component="summary" sx={{ cursor: 'pointer' }}>
          Take care: {forecast.cautions.length} cautions of this plan
        </Typography>
        {forecast.cautions.map((c) => (
          <Say key={c} tone="watch">
            {c}
          </Say>
        ))}
      </details>
      <WordsField
        label="Notes"
        multiline
        minRows={2}
        most={4000}
        value={plan.notes}
        onTake={(notes) => edit('notes', (p) => ({ ...p, notes }))}
      />
    </Stack>
  );
}
