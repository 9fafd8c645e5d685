import { TEXTURE_AXES } from '@/core/model/batter';
import { AXIS_WORDS } from '../kit/TextureBars';
import look from './try.module.css';

/** How each texture is drawn, by its axis: dashes, not colours. */
export const DASHES = ['', '7 3', '2 3', '9 3 2 3', '4 4', '1 4'] as const;

/** Which line is which texture. */
export const TextureKey = () => (
  <div className={look.key} aria-hidden>
    {TEXTURE_AXES.map((a, i) => (
      <span key={a}>
        <svg viewBox="0 0 34 10" width="34" height="10">
          <path d="M0,5H34" stroke="var(--accent)" strokeWidth="2" strokeDasharray={DASHES[i]} />
        </svg>
        {AXIS_WORDS[a]}
      </span>
    ))}
  </div>
);
