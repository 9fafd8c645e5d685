'use client';
import { there } from '@/core/units';
import { useState } from 'react';
import { TEXTURE_AXES } from '@/core/model/batter';
import { along, type Lever, type LeverId } from '@/core/desk/whatIf';
import { Press, SaidChoice } from '../kit';
import { AXIS_WORDS } from '../kit/TextureBars';
import { MapTable, type Shown } from './MapTable';
import { useMapRun } from './useMapRun';
import { MAP, type AskPoints } from './useSweep';
import look from './try.module.css';

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
  const { done, left, again, begin, stop } = useMapRun(ask);
  const x = there(levers.find((l) => l.id === xId) ?? levers[0]);
  const y = there(levers.find((l) => l.id === yId) ?? levers[0]);
  const xs = along(x.range, MAP.across);
  const ys = along(y.range, MAP.up);
  const options = levers.map((l) => ({ value: l.id, words: l.name }));
  return (
    <section aria-label="Two quantities at once">
      <p className={look.ask}>
        <SaidChoice
          label="Across"
          value={x.id}
          options={options}
          onChange={(id) => {
            again();
            setX(id);
          }}
        />{' '}
        across,{' '}
        <SaidChoice
          label="Upwards"
          value={y.id}
          options={options}
          onChange={(id) => {
            again();
            setY(id);
          }}
        />{' '}
        upwards, and in each field{' '}
        <SaidChoice
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
          <Press onClick={stop}>Stop</Press>
        ) : (
          <Press disabled={x.id === y.id} onClick={() => begin(x, y, xs, ys)}>
            Work it out
          </Press>
        )}{' '}
        <span role="status">{left > 0 ? `${MAP.across * MAP.up - left} of ${MAP.across * MAP.up}` : ''}</span>
      </p>
      {done.size > 0 ? <MapTable x={x} y={y} xs={xs} ys={ys} done={done} shown={shown} onPoint={onPoint} /> : null}
    </section>
  );
}
