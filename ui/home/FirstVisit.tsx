'use client';
import NextLink from 'next/link';
import { useQuery } from '@tanstack/react-query';
import type { KitchenState } from '@/db';
import { Gallery } from '../gallery/Gallery';
import { request, Say, Soft } from '../kit';
import look from '../kit/list.module.css';

/** An empty galley asks one thing: which cake, for how many. What is chosen becomes a plan that can be cooked as it stands. */
export default function FirstVisit() {
  const { data, isError } = useQuery({
    queryKey: ['kitchen'],
    queryFn: () => request<KitchenState>('/api/kitchen'),
  });
  if (isError) return <Say tone="watch">The kitchen does not answer; reload the page.</Say>;
  return (
    <>
      <Soft>
        Press one, and its plan is made: weighed, fitted to a pan, timed. Your own pans and rings go on the rack
        whenever you like; until then usual ones are reckoned with.{' '}
        <NextLink href="/copies" className={look.link}>
          Open a copy of another kitchen
        </NextLink>{' '}
        if you have one.
      </Soft>
      {data ? <Gallery kitchen={data.kitchen} asks /> : null}
    </>
  );
}
