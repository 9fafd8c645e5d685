'use client';
import { useRouter } from 'next/navigation';
import { applyFix } from '@/core/stations/mix';
import type { Plan } from '@/core/plan';
import { keepTried } from '../plan/keepTried';
import { MeasureFirst } from '../advice/MeasureFirst';
import { ToMind } from '../advice/ToMind';
import { TextureBars } from '../kit/TextureBars';
import type { StationProps } from '../plan/StationProps';

/** What stands beside the method, wherever it is: what to mind, what to measure first, how it will eat. It is fetched once the page answers. */
export function BenchSide({ id, taken, shown }: { id: string; taken: Plan; shown: StationProps }) {
  const router = useRouter();
  return (
    <>
      <section aria-label="To mind">
        <ToMind
          edit={shown.edit}
          onBeside={(fix) => {
            keepTried(id, fix.words, applyFix(taken, fix));
            router.push(`/plans/${id}/compare?with=tried`);
          }}
        />
      </section>
      <MeasureFirst {...shown} />
      <TextureBars texture={shown.forecast.light.texture} />
    </>
  );
}
