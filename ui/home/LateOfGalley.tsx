import type { GalleyPage } from '@/server/firstPages';
import look from '../kit/list.module.css';
import { BatchRow } from '../notebook/BatchRow';
import { Fridge } from './Fridge';
import own from './home.module.css';

/** What is in the fridge, and what was cooked of late. */
export function LateOfGalley({
  keeps,
  batches,
  onTrouble,
}: Pick<GalleyPage, 'keeps' | 'batches'> & { onTrouble: (words: string) => void }) {
  return (
    <section aria-labelledby="late-title">
      <h2 className={look.heading}>In the fridge</h2>
      <div className={look.sheet}>
        <Fridge keeps={keeps} onTrouble={onTrouble} />
      </div>
      <h2 id="late-title" className={`${look.heading} ${own.later}`}>
        Lately at the stove
      </h2>
      <div className={look.sheet}>
        {batches.length === 0 ? (
          <p className={look.none}>Nothing cooked yet. What you cook from a plan is told here.</p>
        ) : (
          batches.map((b) => <BatchRow key={b.id} batch={b} />)
        )}
      </div>
    </section>
  );
}
