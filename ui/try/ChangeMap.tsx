'use client';
import { there } from '@/core/units';
import { useEffect, useRef, useState } from 'react';
import { TEXTURE_AXES, type TextureAxis } from '@/core/model/batter';
import { along, type Lever, type LeverId, type Quick } from '@/core/desk/whatIf';
import { Choice, Press } from '../kit';
import { AXIS_WORDS } from '../kit/TextureBars';
import { MAP, type AskPoints } from './useSweep';
import look from './try.module.css';

type Shown = 'minutes' | TextureAxis;
const SHADES = 6;
/** So many fields are worked out in one go, and what has come is drawn so often, ms. */
const IN_ONE = 4;
const DRAW_MS = 200;

const valueOf = (q: Quick | null | undefined, shown: Shown): number | null =>
  !q ? null : shown === 'minutes' ? (q.minutesS === null ? null : q.minutesS / 60) : q.texture[shown];

/** Two quantities against each other: a field of numbers worked out on all cores, shown as it comes, stopped at will; a cell is pressed to take it. */
export function ChangeMap({
  levers,
  ask,
  onPoint,
}: {
  levers: readonly Lever[];
  ask: AskPoints;
  onPoint: (values: readonly (readonly [LeverId, number])[]) => void;
}) {
  const [xId, setX] = useState<LeverId>(there(levers[0]).id);
  const [yId, setY] = useState<LeverId>(there(levers[1] ?? levers[0]).id);
  const [shown, setShown] = useState<Shown>('minutes');
  const [done, setDone] = useState<ReadonlyMap<string, Quick | null>>(new Map());
  const [left, setLeft] = useState(0);
  const stop = useRef<AbortController | undefined>(undefined);
  useEffect(() => () => stop.current?.abort(), []);
  const x = there(levers.find((l) => l.id === xId) ?? levers[0]);
  const y = there(levers.find((l) => l.id === yId) ?? levers[0]);
  const xs = along(x.range, MAP.across);
  const ys = along(y.range, MAP.up);
  const again = () => {
    stop.current?.abort();
    setDone(new Map());
    setLeft(0);
  };
  const begin = () => {
    again();
    const own = new AbortController();
    stop.current = own;
    const points = ys.flatMap((yv) => xs.map((xv) => [xv, yv] as const));
    setLeft(points.length);
    // What has come is drawn some of it at a time: drawn one by one it holds up the workers that it came from.
    const found = new Map<string, Quick | null>();
    let come = 0;
    let drawing: ReturnType<typeof setTimeout> | undefined;
    const draw = () => {
      drawing = undefined;
      if (own.signal.aborted) return;
      setDone(new Map(found));
      setLeft(points.length - come);
    };
    for (let i = 0; i < points.length; i += IN_ONE) {
      const some = points.slice(i, i + IN_ONE);
      const told = (quick: readonly (Quick | null)[]) => {
        quick.forEach((q, j) => found.set(`${there(some[j])[0]} ${there(some[j])[1]}`, q));
        come += some.length;
        if (come === points.length) {
          clearTimeout(drawing);
          draw();
        } else drawing ??= setTimeout(draw, DRAW_MS);
      };
      void ask(
        some.map(([xv, yv]) => [[x.id, xv] as const, [y.id, yv] as const]),
        false,
        own.signal,
      ).then(told, () => told([]));
    }
  };
  const values = [...done.values()].flatMap((q) => valueOf(q, shown) ?? []);
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const shade = (v: number) =>
    most > least ? Math.min(SHADES - 1, Math.floor((SHADES * (v - least)) / (most - least))) : 0;
  const figureOf = (v: number) => v.toFixed(shown === 'minutes' ? 0 : 1);
  const options = levers.map((l) => ({ value: l.id, words: l.name }));
  return (
    <section aria-label="Two quantities at once">
      <p className={look.ask}>
        <Choice
          as="said"
          label="Across"
          value={x.id}
          options={options}
          onChange={(id) => {
            again();
            setX(id);
          }}
        />{' '}
        across,{' '}
        <Choice
          as="said"
          label="Upwards"
          value={y.id}
          options={options}
          onChange={(id) => {
            again();
            setY(id);
          }}
        />{' '}
        upwards, and in each field{' '}
        <Choice
          as="said"
          label="In each field"
          value={shown}
          options={[
            { value: 'minutes' as Shown, words: 'the minutes' },
            ...TEXTURE_AXES.map((a) => ({ value: a as Shown, words: AXIS_WORDS[a] })),
          ]}
          onChange={setShown}
        />
        .{' '}
        {left > 0 ? (
          <Press
            onClick={() => {
              stop.current?.abort();
              setLeft(0);
            }}
          >
            Stop
          </Press>
        ) : (
          <Press disabled={x.id === y.id} onClick={begin}>
            Work it out
          </Press>
        )}{' '}
        <span role="status">{left > 0 ? `${MAP.across * MAP.up - left} of ${MAP.across * MAP.up}` : ''}</span>
      </p>
      {done.size > 0 ? (
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
      ) : null}
    </section>
  );
}
