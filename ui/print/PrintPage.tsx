'use client';
import { useState } from 'react';
import { LinkPress, Press, Toggle } from '../kit';
import { CardSheet } from './CardSheet';
import { LabelBox } from './LabelBox';
import type { Card } from '@/core/desk/card';
import { PAPER_WORDS, PAPERS, SHEET_WORDS, SHEETS, type Paper, type Sheet } from './printed';
import { StepSheet } from './StepSheet';
import look from './print.module.css';

const LABELS = 6;

/** What can be printed of a plan, as it will lie on the paper: a card with its label, a step sheet, labels; on either size of paper. */
export function PrintPage({ id, card }: { id: string; card: Card }) {
  const [made] = useState(() => new Date());
  const [sheet, setSheet] = useState<Sheet>('card');
  const [paper, setPaper] = useState<Paper>('a4');
  return (
    <>
      <div className={`${look.bar} no-print`}>
        <Press main onClick={() => window.print()}>
          Print
        </Press>
        <Toggle
          label="What is printed"
          value={sheet}
          options={SHEETS.map((s) => ({ value: s, words: SHEET_WORDS[s] }))}
          onChange={setSheet}
        />
        <Toggle
          label="Paper"
          value={paper}
          options={PAPERS.map((p) => ({ value: p, words: PAPER_WORDS[p] }))}
          onChange={setPaper}
        />
        <LinkPress href={`/plans/${id}`}>Back to the plan</LinkPress>
      </div>
      {/* On a narrow screen it is scrolled, by keys too. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
      <div className={look.desk} role="group" aria-label="As it will be printed" tabIndex={0}>
        {sheet === 'card' ? <CardSheet card={card} paper={paper} made={made} /> : null}
        {sheet === 'steps' ? <StepSheet card={card} paper={paper} /> : null}
        {sheet === 'labels' ? (
          <div className={look.page} data-paper={paper}>
            <div className={look.labels}>
              {Array.from({ length: LABELS }, (_, i) => (
                <LabelBox key={i} card={card} made={made} name={`Label ${i + 1}`} />
              ))}
            </div>
          </div>
        ) : null}
      </div>
    </>
  );
}
