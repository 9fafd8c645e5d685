import { wayOf } from '@/core/families';
import { loadsIn } from '@/core/stations/steam/cooking';
import { sayMm } from '@/core/units';
import { Facts, Told } from '../kit';
import { WhyFact } from '../method/WhyFact';
import type { StationProps } from '../plan/StationProps';

/** How deep, how much in each, what room is left, in how many turns. */
export function VesselFacts({ forecast }: Pick<StationProps, 'forecast'>) {
  const { fill, family } = forecast.light;
  const repeated = wayOf(family).into !== 'pan';
  // What goes in by turns is told as its steaming was worked out.
  const loads = loadsIn(forecast.heat);
  return (
    <Facts>
      <WhyFact
        forecast={forecast}
        path="fill.depthM"
        name="Depth"
        note={`usual ${family.depthMm[0]} to ${family.depthMm[1]} mm`}
        source={fill.measured ? 'measured' : undefined}
      >
        <Told>{sayMm(fill.depthM)}</Told>
      </WhyFact>
      <WhyFact
        forecast={forecast}
        path="fill.volumeEachMl"
        name="Each pan holds"
        note={`brimful ${Math.round(fill.brimMl)} ml`}
      >
        {Math.round(fill.volumeEachMl)} ml
      </WhyFact>
      <WhyFact forecast={forecast} path="fill.headroomM" name="Room to rise">
        <Told>{sayMm(Math.max(0, fill.headroomM))}</Told>
      </WhyFact>
      {loads ? (
        <WhyFact
          forecast={forecast}
          path="heat.loads.loads"
          name="Turns"
          note={loads.together > 1 ? `up to ${loads.together} at a time` : 'one at a time'}
        >
          {loads.loads}
        </WhyFact>
      ) : repeated ? null : (
        <WhyFact
          forecast={forecast}
          path="fill.loads"
          name="Steamer loads"
          note={`${fill.perLoad} ${fill.perLoad === 1 ? 'pan' : 'pans'} at a time`}
        >
          {fill.loads}
        </WhyFact>
      )}
    </Facts>
  );
}
