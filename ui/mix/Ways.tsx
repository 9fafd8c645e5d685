'use client';
import { chooseSchool, extraStarchIn, type SchoolQuestion } from '@/core/plan';
import { SaidChoice, SaidLine, SaidNumber } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { changeBatter } from '../lines/editLines';

const QUESTIONS: readonly (readonly [SchoolQuestion, string])[] = [
  ['extraStarch', 'Extra starch'],
  ['rest', 'Rest the batter'],
  ['yeast', 'Yeast'],
  ['release', 'Sheet release'],
];
/** Where cooks disagree: this plan's way, chosen where it is said. */
export function Ways({ plan, forecast, edit }: StationProps) {
  const { light } = forecast;
  const asked = QUESTIONS.filter(([q]) => light.family.schools[q]);
  const off = light.resolved.plan.schools.rest === 'pour-off';
  if (asked.length === 0 && !off) return null;
  return (
    <SaidLine>
      {asked.map(([q, words], i) => (
        <span key={q}>
          {i > 0 ? '; ' : ''}
          {i > 0 ? words.toLowerCase() : words}:{' '}
          <SaidChoice
            label={words}
            value={q === 'extraStarch' ? extraStarchIn(plan) : (light.resolved.plan.schools[q] ?? '')}
            options={(light.family.schools[q]?.options ?? []).map((o) => ({
              value: o.id,
              words: o.words.toLowerCase(),
              hint: o.differs,
            }))}
            onChange={(v) => edit(`school.${q}`, (p) => chooseSchool(p, q, v))}
          />
        </span>
      ))}
      {off
        ? plan.batters.map((b, i) => (
            <span key={b.id}>
              ; poured off{' '}
              <SaidNumber
                label="Poured off"
                value={b.pouredOffG}
                min={0}
                max={50_000}
                unit="g"
                onChange={(pouredOffG) => edit(`batter.${i}.off`, (p) => changeBatter(p, i, { pouredOffG }))}
                onClear={() => edit(`batter.${i}.off`, (p) => changeBatter(p, i, { pouredOffG: undefined }))}
              />
            </span>
          ))
        : null}
      .
    </SaidLine>
  );
}
