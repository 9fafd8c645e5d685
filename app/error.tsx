'use client';
import { Missing } from '@/ui/kit/Missing';

export default function ErrorPage({ reset, error }: { reset: () => void; error: Error & { digest?: string } }) {
  return (
    <Missing
      title="This page did not come out"
      sentence={`Something went wrong in the kitchen${error.digest ? ` (note ${error.digest})` : ''}. What you entered is kept; try again.`}
      onRetry={reset}
    />
  );
}
