'use client';
import { there } from '@/core/units';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'next/navigation';
import { useEffect, useId, useMemo, useRef, useState } from 'react';
import { findIn, findIndex } from '@/core/desk/finder';
import { larderOf } from '@/core/larder';
import type { KitchenState } from '@/db';
import type { Findables } from '@/server/findables';
import { request, sayTime } from '../kit';
import { ACTIONS, type Place } from './places';
import look from './find.module.css';

const A_COLUMN = 8;

/** One finder over plans, ingredients by any of their names, notes and what can be done; four columns, gone through by the arrows. */
export default function Finder({ onClose }: { onClose: () => void }) {
  const router = useRouter();
  const id = useId();
  const box = useRef<HTMLDialogElement>(null);
  const [typed, setTyped] = useState('');
  const [at, setAt] = useState<readonly [number, number]>([0, 0]);
  useEffect(() => box.current?.showModal(), []);
  const kitchen = useQuery({ queryKey: ['kitchen'], queryFn: () => request<KitchenState>('/api/kitchen') }).data;
  const all = useQuery({ queryKey: ['find'], queryFn: () => request<Findables>('/api/find'), staleTime: 0 });
  const indices = useMemo(() => {
    const plans = (all.data?.plans ?? []).map((p): Place => ({
      id: p.id,
      name: p.name,
      also: [p.family],
      beside: p.family,
      href: `/plans/${p.id}`,
    }));
    const ingredients = [...larderOf(kitchen?.kitchen.ingredients ?? []).values()].map((i): Place => ({
      id: i.id,
      name: i.name,
      also: i.alsoCalled,
      beside: i.alsoCalled[0] ?? i.kind,
      href: `/larder?find=${encodeURIComponent(i.name)}`,
    }));
    const notes = (all.data?.notes ?? []).map((b): Place => ({
      id: b.id,
      name: b.note || b.name,
      also: [b.name],
      beside: `${b.name}, ${sayTime(b.at, 'day')}`,
      href: `/batches/${b.id}`,
    }));
    return [
      { name: 'Plans', none: 'no plan', index: findIndex(plans) },
      { name: 'Ingredients', none: 'no ingredient', index: findIndex(ingredients) },
      { name: 'Notes', none: 'no note', index: findIndex(notes) },
      { name: 'To do', none: 'nothing', index: findIndex(ACTIONS) },
    ];
  }, [all.data, kitchen]);
  const columns = useMemo(
    () => indices.map((c) => ({ ...c, found: findIn(c.index, typed, A_COLUMN) })),
    [indices, typed],
  );
  const [col, row] = settled(columns, at);
  const chosen = columns[col]?.found[row];
  const optionId = (c: number, r: number) => `${id}-${c}-${r}`;
  const go = (p: Place | undefined) => {
    if (!p) return;
    onClose();
    router.push(p.href);
  };
  const onKey = (e: React.KeyboardEvent) => {
    const typedIn = typed !== '';
    const step = { ArrowDown: [0, 1], ArrowUp: [0, -1], Tab: [e.shiftKey ? -1 : 1, 0] }[e.key];
    const side = { ArrowRight: [1, 0], ArrowLeft: [-1, 0] }[e.key];
    // Within a word the arrows go by letters, until its end.
    const input = e.target as HTMLInputElement;
    const move = step ?? (side && (!typedIn || input.selectionStart === typed.length) ? side : undefined);
    if (move) {
      e.preventDefault();
      setAt(moved(columns, [col, row], move));
    } else if (e.key === 'Enter') {
      e.preventDefault();
      go(chosen);
    }
  };
  return (
    <dialog ref={box} className={look.finder} aria-label="Find" closedby="any" onClose={onClose}>
      <input
        className={look.field}
        type="text"
        role="combobox"
        aria-label="Find a plan, an ingredient, a note, something to do"
        placeholder="Find a plan, an ingredient, a note, something to do"
        aria-expanded
        aria-controls={`${id}-found`}
        aria-activedescendant={chosen ? optionId(col, row) : undefined}
        autoComplete="off"
        spellCheck={false}
        value={typed}
        onChange={(e) => {
          setTyped(e.target.value.slice(0, 100));
          setAt([0, 0]);
        }}
        onKeyDown={onKey}
      />
      <div className={look.columns} id={`${id}-found`} role="listbox" aria-label="Found">
        {columns.map((c, ci) => (
          <div key={c.name} role="group" aria-label={c.name} className={look.column}>
            <b aria-hidden>{c.name}</b>
            {c.found.length === 0 ? <span className={look.none}>{c.none}</span> : null}
            {c.found.map((p, ri) => (
              <button
                key={p.id}
                type="button"
                tabIndex={-1}
                id={optionId(ci, ri)}
                role="option"
                aria-selected={ci === col && ri === row}
                className={look.option}
                onPointerMove={() => setAt([ci, ri])}
                onClick={() => go(p)}
              >
                {p.name}
                <small>{p.beside}</small>
              </button>
            ))}
          </div>
        ))}
      </div>
      <p className={look.foot}>
        {all.isError
          ? 'Plans and notes could not be fetched; the rest answers.'
          : 'arrows to go, Enter to open, Escape to leave'}
      </p>
    </dialog>
  );
}

type Columns = readonly { readonly found: readonly Place[] }[];

/** Where the chosen one is: its place, or the first there is where that has gone. */
function settled(columns: Columns, [c, r]: readonly [number, number]): readonly [number, number] {
  if (columns[c]?.found[r]) return [c, r];
  const first = columns.findIndex((x) => x.found.length > 0);
  return [Math.max(0, first), 0];
}
function moved(columns: Columns, [c, r]: readonly [number, number], by: readonly number[]): readonly [number, number] {
  if (by[0] === 0) return [c, Math.min(Math.max(0, r + there(by[1])), Math.max(0, there(columns[c]).found.length - 1))];
  const full = columns.flatMap((x, i) => (x.found.length > 0 ? [i] : []));
  const next = full[(full.indexOf(c) + there(by[0]) + full.length) % full.length] ?? c;
  return [next, Math.min(r, there(columns[next]).found.length - 1)];
}
