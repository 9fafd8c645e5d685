'use client';
import { useState } from 'react';
import { sayHoldings } from '@/core/kitchen';
import { plural, type ChosenFrom } from '@/core/units';
import type { OpenedCopy } from '@/server/copies/opened';
import { LocalTime, Press, Say } from '../kit';
import look from '../kit/list.module.css';
import { countChosen, sent, wholly, type Choice } from './choice';
import own from './copies.module.css';
import { PreviewGroup } from './PreviewGroup';

/** So few lines are seen at the first look. */
const OPEN_UP_TO = 24;
const PLACES = [
  {
    where: 'there',
    words: 'Only in the copy',
    about: 'Brought in beside what is here.',
  },
  {
    where: 'both',
    words: 'In both, and different',
    about: 'The copy’s takes the place of the one here; of a batch, what was written down is put together.',
  },
  {
    where: 'here',
    words: 'Only here',
    about: 'Stays, unless you choose it: then it goes to Deleted.',
  },
] as const;
type Where = (typeof PLACES)[number]['where'];

/** Choices by one press: what each does with a place. */
const PRESETS: readonly (readonly [words: string, of: Readonly<Record<Where, ChosenFrom>>])[] = [
  ['What is missing or later there', { there: 'suggested', both: 'suggested', here: 'none' }],
  ['Everything there', { there: 'all', both: 'all', here: 'none' }],
  ['Exactly as the copy', { there: 'all', both: 'all', here: 'all' }],
  ['Nothing', { there: 'none', both: 'none', here: 'none' }],
];

/** In what a copy and this kitchen differ, and what of it is taken. */
export function Preview({
  opened,
  busy,
  onTake,
  onClose,
}: {
  opened: OpenedCopy;
  busy: boolean;
  onTake: (choice: ReturnType<typeof sent>) => void;
  onClose: () => void;
}) {
  const [choice, setChoice] = useState<Choice>({});
  const { manifest, groups } = opened;
  const count = (where: Where) =>
    groups.filter((g) => g.where === where).reduce((n, g) => n + countChosen(choice, g), 0);
  const [there, both, here] = [count('there'), count('both'), count('here')];
  const all = there + both + here;
  const lines = groups.reduce((n, g) => n + g.count, 0);
  const filled = PLACES.filter((p) => groups.some((g) => g.where === p.where));
  const empty = PLACES.filter((p) => !filled.includes(p));
  const says = [
    ...(there > 0 ? [`brings in ${there}`] : []),
    ...(both > 0 ? [`changes ${both} here`] : []),
    ...(here > 0 ? [`puts ${here} into Deleted`] : []),
  ];
  return (
    <section aria-labelledby="preview-title">
      <h2 id="preview-title" className={look.heading}>
        {opened.called}
      </h2>
      <p className={own.text}>
        {manifest.kitchen}, saved <LocalTime at={manifest.madeAt} as="full" /> by Idle Ladle {manifest.release}:{' '}
        {sayHoldings(manifest.counts)}. All of it was checked
        {opened.unreadable > 0 ? `; ${plural(opened.unreadable, 'document')} could not be read there either` : ''}.
      </p>
      {groups.length === 0 ? (
        <Say tone="ready">This kitchen has all of it already: nothing differs.</Say>
      ) : (
        <>
          <div
            className={look.beside}
            style={{ flexWrap: 'wrap', gap: 8, marginBottom: 12 }}
            role="group"
            aria-label="Choose"
          >
            {PRESETS.map(([words, of]) => (
              <Press
                key={words}
                quiet
                onClick={() => setChoice(groups.reduce<Choice>((c, g) => wholly(c, g, of[g.where]), {}))}
              >
                {words}
              </Press>
            ))}
          </div>
          <div className={own.places}>
            {filled.map(({ where, words, about }) => {
              const some = groups.filter((g) => g.where === where);
              return (
                <section key={where} aria-label={words}>
                  <h3 className={look.heading}>{words}</h3>
                  <p className={`${look.soft} ${own.text}`}>{about}</p>
                  <div className={look.sheet}>
                    {some.map((g) => (
                      <PreviewGroup
                        key={g.kind}
                        opened={opened.id}
                        group={g}
                        isOpen={lines <= OPEN_UP_TO}
                        choice={choice}
                        onChoice={setChoice}
                      />
                    ))}
                  </div>
                </section>
              );
            })}
          </div>
          {empty.length > 0 ? (
            <p className={`${look.soft} ${own.text}`} style={{ marginTop: 12 }}>
              {empty.map((p) => `${p.words}: nothing.`).join(' ')}
            </p>
          ) : null}
        </>
      )}
      <div className={own.foot}>
        <p role="status">
          {groups.length === 0
            ? ''
            : all === 0
              ? 'Nothing is chosen.'
              : `This ${says.join(', ')}. A copy of this kitchen as it is comes first.`}
        </p>
        {groups.length > 0 ? (
          <Press main disabled={busy || all === 0} onClick={() => onTake(sent(choice, groups))}>
            {all === 0 ? 'Take in' : `Take in ${plural(all, 'thing')}`}
          </Press>
        ) : null}
        <Press disabled={busy} onClick={onClose}>
          Close the copy
        </Press>
      </div>
    </section>
  );
}
