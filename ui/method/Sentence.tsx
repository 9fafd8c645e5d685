'use client';
import { Fragment, useState } from 'react';
import { readingAt, withReading } from '@/core/plan';
import { type Answer, type ReadUnit, type ToldStep } from '@/core/steps';
import { inUnits, sayGrams, type UnitChoice } from '@/core/units';
import { SaidNumber, Say, useUnits } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { lineOf } from './lineSlots';
import { SLOTS } from './slots';
import look from './method.module.css';
import { grounded } from '../kit/grounded';

const LinePanel = grounded(() => import('./LinePanel'));
const LIMITS = { g: 50_000, '°C': 120, mm: 400, ml: 40_000 } as const;

/** What is reckoned with, rounded as the sentence rounds it, in the cook's own unit without its name. */
function expectedWords(value: number, unit: ReadUnit, units: UnitChoice): string {
  const said = inUnits(unit === 'g' ? sayGrams(value) : `${Number(value.toFixed(value < 10 ? 1 : 0))} ${unit}`, units);
  return /^[\d.,½¼¾⅓⅔]+/.exec(said)?.[0] ?? said;
}

/** What a weighing at this step would put right, asked in the sentence. */
function Ask({ node, answer, plan, edit }: { node: string; answer: Extract<Answer, { kind: 'read' }> } & StationProps) {
  const at = { node, slot: answer.slot };
  const value = readingAt(plan, at);
  const units = useUnits();
  return (
    <span className={look.soft}>
      {' '}
      {value === undefined ? `${answer.words}?` : `${answer.words}:`}{' '}
      <SaidNumber
        label={answer.words}
        value={value}
        min={0}
        max={LIMITS[answer.unit]}
        unit={answer.unit}
        source="measured"
        instead={answer.expected === undefined ? undefined : expectedWords(answer.expected, answer.unit, units)}
        onChange={(v) => edit(`read.${node}.${answer.slot}`, (p) => withReading(p, at, v))}
        onClear={() => edit(`read.${node}.${answer.slot}`, (p) => withReading(p, at, undefined))}
      />
    </span>
  );
}

/** One step of the method, as a cook would tell it: what can be changed is changed where it is said. */
export function Sentence({ told, ...props }: StationProps & { readonly told: ToldStep }) {
  const { step, parts } = told;
  const [open, setOpen] = useState<string | undefined>(undefined);
  const units = useUnits();
  const reads = (step.answers ?? []).filter((a): a is Extract<Answer, { kind: 'read' }> => a.kind === 'read');
  const line = open === undefined ? undefined : lineOf(props, open);
  return (
    <>
      <p className={look.said} data-step={step.id}>
        {parts.map((p, i) => (
          <Fragment key={i}>
            {p.slot
              ? SLOTS[p.slot.kind]({ ...props, id: p.slot.key, text: p.text, open, onOpen: setOpen })
              : inUnits(p.text, units)}
          </Fragment>
        ))}
        {reads.map((a) => (
          <Ask key={a.slot} node={step.id} answer={a} {...props} />
        ))}
        {step.lookFor ? <span className={look.soft}> {inUnits(step.lookFor, units)}</span> : null}
      </p>
      {line ? <LinePanel {...props} {...line} /> : null}
      {step.cautions.map((c) => (
        <div key={c} className={look.caution}>
          <Say tone="watch">{c}</Say>
        </div>
      ))}
    </>
  );
}
