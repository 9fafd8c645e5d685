'use client';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { worthAgain } from './request';

const TRIES = 2;

/** What pages know of the kitchen's state, shared by all of them and asked for again when a window is looked at anew. */
export function ServerState({ children }: { children: ReactNode }) {
  const [client] = useState(
    () =>
      new QueryClient({
        defaultOptions: {
          queries: { retry: (n, e) => worthAgain(e) && n < TRIES, networkMode: 'always', staleTime: 0 },
        },
      }),
  );
  return <QueryClientProvider client={client}>{children}</QueryClientProvider>;
}
