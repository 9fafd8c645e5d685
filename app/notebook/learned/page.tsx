import type { Metadata } from 'next';
import { leftToLearn } from '@/server/learn';
import { evidencePage } from '@/server/learnedPages';
import { store } from '@/server/store';
import { LearnedPage } from '@/ui/notebook/LearnedPage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'What was learned' };

export default async function Learned() {
  const open = await store();
  return (
    <LearnedPage
      kitchen={(await open.kitchenState()).kitchen}
      evidence={await evidencePage(open)}
      left={await leftToLearn(open)}
    />
  );
}
