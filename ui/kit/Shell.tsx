'use client';
import NextLink from 'next/link';
import { usePathname } from 'next/navigation';
import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { KeysHelp } from './KeysHelp';
import { useOnDevice } from './useOnDevice';
import { ServerState } from './ServerState';
import { UndoProvider } from './Undo';
import { MoonMark, SunMark, LadleMark } from './marks';
import { useNight } from './useNight';
import look from './shell.module.css';

const Ground = dynamic(() => import('./Ground'));
/** Pages whose first look is all of our own components. */
const OWN = /^\/plans\/[^/]+$/;

const PLACES = [
  { href: '/', words: 'Galley' },
  { href: '/rack', words: 'Rack' },
  { href: '/larder', words: 'Larder' },
  { href: '/notebook', words: 'Notebook' },
] as const;

export function NightSwitch() {
  const [night, setNight] = useNight();
  return (
    <button
      type="button"
      className={look.press}
      title={night ? 'Day kitchen' : 'Night kitchen'}
      aria-label={night ? 'Switch to the day kitchen' : 'Switch to the night kitchen'}
      onClick={() => setNight(!night)}
    >
      {night ? <SunMark /> : <MoonMark />}
    </button>
  );
}

function Header({ find }: { find: ReactNode }) {
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
        {find}
        <KeysHelp />
        <NightSwitch />
      </div>
    </header>
  );
}

/**
 * Theme, header and skip link around every page. Until the page answers, a press or a letter would be lost, so what takes them stays inert.
 */
export function Shell({
  children,
  find,
}: {
  children: ReactNode;
  /** What opens the finder. */
  find?: ReactNode;
}) {
  const awake = useOnDevice();
  // At the stove the page is all step: it has its own strip along the top.
  const path = usePathname();
  const stove = path.endsWith('/stove');
  const work = (
    <main id="work" tabIndex={-1} inert={!awake} className={stove ? look.stove : look.work}>
      <UndoProvider>{children}</UndoProvider>
    </main>
  );
  return (
    <ServerState>
      <a href="#work" className="skip no-print">
        Skip to the work
      </a>
      {stove ? null : <Header find={find} />}
      {OWN.test(path) ? work : <Ground>{work}</Ground>}
    </ServerState>
  );
}
