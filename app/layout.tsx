import type { Metadata, Viewport } from 'next';
import '@fontsource/be-vietnam-pro/400.css';
import '@fontsource/be-vietnam-pro/500.css';
import '@fontsource/be-vietnam-pro/600.css';
import '@/ui/kit/global.css';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import { headers } from 'next/headers';
import { thingNames } from '@/core/kitchen';
import { FindPress } from '@/ui/find/FindPress';
import { Shell } from '@/ui/kit/Shell';
import { NamesKept, UnitsProvider } from '@/ui/kit/units';
import { THEME_ADDRESS } from '@/ui/kit/themeSheet';
import { kitchenNow } from '@/server/kitchenNow';

/** Every page shows the units this kitchen reads in. */
export const dynamic = 'force-dynamic';

export const metadata: Metadata = {
  title: { default: 'Idle Ladle', template: '%s · Idle Ladle' },
  description: 'Plans steamed rice cakes from mix to plate.',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: React.ReactNode }) {
  const kitchen = await kitchenNow();
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <link rel="stylesheet" href={THEME_ADDRESS} />
      </head>
      <body>
        <InitColorSchemeScript attribute="data-kitchen" nonce={nonce} />
        <UnitsProvider units={kitchen.units}>
          <NamesKept names={thingNames(kitchen)}>
            <Shell find={<FindPress />}>{children}</Shell>
          </NamesKept>
        </UnitsProvider>
      </body>
    </html>
  );
}
