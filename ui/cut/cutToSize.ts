import type { Plan } from '@/core/plan';

/** Cuts whose pieces are laid out by their width. */
const LAID_OUT: ReadonlySet<string> = new Set(['squares', 'rectangles', 'diamonds', 'batons', 'coins']);

/** What sets the width of a piece of a plan; undefined where its cut has none. */
export const cutToSize = (
  plan: Plan,
  edit: (key: string, change: (p: Plan) => Plan) => void,
): ((sizeM: number) => void) | undefined =>
  LAID_OUT.has(plan.cut?.shape ?? 'whole')
    ? (sizeM) =>
        edit('cut.drag', (p) => ({
          ...p,
          cut: {
            shape: p.cut?.shape ?? 'squares',
            by: {
              kind: 'size',
              sizeM,
              ...(p.cut?.by.kind === 'size' && p.cut.by.otherM !== undefined ? { otherM: p.cut.by.otherM } : {}),
            },
          },
        }))
    : undefined;
