'use client';
import { Stack } from '@mui/material';
import { readingAt, withReading } from '@/core/plan';
import type { SteamForecast } from '@/core/forecast';
import type { Figure } from '@/core/units';
import { sayDuration, sayWater } from '@/core/units';
import { Fact, NumberField } from '../kit';
import type { StationProps } from '../plan/StationProps';

type Times = NonNullable<SteamForecast['times']>;

/** Check, first clean pick, and the three figures: fire on, standing, in all. */
export function TimeFigures({
  times,
  steam,
  tooLate,
  powerW,
}: {
  times: Times;
  steam: SteamForecast;
  tooLate: string;
  powerW: Figure | undefined;
}) {
  const { spread, pressure } = steam;
  const notes = [
    spread ? `${sayDuration(spread.low)} to ${spread.high === undefined ? 'never' : sayDuration(spread.high)}` : '',
    times.firstCleanPickS.source === 'learned' ? `learned; ${sayDuration(times.unlearnedS)} by the model` : '',
    pressure?.openS === undefined ? '' : `${sayDuration(pressure.openS)} in an open steamer`,
  ].filter(Boolean);
  return (
    <Stack spacing={1.25}>
      <Stack direction="row" spacing={3} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Fact
          name="Steam, fire on"
          note={pressure ? `${sayDuration(pressure.comeUpS)} up, ${sayDuration(pressure.holdS)} held` : undefined}
        >
          <span data-testid="plan-for">{sayDuration(times.planForS)}</span>
        </Fact>
        {times.standS > 0 ? (
          <>
            <Fact name={pressure ? 'Letting go' : 'Standing, fire off'}>{sayDuration(times.standS)}</Fact>
            <Fact name="In all">{sayDuration(times.totalS)}</Fact>
          </>
        ) : null}
        <Fact name="Steam power" source={powerW?.source}>
          {((powerW?.value ?? 0) / 1000).toFixed(2)} kW
        </Fact>
      </Stack>
      <Stack direction="row" spacing={3} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Fact name={pressure ? 'Look at it after' : 'Check at'}>
          <span data-testid="check-at">{sayDuration(times.checkAtS)}</span>
        </Fact>
        <Fact name="First clean pick" source={times.firstCleanPickS.source} note={notes.join('; ') || undefined}>
          {sayDuration(times.firstCleanPickS.value)}
        </Fact>
        <Fact name="No later than" note={tooLate}>
          {sayDuration(times.noLaterThanS)}
        </Fact>
      </Stack>
    </Stack>
  );
}

const FILLED = { node: 'boil-up:steamer', slot: 'waterMl' } as const;

/** Water: what to put in, how long to the boil, when to top up, when it would be dry. */
export function WaterFigures({ plan, edit, steam }: Pick<StationProps, 'plan' | 'edit'> & { steam: SteamForecast }) {
  const { water } = steam;
  return (
    <Stack direction="row" spacing={3} useFlexGap sx={{ flexWrap: 'wrap', alignItems: 'flex-start' }}>
      <NumberField
        label="Water in the pot"
        value={readingAt(plan, FILLED)}
        min={0}
        max={40_000}
        unit="ml"
        width={150}
        decimals={0}
        onChange={(ml) => edit('waterMl', (p) => withReading(p, FILLED, ml))}
        onClear={() => edit('waterMl', (p) => withReading(p, FILLED, undefined))}
        helper={
          readingAt(plan, FILLED) === undefined ? `${sayWater(water.startMl)}, 1 cm under the rack` : 'as you filled it'
        }
      />
      <Fact
        name={`To the boil at ${(water.boilUpW / 1000).toFixed(2)} kW`}
        note={`from a kettle ${sayDuration(water.fromKettleS)}`}
      >
        {sayDuration(water.boilUpS)}
      </Fact>
      <Fact name="Boils away" note={`dry after ${sayDuration(water.dryS)}`}>
        {Math.round(water.boilOffMlPerMin)} ml/min
      </Fact>
      <Fact
        name="First top-up"
        note={
          water.topUps > 0
            ? `${sayWater(water.topUpMl)} boiling, ${water.topUps === 1 ? 'once' : `${water.topUps} times`}`
            : `${sayWater(water.leftMl)} left at the end`
        }
      >
        {water.firstTopUpS === undefined ? 'none' : sayDuration(water.firstTopUpS)}
      </Fact>
      {steam.powerLimitedS > 60 ? <Fact name="Held back by power">{sayDuration(steam.powerLimitedS)}</Fact> : null}
    </Stack>
  );
}
