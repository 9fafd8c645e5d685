import type { Dispatch, SetStateAction } from 'react';
import { GRAMS_A_HEAD } from '@/core/forecast';
import { WISH_WORDS, WISHES, type Wanted, type Wish } from '@/core/desk/newPlan';
import { SaidChoice, SaidNumber } from '../kit';
import look from './gallery.module.css';

const ROLES = ['taste', 'side', 'breakfast', 'meal'] as const;
export type Ask = Wanted & { readonly by?: string };

/** For how many, eaten as what, on the table by when: a sentence in which each is chosen. */
export function AskLine({ ask, setAsk }: { ask: Ask; setAsk: Dispatch<SetStateAction<Ask>> }) {
  return (
    <>
      For{' '}
      <SaidNumber
        label="Guests"
        value={ask.guests}
        min={1}
        max={500}
        whole
        instead="how many"
        onChange={(guests) => setAsk((a) => ({ ...a, guests }))}
        onClear={() => setAsk(({ guests: _, ...a }) => a)}
      />
      , as{' '}
      <SaidChoice
        label="Eaten as"
        value={ask.role ?? ''}
        options={[
          { value: '', words: 'what it usually is' },
          ...ROLES.map((r) => ({
            value: r,
            words: r === 'taste' || r === 'side' || r === 'meal' ? `a ${r}` : r,
            hint: `${GRAMS_A_HEAD[r]} g a head`,
          })),
        ]}
        onChange={(role) =>
          setAsk(({ role: _, ...a }) => ({
            ...a,
            ...(ROLES.find((r) => r === role) ? { role: ROLES.find((r) => r === role) } : {}),
          }))
        }
      />
      , on the table by{' '}
      <input
        type="time"
        className={look.by}
        aria-label="On the table by"
        value={ask.by ?? ''}
        onChange={(e) => setAsk((a) => ({ ...a, by: e.target.value }))}
      />
      .
    </>
  );
}

/** What it should be, in a cook's words, and whether of what is at hand. */
export function WishPresses({
  wishes,
  setWishes,
  ofWhat,
  setOfWhat,
}: {
  wishes: readonly Wish[];
  setWishes: Dispatch<SetStateAction<readonly Wish[]>>;
  ofWhat: boolean;
  setOfWhat: (on: boolean) => void;
}) {
  return (
    <div className={look.wishes} role="group" aria-label="It should be">
      {WISHES.map((w) => (
        <button
          key={w}
          type="button"
          className={look.wish}
          aria-pressed={wishes.includes(w)}
          onClick={() => setWishes((all) => (all.includes(w) ? all.filter((x) => x !== w) : [...all, w]))}
        >
          {WISH_WORDS[w]}
        </button>
      ))}
      <button type="button" className={look.wish} aria-pressed={ofWhat} onClick={() => setOfWhat(!ofWhat)}>
        of what I have
      </button>
    </div>
  );
}
