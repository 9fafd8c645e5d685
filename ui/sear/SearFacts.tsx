import type { HeatForecast } from '@/core/forecast';
import { sayDuration, sayGrams } from '@/core/units';
import { Facts, Told } from '../kit';
import { WhyFact } from '../method/WhyFact';
import type { StationProps } from '../plan/StationProps';

/** Minutes a side, loads, oil, and how hot the middle gets. */
export function SearFacts({
  forecast,
  sear,
}: Pick<StationProps, 'forecast'> & { sear: NonNullable<HeatForecast['sear']> }) {
  return (
    <Facts>
      <WhyFact forecast={forecast} path="heat.sear.minutesASide.0" name="First side">
        {sayDuration(sear.minutesASide[0])}
      </WhyFact>
      <WhyFact forecast={forecast} path="heat.sear.minutesASide.1" name="Second side">
        {sayDuration(sear.minutesASide[1])}
      </WhyFact>
      <WhyFact
        forecast={forecast}
        path="heat.sear.loads"
        name="Loads"
        note={`${sear.perLoad} a load, ${sear.pieces} pieces`}
      >
        {sear.loads}
      </WhyFact>
      <WhyFact forecast={forecast} path="heat.sear.oilPerLoadG" name="Oil each load">
        <Told>{sayGrams(sear.oilPerLoadG)}</Told>
      </WhyFact>
      <WhyFact forecast={forecast} path="heat.sear.totalS" name="At the pan, in all">
        {sayDuration(sear.totalS)}
      </WhyFact>
      <WhyFact forecast={forecast} path="heat.sear.coreC" name="Middle reaches">
        {Math.round(sear.coreC)} °C
      </WhyFact>
    </Facts>
  );
}
