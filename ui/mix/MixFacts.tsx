import { sayDuration, sayGrams, there } from '@/core/units';
import { Facts, Told } from '../kit';
import { WhyFact } from '../method/WhyFact';
import type { StationProps } from '../plan/StationProps';

/** How wet it is, how it pours, how salt, how much there is. */
export function MixFacts({ plan, forecast }: Pick<StationProps, 'plan' | 'forecast'>) {
  const { light } = forecast;
  const b = there(light.balance.batters[0]);
  const c = there(light.consistency[0]);
  const { topUpG: topUp } = b;
  return (
    <Facts>
      <WhyFact forecast={forecast} path="balance.batters.0.hydration" name="Hydration" note="water ÷ dry">
        {b.hydration.toFixed(2)}
      </WhyFact>
      <WhyFact forecast={forecast} path="balance.batters.0.liquidToDry" name="Liquid : dry">
        {b.liquidToDry.toFixed(2)}
      </WhyFact>
      <WhyFact
        forecast={forecast}
        path="consistency.0.viscosityMPas"
        name="Pours like"
        note={
          c.viscosityMPas === undefined
            ? undefined
            : `${c.viscosityMPas < 10 ? c.viscosityMPas.toFixed(1) : Math.round(c.viscosityMPas)} mPa·s`
        }
      >
        {c.words}
      </WhyFact>
      <WhyFact forecast={forecast} path="consistency.0.stirEveryS" name="Stir each" note="it settles">
        {Number.isFinite(c.stirEveryS) ? sayDuration(c.stirEveryS) : 'never'}
      </WhyFact>
      <WhyFact
        forecast={forecast}
        path="balance.salt.pctOfTotal"
        name="Salt"
        note={`${light.balance.salt.leftG.toFixed(1)} g left in`}
      >
        {light.balance.salt.pctOfTotal.toFixed(2)} %
      </WhyFact>
      {there(plan.batters[0]).wantedLiquidG !== undefined ? (
        <WhyFact forecast={forecast} path="balance.batters.0.topUpG" name="Top up with water">
          <span data-testid="top-up">
            <Told>{sayGrams(topUp)}</Told>
          </span>
        </WhyFact>
      ) : null}
      <WhyFact forecast={forecast} path="balance.massG" name="In all">
        {sayGrams(light.balance.massG)}
      </WhyFact>
    </Facts>
  );
}
