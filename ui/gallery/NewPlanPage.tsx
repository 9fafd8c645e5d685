'use client';
import { KitchenContext, useKitchenHand } from '../kitchen/useKitchen';
import type { PackedKitchen } from '../kitchen/packed';
import { Gallery } from './Gallery';
import list from '../kit/list.module.css';

/** A new plan: which cake, for how many, as what, by when. */
export function NewPlanPage({
  kitchen,
  ofWhat,
  begin,
}: {
  kitchen: PackedKitchen;
  /** Ranked by what is at hand. */
  ofWhat: boolean;
  /** The family to begin with at once. */
  begin: string | undefined;
}) {
  const hand = useKitchenHand(kitchen);
  return (
    <KitchenContext value={hand}>
      <div className={list.top}>
        <h1 className={list.title}>Which cake?</h1>
      </div>
      <Gallery kitchen={hand.kitchen} ofWhat={ofWhat} begin={begin} asks={!ofWhat} />
    </KitchenContext>
  );
}
