import type { CutPlan } from '@/core/model/cut';
import { sayGrams } from '@/core/units';
import { Fact, Facts } from '../kit';
import { WhyFact } from '../method/WhyFact';
import type { StationProps } from '../plan/StationProps';

/** How many pieces, how large, how even, and what is left over. */
export function CutFacts({ plan, forecast, cut }: Pick<StationProps, 'plan' | 'forecast'> & { cut: CutPlan }) {
  const { light } = forecast;
  return (
    <Facts>
      <WhyFact
        forecast={forecast}
        path="pieces"
        name="Pieces"
        note={plan.vesselCount > 1 ? `${cut.count} a pan` : undefined}
      >
        {cut.count * plan.vesselCount}
      </WhyFact>
      <WhyFact
        forecast={forecast}
        path="cut.gramsAPiece"
        name="Each"
        note={cut.gramsAPiece > 0 ? `${(light.serves.gramsAHead / cut.gramsAPiece).toFixed(1)} a head` : undefined}
      >
        {sayGrams(cut.gramsAPiece)}
      </WhyFact>
      <Fact name="Piece">{`${Math.round(cut.pitchM[0] * 1000)} by ${Math.round(cut.pitchM[1] * 1000)} mm`}</Fact>
      <WhyFact forecast={forecast} path="cut.offcutPct" name="Offcuts">
        {cut.offcutPct.toFixed(0)} %
      </WhyFact>
      <WhyFact forecast={forecast} path="cut.largestToSmallest" name="Largest ÷ smallest">
        {cut.largestToSmallest.toFixed(2)}
      </WhyFact>
    </Facts>
  );
}
