import { FAMILIES, type Family, formulaOf } from '@/core/families';
import { forecast } from '@/core/forecast';
import { emptyKitchen } from '@/core/kitchen';
import { chooseSchool, type Plan, type SchoolQuestion } from '@/core/plan';
import { sayDuration, sayGrams } from '@/core/units';
import { COARSE_GRID } from '@/core/model/steam';
import type { Step } from '@/core/steps';

/**
 * Prints the method of every family in full, and for every school the lines that differ.
 * Use: npm run --silent steps [-- family …]
 */
const only = process.argv.slice(2);

const made = (plan: Plan) => {
  const f = forecast(plan, emptyKitchen(), COARSE_GRID);
  if (!f.ok) throw new Error(f.problems.map((p) => p.sentence).join(' '));
  return f.value;
};

const amounts = (s: Step): string =>
  [
    ...s.amounts.map((a) => `${a.name} ${sayGrams(a.massG)}${a.note ? ` (${a.note})` : ''}`),
    ...(s.carried ?? []).map((x) => `[${x.name} ${sayGrams(x.massG)}]`),
  ].join(' · ');

function linesOf(s: Step): string[] {
  const time = [
    s.handsOnS > 0 ? `${sayDuration(s.handsOnS)} hands` : '',
    s.waitS > 0 ? `${sayDuration(s.waitS)} wait` : '',
  ]
    .filter(Boolean)
    .join(', ');
  return [
    `${s.verb}. ${s.sentence}`,
    ...(amounts(s) ? [`    ${amounts(s)}`] : []),
    ...(s.lookFor ? [`    look for: ${s.lookFor}`] : []),
    ...(s.taste ? [`    taste: ${s.taste}`] : []),
    ...(s.timeline ?? []).map((m) => `    at ${sayDuration(m.atS)}: ${m.words}`),
    ...s.cautions.map((c) => `    ! ${c}`),
    ...(s.answers ? [`    say: ${s.answers.map((a) => a.words).join(' / ')}`] : []),
    `    (${s.id}; ${time})`,
  ];
}

const say = (steps: readonly Step[]): string[] =>
  steps.flatMap((s, i) => linesOf(s).map((l, k) => (k === 0 ? `${i + 1}. ${l}` : l)));

/** What a cook would notice: the words and what enters, not the grams carried along. */
const told = (s: Step): string =>
  [s.verb, s.sentence, s.lookFor, ...s.amounts.map((a) => `${a.name} ${sayGrams(a.massG)}`)].join('|');

function differs(base: readonly Step[], other: readonly Step[]): string[] {
  const before = new Map(base.map((s) => [s.id, told(s)]));
  const after = new Set(other.map((s) => s.id));
  return [
    ...base.filter((s) => !after.has(s.id)).map((s) => `  - ${s.verb}. ${s.sentence}`),
    ...other
      .filter((s) => before.get(s.id) !== told(s))
      .flatMap((s) => linesOf(s).map((l, k) => (k === 0 ? `  + ${l}` : `  ${l}`))),
  ];
}

function print(family: Family): void {
  const plan = formulaOf(family);
  const f = made(plan);
  console.log(`\n${'='.repeat(100)}\n${family.name}, serves ${plan.guests}\n`);
  for (const w of f.weighOut)
    console.log(`  ${w.name}: ${w.amounts.map((a) => `${a.name} ${sayGrams(a.massG)}`).join(' · ')}`);
  console.log('');
  for (const l of say(f.steps)) console.log(l);
  for (const p of f.light.problems) console.log(`  PROBLEM ${p.sentence}`);
  for (const a of f.light.advice) console.log(`  advice: ${a.sentence}`);
  for (const [q, school] of Object.entries(family.schools))
    for (const o of school.options) {
      if (o.id === (plan.schools[q as SchoolQuestion] ?? school.usual)) continue;
      const other = made(chooseSchool(plan, q as SchoolQuestion, o.id));
      console.log(`\n-- ${q}: ${o.words}`);
      for (const l of differs(f.steps, other.steps)) console.log(l);
    }
}

for (const family of FAMILIES) if (only.length === 0 || only.includes(family.id)) print(family);
