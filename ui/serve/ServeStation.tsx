'use client';
import { useRouter } from 'next/navigation';
import { sayDuration, sayGrams } from '@/core/units';
import { GRAMS_A_HEAD } from '@/core/forecast';
import { nutritionPer } from '@/core/flow';
import { allergenWords } from '@/core/steps';
import { Column, Facts, More, Press, Row, SaidChoice, SaidLine, Say, Soft, Told, WordsField } from '../kit';
import { Method } from '../method/Method';
import { WhyFact } from '../method/WhyFact';
import type { StationProps } from '../plan/StationProps';

/** Serve: for how many, with what, and what is in it. */
export function ServeStation(props: StationProps) {
  const { plan, forecast, edit } = props;
  const router = useRouter();
  const { light } = forecast;
  const { cut } = light;
  // A piece is what it weighs: what is cut off is in none of them.
  const perPiece = cut && cut.count > 0 ? light.balance.massG / cut.gramsAPiece : undefined;
  const per = nutritionPer(light.balance.whole, perPiece ?? plan.guests);
  const { cost } = light.balance;
  return (
    <Column>
      <div>
        <Method {...props} station="serve" />
        <SaidLine>
          Eaten as{' '}
          <SaidChoice
            label="As"
            value={plan.role}
            options={(Object.keys(GRAMS_A_HEAD) as (keyof typeof GRAMS_A_HEAD)[]).map((r) => ({
              value: r,
              words: r,
              hint: `${GRAMS_A_HEAD[r]} g a head`,
            }))}
            onChange={(role) => edit('role', (p) => ({ ...p, role }))}
          />
          .
        </SaidLine>
      </div>
      <Facts>
        <WhyFact
          forecast={forecast}
          path="serves.gramsEach"
          name="Each gets"
          note={
            cut && cut.count > 0
              ? `${((cut.count * plan.vesselCount) / plan.guests).toFixed(1)} pieces of ${sayGrams(cut.gramsAPiece)} a plate`
              : undefined
          }
        >
          <Told>{sayGrams(light.serves.gramsEach)}</Told>
        </WhyFact>
        <WhyFact forecast={forecast} path="totals.handsOnS" name="Hands at work">
          {sayDuration(forecast.totals.handsOnS)}
        </WhyFact>
        <WhyFact forecast={forecast} path="totals.waitS" name="Waiting">
          {sayDuration(forecast.totals.waitS)}
        </WhyFact>
        <WhyFact
          forecast={forecast}
          path="balance.cost.total"
          name="Cost"
          note={cost.unpriced > 0 ? `${cost.unpriced} without a price` : undefined}
        >
          {cost.total.toFixed(2)}
        </WhyFact>
      </Facts>
      <Say tone={light.serves.enough ? 'ready' : 'watch'}>
        {light.serves.enough
          ? 'Enough for everyone.'
          : `Short by ${sayGrams(light.serves.neededG - light.balance.massG)} for ${plan.guests} at ${light.serves.gramsAHead} g a head.`}
      </Say>
      <Say tone="watch">
        Allergens: {allergenWords(light.balance.allergens, light.balance.allergensNotStated)}. Fits:{' '}
        {light.balance.diets.length > 0 ? light.balance.diets.join(', ') : 'no tracked diet'}.
      </Say>
      <Soft>
        Per {perPiece ? 'piece' : 'guest'}: {Math.round(per.kcal)} kcal ({Math.round(per.kJ)} kJ), fat{' '}
        {per.fatG.toFixed(1)} g, carbohydrate {per.carbohydrateG.toFixed(1)} g of which sugars {per.sugarsG.toFixed(1)}{' '}
        g, protein {per.proteinG.toFixed(1)} g, salt {per.saltG.toFixed(2)} g.
      </Soft>
      {plan.accompaniments.map((a) => {
        const made = forecast.weighOut.find((w) => w.name === a.name);
        return (
          <Soft key={a.id}>
            <b>{a.name}</b>, <Told>{sayGrams(made?.massG ?? 0)}</Told>:{' '}
            {a.lines
              .map((l) => `${l.parts} ${light.resolved.larder.get(l.ingredient)?.name.toLowerCase() ?? l.ingredient}`)
              .join(' : ')}
          </Soft>
        );
      })}
      <Soft>
        A mouthful of cake and what it is eaten with: salt {light.balance.plate.saltPct.toFixed(2)} %, sugar{' '}
        {light.balance.plate.sugarPct.toFixed(1)} %.
      </Soft>
      <Row>
        <Press onClick={() => router.push(`${window.location.pathname}/card`)}>Card and label to print</Press>
      </Row>
      <More
        label="More about serving"
        of={[
          {
            name: `Take care: ${forecast.cautions.length} cautions of this plan`,
            draw: () =>
              forecast.cautions.map((c) => (
                <Say key={c} tone="watch">
                  {c}
                </Say>
              )),
          },
        ]}
      />
      <WordsField
        label="Notes"
        rows={2}
        width="100%"
        most={4000}
        value={plan.notes}
        onTake={(notes) => edit('notes', (p) => ({ ...p, notes }))}
      />
    </Column>
  );
}
