'use client';
import { withWait } from '@/core/flow';
import type { WaitCost } from '@/core/stations/mix/waitTradeOffs';
import { Column, Row, Say, Soft, TimeField } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { useWaitCosts } from '../lines/useWaitCosts';

const NAMES: Partial<Readonly<Record<WaitCost['op'], string>>> = { rest: 'The batter rests', ferment: 'It ferments' };

/** Waits that belong to the batter as a whole, with what cutting them short costs. */
export function WaitsPanel({ plan, forecast, edit }: StationProps) {
  const waits = useWaitCosts(forecast.light);
  const own = waits.filter((w) => NAMES[w.op]);
  if (own.length === 0) return <Soft>No wait of the batter as a whole.</Soft>;
  const set = (node: string, timeS: number | undefined) =>
    edit(`wait.${node}`, (p) => withWait(p, node, timeS, forecast.light.resolved.larder));
  return (
    <Column label="Waits">
      {own.map((w) => (
        <Row key={w.node}>
          <TimeField
            label={NAMES[w.op] ?? ''}
            timeS={w.waitS}
            width={150}
            helper={plan.waits[w.node] === undefined ? 'the usual' : undefined}
            onTake={(timeS) => set(w.node, timeS)}
            onClear={() => set(w.node, undefined)}
          />
          {w.waitS < w.shortestS - 30 ? <Say tone="watch">{w.sentence}</Say> : <Soft>{w.sentence}</Soft>}
        </Row>
      ))}
    </Column>
  );
}
