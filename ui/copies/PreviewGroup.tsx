'use client';
import { useInfiniteQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { groupKey } from '@/core/units';
import type { ShownLine } from '@/server/copies/opened';
import { Press, request, Say, sentenceOf } from '../kit';
import look from '../kit/list.module.css';
import { countChosen, isChosen, toggled, wholly, type Choice, type Group } from './choice';
import own from './copies.module.css';
import { PreviewLine } from './PreviewLine';

const KIND_WORDS: Readonly<Record<Group['kind'], string>> = {
  plan: 'Plans',
  batch: 'Batches',
  settings: 'Settings',
  ingredients: 'Ingredients',
  vessels: 'Pans and vessels',
  steamers: 'Steamers',
  hobs: 'Hobs',
  fryingPans: 'Frying pans',
  pots: 'Pots',
  appliances: 'Appliances',
  scoops: 'Spoons and ladles',
};

interface Part {
  readonly lines: readonly ShownLine[];
  readonly total: number;
}

/** Differences of one kind in one place: the whole of it by one press, each by its own. */
export function PreviewGroup({
  opened,
  group,
  isOpen,
  choice,
  onChoice,
}: {
  opened: string;
  group: Group;
  /** At the first look. */
  isOpen: boolean;
  choice: Choice;
  onChoice: (c: Choice) => void;
}) {
  const [open, setOpen] = useState(isOpen);
  const whole = useRef<HTMLInputElement>(null);
  const chosen = countChosen(choice, group);
  const parts = useInfiniteQuery({
    queryKey: ['copy-lines', opened, groupKey(group)],
    enabled: open,
    initialPageParam: 0,
    queryFn: ({ pageParam }) =>
      request<Part>(
        `/api/copies/lines?opened=${opened}&group=${encodeURIComponent(groupKey(group))}&from=${pageParam}`,
      ),
    getNextPageParam: (last, all) => {
      const so = all.reduce((n, p) => n + p.lines.length, 0);
      return so < last.total && last.lines.length > 0 ? so : undefined;
    },
  });
  useEffect(() => {
    if (whole.current) whole.current.indeterminate = chosen > 0 && chosen < group.takeable;
  }, [chosen, group.takeable]);
  const words = KIND_WORDS[group.kind];
  return (
    <div role="group" aria-label={words}>
      <div className={own.group}>
        <input
          ref={whole}
          type="checkbox"
          aria-label={`All ${words.toLowerCase()}`}
          disabled={group.takeable === 0}
          checked={chosen > 0 && chosen === group.takeable}
          onChange={() => onChoice(wholly(choice, group, chosen === group.takeable ? 'none' : 'all'))}
        />
        <b className={look.grow}>{words}</b>
        <span className={look.soft}>{`${chosen} of ${group.count}`}</span>
        <Press
          quiet
          aria-expanded={open}
          aria-label={`${open ? 'Close' : 'Look at'} ${words.toLowerCase()}`}
          onClick={() => setOpen(!open)}
        >
          {open ? 'Close' : 'Look'}
        </Press>
      </div>
      {open ? (
        <ul className={look.bare}>
          {parts.data?.pages.flatMap((p) =>
            p.lines.map((l) => (
              <PreviewLine
                key={l.id}
                line={l}
                chosen={isChosen(choice, group, l)}
                onToggle={() => onChoice(toggled(choice, group, l))}
              />
            )),
          )}
        </ul>
      ) : null}
      {open && parts.error ? <Say tone="stop">{sentenceOf(parts.error)}</Say> : null}
      {open && parts.hasNextPage ? (
        <div className={look.inside}>
          <Press disabled={parts.isFetching} onClick={() => void parts.fetchNextPage()}>
            Show more
          </Press>
        </div>
      ) : null}
    </div>
  );
}
