import { cutPlan } from './cutPlan';

/** Cut plans by what they are cut from: the same question is asked at every keystroke. */
const CUTS = new Map<string, ReturnType<typeof cutPlan>>();
const MOST_CUTS = 64;
export function cutFor(...args: Parameters<typeof cutPlan>): ReturnType<typeof cutPlan> {
  const key = JSON.stringify(args);
  const known = CUTS.get(key);
  if (known) return known;
  const made = cutPlan(...args);
  if (CUTS.size >= MOST_CUTS) CUTS.delete(CUTS.keys().next().value ?? '');
  CUTS.set(key, made);
  return made;
}
