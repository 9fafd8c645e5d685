import type { ReactNode } from 'react';
import look from './rows.module.css';
import { ToldNode } from './units';

export type Tone = 'ready' | 'watch' | 'stop' | 'plain';
const WORDS: Readonly<Record<Tone, string>> = { ready: 'Ready', watch: 'Watch', stop: 'Stop', plain: '' };

/** A sentence with a tone: colour and hatch together, never colour alone. */
export function Say({
  tone = 'plain',
  children,
  role,
}: {
  tone?: Tone;
  children: ReactNode;
  role?: 'status' | 'alert';
}) {
  return (
    <div role={role} className={`${look.say} ${look[tone]}`}>
      <i aria-hidden />
      <span>
        {WORDS[tone] ? <b className="unseen">{WORDS[tone]}: </b> : null}
        <ToldNode>{children}</ToldNode>
      </span>
    </div>
  );
}
