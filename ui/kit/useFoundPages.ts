'use client';
import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import type { Page, Place } from '@/db';
import { request, sentenceOf } from './request';

/** Longest word that is looked for. */
const LONGEST = 100;

/** Address of a page of a list: what is looked for, and where the page begins. */
function pageAddress(path: string, word: string, sort: string, after: Place | undefined): string {
  const query = new URLSearchParams();
  if (sort !== '') query.set('sort', sort);
  if (word !== '') query.set('word', word);
  if (after) query.set('after', `${after.at}~${after.id}`);
  const said = query.toString();
  return said === '' ? path : `${path}?${said}`;
}

/**
 * A long list a page at a time, and what of it holds a word.
 * @param path route of its pages
 * @param first its first page, as the server drew it
 * @param sort another order than the server drew it in
 */
export function useFoundPages<T>(path: string, first: Page<T>, sort = '') {
  const [typed, setTyped] = useState('');
  const word = useDeferredValue(typed.trim());
  const found = useInfiniteQuery({
    queryKey: [path, word, sort],
    queryFn: ({ pageParam }) => request<Page<T>>(pageAddress(path, word, sort, pageParam)),
    initialPageParam: undefined as Place | undefined,
    getNextPageParam: (last) => last.next,
    placeholderData: keepPreviousData,
    ...(word === '' && sort === ''
      ? { initialData: { pages: [first], pageParams: [undefined] }, initialDataUpdatedAt: 0 }
      : {}),
  });
  const pages = found.data?.pages ?? [];
  return {
    typed,
    type: (text: string) => setTyped(text.slice(0, LONGEST)),
    /** What is looked for now; nothing: all of it. */
    word,
    rows: pages.flatMap((p) => p.rows),
    total: pages[0]?.total ?? 0,
    trouble: found.isError ? sentenceOf(found.error) : undefined,
    /** Fetches the next page; undefined: there is none. */
    more: found.hasNextPage ? () => void found.fetchNextPage() : undefined,
    fetching: found.isFetchingNextPage,
    again: () => void found.refetch(),
  };
}
