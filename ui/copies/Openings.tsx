import { plural } from '@/core/units';
import type { CopiesState } from '@/server/copies/desk';
import { LocalTime, Press } from '../kit';
import look from '../kit/list.module.css';

/** Copies that were opened, and the way back. */
export function Openings({
  openings,
  busy,
  onUndo,
}: {
  openings: CopiesState['openings'];
  busy: boolean;
  onUndo: (id: string) => void;
}) {
  if (openings.length === 0) return null;
  return (
    <section aria-labelledby="openings-title" style={{ marginTop: 24 }}>
      <h2 id="openings-title" className={look.heading}>
        Taken in of late
      </h2>
      <ul className={look.sheet} aria-label="Taken in of late">
        {openings.map((o) => (
          <li key={o.id} className={look.row}>
            <div className={look.head}>
              <b className={look.twoLines}>{o.copy.called}</b>
              <span className={`${look.soft} ${look.still}`}>
                <LocalTime at={o.at} as="moment" />
              </span>
            </div>
            <div className={look.beside} style={{ flexWrap: 'wrap' }}>
              <span className={`${look.soft} ${look.grow}`} style={{ overflowWrap: 'anywhere' }}>
                {plural(o.things, 'thing')}. The kitchen as it was: {o.copy.safety}
              </span>
              {o.undoneAt === null ? (
                <Press quiet disabled={busy} onClick={() => onUndo(o.id)} aria-label={`Undo ${o.copy.called}`}>
                  Undo
                </Press>
              ) : (
                <span className={look.soft}>
                  undone <LocalTime at={o.undoneAt} as="moment" />
                </span>
              )}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}
