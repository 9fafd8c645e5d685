import type { Lever, LeverId, Quick } from '@/core/desk/whatIf';
import { AXIS_WORDS } from '../kit/TextureBars';
import type { TextureAxis } from '@/core/model/batter';
import look from './try.module.css';

export type Shown = 'minutes' | TextureAxis;
const SHADES = 6;

const valueOf = (q: Quick | null | undefined, shown: Shown): number | null =>
  !q ? null : shown === 'minutes' ? (q.minutesS === null ? null : q.minutesS / 60) : q.texture[shown];

/** The fields as numbers, darker the more; each is pressed to take it. */
export function MapTable({
  x,
  y,
  xs,
  ys,
  done,
  shown,
  onPoint,
}: {
  x: Lever;
  y: Lever;
  xs: readonly number[];
  ys: readonly number[];
  done: ReadonlyMap<string, Quick | null>;
  shown: Shown;
  onPoint: (values: readonly (readonly [LeverId, number])[]) => void;
}) {
  const values = [...done.values()].flatMap((q) => valueOf(q, shown) ?? []);
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const shade = (v: number) =>
    most > least ? Math.min(SHADES - 1, Math.floor((SHADES * (v - least)) / (most - least))) : 0;
  const figureOf = (v: number) => v.toFixed(shown === 'minutes' ? 0 : 1);
  return (
    <div className={look.scroll}>
      <table className={look.map}>
        <caption className="unseen">{`${shown === 'minutes' ? 'Minutes' : AXIS_WORDS[shown]} by ${x.name} and ${y.name}`}</caption>
        <tbody>
          {ys.toReversed().map((yv) => (
            <tr key={yv}>
              <th scope="row">{`${yv.toFixed(y.decimals)} ${y.unit}`}</th>
              {xs.map((xv) => {
                const v = valueOf(done.get(`${xv} ${yv}`), shown);
                return (
                  <td key={xv} data-shade={v === null ? undefined : shade(v)}>
                    <button
                      type="button"
                      disabled={!done.has(`${xv} ${yv}`)}
                      aria-label={`${x.name} ${xv.toFixed(x.decimals)} ${x.unit}, ${y.name} ${yv.toFixed(y.decimals)} ${y.unit}: ${v === null ? 'does not work' : figureOf(v)}`}
                      onClick={() =>
                        onPoint([
                          [x.id, xv],
                          [y.id, yv],
                        ])
                      }
                    >
                      {v === null ? '–' : figureOf(v)}
                    </button>
                  </td>
                );
              })}
            </tr>
          ))}
          <tr>
            <td />
            {xs.map((xv) => (
              <th key={xv} scope="col">
                {xv.toFixed(x.decimals)}
              </th>
            ))}
          </tr>
        </tbody>
      </table>
    </div>
  );
}
