'use client';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import { ThemeProvider } from '@mui/material';
import { createContext, useContext, type ReactNode } from 'react';
import { theme } from './theme';

const Grounded = createContext(false);

/** What the library's own components stand on, where a page has some; once, however deep they are. */
export default function Ground({ children }: { children: ReactNode }) {
  const already = useContext(Grounded);
  if (already) return children;
  return (
    <Grounded value>
      <AppRouterCacheProvider>
        <ThemeProvider theme={theme} defaultMode="system" disableStyleSheetGeneration>
          {children}
        </ThemeProvider>
      </AppRouterCacheProvider>
    </Grounded>
  );
}
