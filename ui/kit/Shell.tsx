'use client';
import NextLink from 'next/link';
import { usePathname } from 'next/navigation';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import { Box, CssBaseline, IconButton, Link, Stack, ThemeProvider, Tooltip, Typography } from '@mui/material';
import { useColorScheme } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { theme } from './theme';
import { KeysHelp } from './KeysHelp';
import { useOnDevice } from './LocalTime';
import { ServerState } from './ServerState';
import { UndoProvider } from './Undo';
import { MoonMark, SunMark, LadleMark } from './marks';

const PLACES = [
  { href: '/', words: 'Galley' },
  { href: '/rack', words: 'Rack' },
  { href: '/larder', words: 'Larder' },
  { href: '/notebook', words: 'Notebook' },
] as const;

function NightSwitch() {
  const { mode, systemMode, setMode } = useColorScheme();
  const night = (mode === 'system' ? systemMode : mode) === 'dark';
  return (
    <Tooltip title={night ? 'Day kitchen' : 'Night kitchen'}>
      <IconButton
        aria-label={night ? 'Switch to the day kitchen' : 'Switch to the night kitchen'}
        onClick={() => setMode(night ? 'light' : 'dark')}
        size="small"
        color="primary"
      >
        {night ? <SunMark /> : <MoonMark />}
      </IconButton>
    </Tooltip>
  );
}

function Header() {
  const path = usePathname();
  const awake = useOnDevice();
  return (
    <Box
      component="header"
      className="no-print"
      sx={{ borderBottom: 1, borderColor: 'divider', px: { xs: 1.5, sm: 3 }, bgcolor: 'background.paper' }}
    >
      <Stack direction="row" spacing={{ xs: 1, sm: 2 }} sx={{ alignItems: 'center', minHeight: 48 }}>
        <Link
          component={NextLink}
          href="/"
          aria-label="Idle Ladle, to the galley"
          underline="none"
          color="text.primary"
          sx={{ display: 'flex', alignItems: 'center', gap: 1 }}
        >
          <LadleMark />
          <Typography
            component="span"
            sx={{ fontWeight: 600, letterSpacing: '-0.02em', display: { xs: 'none', sm: 'inline' } }}
          >
            Idle Ladle
          </Typography>
        </Link>
        <Stack
          component="nav"
          aria-label="Places"
          direction="row"
          spacing={{ xs: 1.5, sm: 2 }}
          sx={{ flex: 1, minWidth: 0, overflowX: 'auto' }}
        >
          {PLACES.map((p) => {
            const here = p.href === '/' ? path === '/' || path.startsWith('/plans') : path.startsWith(p.href);
            return (
              <Link
                key={p.href}
                component={NextLink}
                href={p.href}
                underline={here ? 'always' : 'hover'}
                color="text.primary"
                aria-current={here ? 'page' : undefined}
                sx={{ py: 1.25, fontWeight: here ? 600 : 400, textUnderlineOffset: 6 }}
              >
                {p.words}
              </Link>
            );
          })}
        </Stack>
        <Stack direction="row" inert={!awake}>
          <KeysHelp />
          <NightSwitch />
        </Stack>
      </Stack>
    </Box>
  );
}

/**
 * Theme, header and skip link around every page. Until the page answers, a press or a letter would be lost, so what takes them stays inert.
 */
export function Shell({ children }: { children: ReactNode }) {
  const awake = useOnDevice();
  return (
    <AppRouterCacheProvider>
      <ThemeProvider theme={theme} defaultMode="system">
        <CssBaseline />
        <ServerState>
          <a href="#work" className="skip no-print">
            Skip to the work
          </a>
          <Header />
          <Box
            component="main"
            id="work"
            tabIndex={-1}
            inert={!awake}
            sx={{ px: { xs: 1.5, sm: 3 }, pb: 4, pt: 1.5, maxWidth: 1440, mx: 'auto', outline: 'none' }}
          >
            <UndoProvider>{children}</UndoProvider>
          </Box>
        </ServerState>
      </ThemeProvider>
    </AppRouterCacheProvider>
  );
}
