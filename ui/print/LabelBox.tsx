'use client';
import { addDays } from 'date-fns';
import { allergenWords } from '@/core/steps';
import { LocalTime, Told } from '../kit';
import type { Card } from '@/core/desk/card';
import look from './print.module.css';
import { shortName } from '@/core/units';

/** Ingredient names as a label lists them. */
const namesOf = (names: readonly string[]): string => names.map((n) => shortName(n).toLowerCase()).join(', ');

/** What goes on the tin: made on, eat by, what it contains. */
export function LabelBox({ card, made, name }: { card: Card; made: Date; name?: string }) {
  return (
    <section aria-label={name ?? 'Label'} className={look.label}>
      <h2>{card.name}</h2>
      <p>
        Made on <LocalTime at={made.toISOString()} as="long" /> · keeps <Told>{card.keep.words}</Told> · eat by{' '}
        <LocalTime at={addDays(made, card.keep.days).toISOString()} as="long" />
      </p>
      <p>
        <b>Contains: {allergenWords(card.allergens, card.notStated)}.</b>
        {card.diets.length > 0 ? ` Fits: ${card.diets.join(', ')}.` : ''}
      </p>
      <p>
        Ingredients, by weight: {namesOf(card.byWeight)}.
        {card.addIns.length > 0 ? ` In it: ${namesOf(card.addIns)}.` : ''}
        {card.beside.map((x) => ` Beside it, ${x.name.toLowerCase()}: ${namesOf(x.byWeight)}.`).join('')}
      </p>
      <p>Made in a kitchen that handles other allergens. For food that is sold, local food codes rule.</p>
    </section>
  );
}
