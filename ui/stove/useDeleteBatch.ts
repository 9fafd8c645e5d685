'use client';
import { useRouter } from 'next/navigation';
import { DELETED_WORDS } from '@/core/kitchen';
import { request, sentenceOf, useTell } from '../kit';

/** Deletes a batch, tells it, and offers to bring it back; answers with why not. */
export function useDeleteBatch(id: string, name: string): () => Promise<void> {
  const router = useRouter();
  const tell = useTell();
  return async () => {
    try {
      await request(`/api/batches/${encodeURIComponent(id)}`, 'DELETE');
    } catch (e) {
      tell({ words: sentenceOf(e) });
      return;
    }
    router.push('/notebook');
    tell({
      words: `${name} is deleted. ${DELETED_WORDS}`,
      undo: async () => {
        await request('/api/trash', 'POST', { what: 'bring-back', kind: 'batch', id });
        router.refresh();
      },
    });
  };
}
