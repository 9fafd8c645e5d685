import type { Metadata, Viewport } from 'next';
import '@fontsource/be-vietnam-pro/400.css';
import '@fontsource/be-vietnam-pro/500.css';
import '@fontsource/be-vietnam-pro/600.css';
import '@/ui/kit/global.css';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import { Shell } from '@/ui/kit';

export const metadata: Metadata = {
  title: { default: 'Idle Ladle', template: '%s · Idle Ladle' },
  description: 'Plans steamed rice cakes from mix to plate.',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default function RootLayout({ children }: { children: React.ReactNode }) {
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <InitColorSchemeScript attribute="data-kitchen" />
        <Shell>{children}</Shell>
      </body>
    </html>
  );
}
