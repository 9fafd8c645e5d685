import { THEME_SHEET } from '@/ui/kit/themeSheet';

export const dynamic = 'force-static';

/** The theme's colours and measures; its address changes when they do. */
export const GET = () =>
  new Response(THEME_SHEET, {
    headers: { 'content-type': 'text/css; charset=utf-8', 'cache-control': 'public, max-age=31536000, immutable' },
  });
