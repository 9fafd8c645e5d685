'use client';
import NextLink from 'next/link';
import { usePathname } from 'next/navigation';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import { CssBaseline, ThemeProvider } from '@mui/material';
import { useColorScheme } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { theme } from './theme';
import { KeysHelp } from './KeysHelp';
import { useOnDevice } from './useOnDevice';
import { ServerState } from './ServerState';
import { UndoProvider } from './Undo';
import { MoonMark, SunMark, LadleMark } from './marks';
import look from './shell.module.css';

const PLACES = [
  { href: '/', words: 'Galley' },
  { href: '/rack', words: 'Rack' },
  { href: '/larder', words: 'Larder' },
  { href: '/notebook', words: 'Notebook' },
] as const;

export function NightSwitch() {
  const { mode, systemMode, setMode } = useColorScheme();
  const night = (mode === 'system' ? systemMode : mode) === 'dark';
  return (
    <button
      type="button"
      className={look.press}
      title={night ? 'Day kitchen' : 'Night kitchen'}
      aria-label={night ? 'Switch to the day kitchen' : 'Switch to the night kitchen'}
      onClick={() => setMode(night ? 'light' : 'dark')}
    >
      {night ? <SunMark /> : <MoonMark />}
    </button>
  );
}

function Header() {
  const path = usePathname();
  const awake = useOnDevice();
  return (
    <header className={`${look.header} no-print`}>
      <NextLink href="/" aria-label="Idle Ladle, to the galley" className={look.home}>
        <LadleMark />
        <span>Idle Ladle</span>
      </NextLink>
      <nav aria-label="Places" className={look.places}>
        {PLACES.map((p) => {
          const here = p.href === '/' ? path === '/' || path.startsWith('/plans') : path.startsWith(p.href);
          return (
            <NextLink key={p.href} href={p.href} aria-current={here ? 'page' : undefined}>
              {p.words}
            </NextLink>
          );
        })}
      </nav>
      <div className={look.switches} inert={!awake}>
        <KeysHelp />
        <NightSwitch />
      </div>
    </header>
  );
}

/**
 * Theme, header and skip link around every page. Until the page answers, a press or a letter would be lost, so what takes them stays inert.
 */
export function Shell({ children }: { children: ReactNode }) {
  const awake = useOnDevice();
  // At the stove the page is all step: it has its own strip along the top.
  const stove = usePathname().endsWith('/stove');
  return (
    <AppRouterCacheProvider>
      <ThemeProvider theme={theme} defaultMode="system" disableStyleSheetGeneration>
        <CssBaseline />
        <ServerState>
          <a href="#work" className="skip no-print">
            Skip to the work
          </a>
          {stove ? null : <Header />}
          <main id="work" tabIndex={-1} inert={!awake} className={stove ? look.stove : look.work}>
            <UndoProvider>{children}</UndoProvider>
          </main>
        </ServerState>
      </ThemeProvider>
    </AppRouterCacheProvider>
  );
}
