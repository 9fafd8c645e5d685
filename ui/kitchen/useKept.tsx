import { useState, type ReactNode } from 'react';
import { Say, sentenceOf } from '../kit';

/**
 * What was measured here and is kept: answers with what is told of it, and with what keeps it.
 * @returns `keep` takes the work, which answers with what is told once it is done; what it throws is told as it is said
 */
export function useKept(): readonly [told: ReactNode, keep: (work: () => Promise<string>) => void] {
  const [told, setTold] = useState<{ tone: 'ready' | 'watch'; words: string } | undefined>(undefined);
  return [
    told ? (
      <Say tone={told.tone} role="status">
        {told.words}
      </Say>
    ) : null,
    (work) =>
      void work().then(
        (words) => setTold({ tone: 'ready', words }),
        (e: unknown) => setTold({ tone: 'watch', words: sentenceOf(e, 'Not kept; try again.') }),
      ),
  ];
}
