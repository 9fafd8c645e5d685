'use client';
import { readingAt } from '@/core/plan';
import {
  coverIn,
  PUDDLE_M,
  steamTempOf,
  vesselOf,
  type Forecast,
  type OverWater,
  type PourSteam,
} from '@/core/forecast';
import { dewC } from '@/core/model/steam';
import type { Figure } from '@/core/units';
import { inSentence, sayC, sayDuration, sayMm, sayWater } from '@/core/units';
import { Column, Facts } from '../kit';
import { WhyFact } from '../method/WhyFact';
import type { StationProps } from '../plan/StationProps';

/** A share in per cent: "2 %", "0.7 %". */
const sayShare = (x: number): string => `${(100 * x).toFixed(x < 0.0095 ? 1 : 0)} %`;

type Times = NonNullable<OverWater['times']>;

/** Check, first clean pick, and the three figures: fire on, standing, in all. */
export function TimeFigures({
  forecast,
  times,
  steam: { spread },
  pressure,
  tooLate,
  powerW,
}: {
  forecast: Forecast;
  times: Times;
  steam: OverWater;
  pressure: PourSteam['pressure'];
  tooLate: string;
  powerW: Figure | undefined;
}) {
  const notes = [
    spread ? `${sayDuration(spread.low)} to ${spread.high === undefined ? 'never' : sayDuration(spread.high)}` : '',
    times.firstCleanPickS.source === 'learned' ? `learned; ${sayDuration(times.unlearnedS)} by the model` : '',
    pressure?.openS === undefined ? '' : `${sayDuration(pressure.openS)} in an open steamer`,
  ].filter(Boolean);
  return (
    <Column>
      <Facts>
        <WhyFact
          forecast={forecast}
          path="heat.steam.times.planForS"
          name="Steam, fire on"
          note={pressure ? `${sayDuration(pressure.comeUpS)} up, ${sayDuration(pressure.holdS)} held` : undefined}
        >
          <span data-testid="plan-for">{sayDuration(times.planForS)}</span>
        </WhyFact>
        {times.standS > 0 ? (
          <>
            <WhyFact
              forecast={forecast}
              path="heat.steam.times.standS"
              name={pressure ? 'Letting go' : 'Standing, fire off'}
            >
              {sayDuration(times.standS)}
            </WhyFact>
            <WhyFact forecast={forecast} path="heat.steam.times.totalS" name="In all">
              {sayDuration(times.totalS)}
            </WhyFact>
          </>
        ) : null}
        <WhyFact forecast={forecast} path="heat.powerW" name="Steam power" source={powerW?.source}>
          {((powerW?.value ?? 0) / 1000).toFixed(2)} kW
        </WhyFact>
      </Facts>
      <Facts>
        <WhyFact forecast={forecast} path="heat.steam.times.checkAtS" name={pressure ? 'Look at it after' : 'Check at'}>
          <span data-testid="check-at">{sayDuration(times.checkAtS)}</span>
        </WhyFact>
        <WhyFact
          forecast={forecast}
          path="heat.steam.times.firstCleanPickS"
          name="First clean pick"
          source={times.firstCleanPickS.source}
          note={notes.join('; ') || undefined}
        >
          {sayDuration(times.firstCleanPickS.value)}
        </WhyFact>
        <WhyFact forecast={forecast} path="heat.steam.times.noLaterThanS" name="No later than" note={tooLate}>
          {sayDuration(times.noLaterThanS)}
        </WhyFact>
      </Facts>
    </Column>
  );
}

const FILLED = { node: 'boil-up:steamer', slot: 'waterMl' } as const;

/** The inside of the steamer: how hot its steam is for the air in it, and what falls on the cake. */
export function ChamberFigures({ forecast, steam }: { forecast: Forecast; steam: PourSteam }) {
  const { light } = forecast;
  const { air, puddle, shortS } = steam;
  const boilC = steamTempOf(light);
  const cover = coverIn(light);
  return (
    <Facts testId="chamber">
      <WhyFact
        forecast={forecast}
        path="heat.steam.air.end"
        name="Steam, at the end"
        note={`${sayShare(air.end)} of it air; at most ${sayShare(air.most)}`}
      >
        {sayC(dewC(boilC, air.end))}
      </WhyFact>
      <WhyFact
        forecast={forecast}
        path="heat.steam.puddle.leftM"
        name="Water left on its top"
        note={
          cover.foil
            ? 'the foil keeps it off'
            : `${Math.round(puddle.onTopG)} g condense${cover.drips ? `, ${Math.round(puddle.dripsG)} g drip from the lid` : ''}, it takes up ${Math.round(puddle.takenUpG)} g${puddle.leftM > PUDDLE_M ? '; the rest may lie in a puddle' : ''}`
        }
      >
        {`${(1000 * puddle.leftM).toFixed(1)} mm`}
      </WhyFact>
      {shortS > 60 ? (
        <WhyFact
          forecast={forecast}
          path="heat.steam.shortS"
          name="Short of steam"
          note="the cakes take nearly all there is"
        >
          {sayDuration(shortS)}
        </WhyFact>
      ) : null}
    </Facts>
  );
}

/** Each kind of vessel on each tier, and when it is lifted out. */
export function LiftOuts({ forecast, steam }: { forecast: Forecast; steam: PourSteam }) {
  const { light } = forecast;
  if (steam.vessels.length < 2) return null;
  return (
    <Facts testId="lift-outs">
      {steam.vessels.map((v, i) => (
        <WhyFact
          forecast={forecast}
          path={`heat.steam.vessels.${i}.times.planForS`}
          key={`${v.of} ${v.tier}`}
          name={`Lift out ${v.count > 1 ? `${v.count} × ` : ''}${inSentence(vesselOf(light, v))}`}
          note={`${light.resolved.steamer.tiers > 1 ? (v.tier === 0 ? 'bottom tier, ' : 'upper tier, ') : ''}${sayMm(v.depthM)} deep`}
        >
          {v.times ? sayDuration(v.times.planForS) : 'never sets'}
        </WhyFact>
      ))}
    </Facts>
  );
}

/** Water: what to put in, how long to the boil, when to top up, when it would be dry. */
export function WaterFigures({
  plan,
  forecast,
  steam,
}: Pick<StationProps, 'plan' | 'forecast'> & { steam: OverWater }) {
  const { water } = steam;
  const filled = readingAt(plan, FILLED) !== undefined;
  return (
    <Facts>
      <WhyFact
        forecast={forecast}
        path="heat.steam.water.startMl"
        name="Water in the pot"
        note={filled ? 'as you filled it' : '1 cm under the rack'}
      >
        {sayWater(water.startMl)}
      </WhyFact>
      <WhyFact
        forecast={forecast}
        path="heat.steam.water.boilUpS"
        name={`To the boil at ${(water.boilUpW / 1000).toFixed(2)} kW`}
        note={`from a kettle ${sayDuration(water.fromKettleS)}`}
      >
        {sayDuration(water.boilUpS)}
      </WhyFact>
      <WhyFact
        forecast={forecast}
        path="heat.steam.water.boilOffMlPerMin"
        name="Boils away"
        note={`dry after ${sayDuration(water.dryS)}`}
      >
        {Math.round(water.boilOffMlPerMin)} ml/min
      </WhyFact>
      <WhyFact
        forecast={forecast}
        path="heat.steam.water.firstTopUpS"
        name="First top-up"
        note={
          water.topUps > 0
            ? `${sayWater(water.topUpMl)} boiling, ${water.topUps === 1 ? 'once' : `${water.topUps} times`}`
            : `${sayWater(water.leftMl)} left at the end`
        }
      >
        {water.firstTopUpS === undefined ? 'none' : sayDuration(water.firstTopUpS)}
      </WhyFact>
    </Facts>
  );
}
