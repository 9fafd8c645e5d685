'use client';
import { later } from '../kit/later';
import { waitCosts } from '@/core/stations/mix/waitTradeOffs';
import { sayDuration } from '@/core/units';
import type { CoolingStage } from '@/core/plan';
import { eatenOf } from '@/core/forecast';
import { roomCheck, STAGE_WORDS } from '@/core/model/rest';
import {
  Column,
  CrossMark,
  Facts,
  IconPress,
  More,
  PlusMark,
  Press,
  Row,
  SaidLine,
  SaidNumber,
  Say,
  Soft,
  Told,
} from '../kit';
import { Method } from '../method/Method';
import { WaysFor } from '../advice/Ways';
import { changeStage } from '../plan/changeStage';
import { WhyFact } from '../method/WhyFact';
import type { StationProps } from '../plan/StationProps';

const KeepingPanel = later(() => import('./KeepingPanel').then((m) => m.KeepingPanel));
const CoolingChart = later(() => import('./CoolingChart').then((m) => m.CoolingChart));

/** Rest: how it cools, when it leaves the pan, when it cuts clean, and whether that is safe. */
export function RestStation(props: StationProps) {
  const { plan, forecast, heating, edit } = props;
  const rest = forecast.heat?.rest;
  /** A part of one stage, as one step of undo. */
  const change = (what: string, i: number, part: Partial<CoolingStage>) =>
    edit(`cooling.${i}.${what}`, (p) => changeStage(p, i, part));
  return (
    <Column stale={heating}>
      <div>
        <Method {...props} station="rest" />
        {plan.cooling.map((stage, i) => (
          <SaidLine key={i}>
            Stage {i + 1}, {STAGE_WORDS[stage.where]}: left{' '}
            {stage.pieces === undefined ? 'whole, or cut first into ' : 'apart in '}
            <SaidNumber
              label={`Portions of stage ${i + 1}`}
              value={stage.pieces}
              min={2}
              max={100}
              decimals={0}
              unit="portions"
              instead="no"
              onChange={(pieces) => change('pieces', i, { pieces })}
              onClear={() => change('pieces', i, { pieces: undefined })}
            />
            .{' '}
            <IconPress
              label={`Take out stage ${i + 1}`}
              onClick={() =>
                edit(`cooling.${i}.remove`, (p) => ({ ...p, cooling: p.cooling.filter((_, j) => j !== i) }))
              }
            >
              <CrossMark size="small" />
            </IconPress>
          </SaidLine>
        ))}
        <Press
          quiet
          onClick={() =>
            edit('cooling.add', (p) => ({
              ...p,
              cooling: [...p.cooling, { where: 'fridge', timeS: 3600 }].slice(0, 8) as typeof p.cooling,
            }))
          }
        >
          <PlusMark size="small" /> Add a stage
        </Press>
      </div>
      {rest ? (
        <>
          <Say tone={rest.check.safe ? 'ready' : 'stop'}>{rest.check.sentence}</Say>
          {rest.check.safe ? null : (
            <Row>
              <WaysFor about="cools-slow" edit={edit} />
            </Row>
          )}
          <Facts>
            <WhyFact forecast={forecast} path="heat.rest.unmouldAtS" name="Leaves the pan after">
              {rest.unmouldAtS === undefined ? 'not yet' : sayDuration(rest.unmouldAtS)}
            </WhyFact>
            <WhyFact
              forecast={forecast}
              path="heat.rest.cutReadyAtS"
              name="Cuts clean after"
              note={`middle under ${forecast.light.family.cutC} °C`}
            >
              {rest.cutReadyAtS === undefined ? 'not yet' : sayDuration(rest.cutReadyAtS)}
            </WhyFact>
          </Facts>
          {waitCosts(forecast.light, forecast.heat)
            .filter((w) => w.gives === 'hold')
            .map((w) => (
              <Soft key={w.node}>
                <Told>{w.sentence}</Told>
              </Soft>
            ))}
          <More
            label="More about resting"
            of={[
              { name: 'Cooling curve', draw: () => <CoolingChart rest={rest} /> },
              { name: 'Keeping', draw: () => <KeepingPanel {...props} /> },
            ]}
          />
        </>
      ) : (
        <Say tone={plan.cooling.length === 0 ? 'watch' : 'plain'}>
          {plan.cooling.length === 0
            ? `No cooling planned. ${roomCheck([], eatenOf(forecast.light)).sentence}`
            : heating
              ? 'Working out the cooling.'
              : 'Nothing to cool yet.'}
        </Say>
      )}
    </Column>
  );
}
