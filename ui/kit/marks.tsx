import look from './marks.module.css';

/** Fine line drawings of our own, 24 × 24, one stroke weight; plain elements, since every page draws some. */
const mark = (path: string, name: string) => {
  const Mark = ({ size }: { size?: 'small' | 'large' }) => (
    <svg className={size ? `${look.mark} ${look[size]}` : look.mark} viewBox="0 0 24 24" aria-hidden>
      <path d={path} />
    </svg>
  );
  Mark.displayName = name;
  return Mark;
};

export const LadleMark = mark(
  'M4 13h11a5.5 5.5 0 0 1-11 0zM15 13c2.5-2 1-8 4.5-9.5M6.5 10c0-1 .8-1 .8-2M10 10c0-1 .8-1 .8-2',
  'LadleMark',
);
export const PairMark = mark('M3 17h7v-6H3zM14 17h7V8h-7zM3 20h18', 'PairMark');
export const TryMark = mark('M4 19V5M4 19h16M7 15c3 0 4-8 7-8 2 0 3 2 5 2', 'TryMark');
export const CardMark = mark('M6 3h12v18H6zM9 7h6M9 11h6M9 15h4', 'CardMark');
export const MoonMark = mark('M19 14.5A8 8 0 0 1 9.5 5a8 8 0 1 0 9.5 9.5z', 'MoonMark');
export const SunMark = mark(
  'M12 8a4 4 0 1 0 0 8 4 4 0 0 0 0-8zM12 3v2M12 19v2M3 12h2M19 12h2M5.5 5.5 7 7M17 17l1.5 1.5M18.5 5.5 17 7M7 17l-1.5 1.5',
  'SunMark',
);
export const UndoMark = mark('M8 6 4 10l4 4M4 10h9a6 6 0 0 1 0 12h-2', 'UndoMark');
export const RedoMark = mark('m16 6 4 4-4 4M20 10h-9a6 6 0 0 0 0 12h2', 'RedoMark');
export const CrossMark = mark('M6 6l12 12M18 6 6 18', 'CrossMark');
export const PlusMark = mark('M12 5v14M5 12h14', 'PlusMark');
export const PlayMark = mark('M8 5.5v13l10-6.5z', 'PlayMark');
export const PauseMark = mark('M8 6v12M16 6v12', 'PauseMark');
export const CopyMark = mark('M9 9h10v11H9zM5 15V4h10', 'CopyMark');
export const PastMark = mark('M4.5 12a7.5 7.5 0 1 0 2.4-5.5L4.5 9M4.5 4.5V9H9M12 8v4.5l3 2', 'PastMark');
export const BinMark = mark('M5 7h14M10 4h4M7 7l1 13h8l1-13M10 11v5M14 11v5', 'BinMark');
export const KeysMark = mark(
  'M9.5 9a2.5 2.5 0 1 1 3.6 2.2c-.8.4-1.1 1-1.1 1.8M12 17v.2M12 3a9 9 0 1 0 0 18 9 9 0 0 0 0-18z',
  'KeysMark',
);
export const SwapMark = mark('M4 9h14l-3-3M20 15H6l3 3', 'SwapMark');
