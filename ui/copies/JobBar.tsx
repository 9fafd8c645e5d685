import { Press } from '../kit/Press';
import own from './copies.module.css';

/** How far something is, and the way to stop it. `all` is 0 where nobody knows how much there is. */
export function JobBar({
  words,
  done,
  all,
  onStop,
}: {
  words: string;
  done: number;
  all: number;
  onStop?: () => void;
}) {
  return (
    <div className={own.bar} role="group" aria-label={words}>
      <span role="status">{words}</span>
      <progress aria-label={words} max={all > 0 ? all : undefined} value={all > 0 ? Math.min(done, all) : undefined} />
      {onStop ? (
        <Press quiet onClick={onStop}>
          Stop
        </Press>
      ) : null}
    </div>
  );
}
