'use client';
import { useMemo, useRef, useState } from 'react';
import type { Advice, Fix, Grade } from '@/core/stations/mix';
import { SHOWN } from '@/core/desk/advice/concerns';
import { inUnits, there } from '@/core/units';
import { Soft, useKeys, useUnits } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { useMind } from './useMind';
import { WayPress } from './Ways';
import look from './mind.module.css';

export const GRADE_WORDS: Readonly<Record<Grade, string>> = {
  unsafe: 'Unsafe',
  impossible: 'Cannot work',
  spoils: 'Spoils it',
  better: 'Could be better',
};

/** What to mind, worst first: the one that is open with all its ways out, the others in a line each with their best. */
export function ToMind({
  edit,
  onBeside,
}: {
  edit: StationProps['edit'];
  /** Lays the plan beside what a fix would make of it. */
  onBeside?: (fix: Fix) => void;
}) {
  const { concerns, tryAll } = useMind();
  const [opened, open] = useState<string | undefined>(undefined);
  const [all, showAll] = useState(false);
  const list = useRef<HTMLUListElement>(null);
  useKeys(useMemo(() => ({ m: () => list.current?.querySelector<HTMLElement>('[data-way]')?.focus() }), []));
  const shown = all ? concerns : concerns.slice(0, SHOWN);
  const openId = shown.some((a) => a.id === opened) ? opened : shown[0]?.id;
  return (
    <>
      <h2>To mind, worst first</h2>
      {/* What stops the cooking or could hurt is told to who does not look. */}
      <div role="status" className="unseen">
        {concerns
          .filter((a) => a.grade === 'unsafe' || a.grade === 'impossible')
          .map((a) => (
            <span key={a.id}>{a.sentence}</span>
          ))}
      </div>
      {concerns.length === 0 ? (
        <Soft>Nothing: it is inside its bands.</Soft>
      ) : (
        <ul ref={list} className={look.list} aria-label="To mind, worst first">
          {shown.map((a) => (
            <Row
              key={a.id}
              advice={a}
              open={a.id === openId}
              onOpen={() => open(a.id)}
              edit={edit}
              onBeside={onBeside}
            />
          ))}
        </ul>
      )}
      {concerns.length > SHOWN ? (
        <button
          type="button"
          className={look.rest}
          onClick={() => {
            showAll(!all);
            tryAll();
          }}
        >
          {all ? `Only the worst ${SHOWN}` : `${concerns.length - SHOWN} more to mind`}
        </button>
      ) : null}
    </>
  );
}

function Row({
  advice,
  open,
  onOpen,
  edit,
  onBeside,
}: {
  advice: Advice;
  open: boolean;
  onOpen: () => void;
  edit: StationProps['edit'];
  onBeside: ((fix: Fix) => void) | undefined;
}) {
  const units = useUnits();
  const ways = useMind().waysFor(advice.id);
  const sentence = inUnits(advice.sentence, units);
  return (
    <li className={`${look.row} ${look[advice.grade]} ${open ? look.open : ''}`}>
      <i aria-hidden />
      <button type="button" className={look.said} aria-expanded={open} title={sentence} onClick={onOpen}>
        <b>{GRADE_WORDS[advice.grade]}.</b> {sentence}
      </button>
      <span className={look.ways}>
        {(open ? ways : ways?.slice(0, 1))?.map((fix) => (
          <WayPress key={fix.words} fix={fix} about={advice.id} edit={edit} />
        ))}
        {open && onBeside && ways?.[0] ? (
          <button type="button" className={look.rest} onClick={() => onBeside(there(ways[0]))}>
            lay the first beside it
          </button>
        ) : null}
        {open && ways?.length === 0 ? <Soft>No single change mends it as it stands.</Soft> : null}
      </span>
    </li>
  );
}
