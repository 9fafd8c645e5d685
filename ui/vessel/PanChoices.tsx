'use client';
import { isAlike } from '@/core/kitchen';
import type { LightForecast } from '@/core/forecast';
import { panNeed } from '@/core/stations/mix';
import { scalePlan, type Plan } from '@/core/plan';
import { choosePans, volumeAtDepth, type PanChoice } from '@/core/model/vessel';
import { inUnits, sayGrams, sayMm } from '@/core/units';
import { Beside, Column, Panel, Press, Soft, Title, Told, useUnits } from '../kit';
import type { StationProps } from '../plan/StationProps';

const COUNTED = { pans: 'Pans', moulds: 'Moulds', sheets: 'Trays' } as const;

/** The plan in a choice of vessels; further vessels are the choice's own. */
const chosen = (p: Plan, c: PanChoice, gramsAMl: number): Plan => ({
  ...p,
  vessel: c.vessel.id,
  vesselCount: c.count,
  alsoVessels: c.also
    ? [{ id: 'moulds', vessel: c.also.vessel.id, count: c.also.count, massEachG: c.also.eachMl * gramsAMl }]
    : [],
});

/** The rack's best vessels of the right kind for this batter, and each one both ways: this batter in it, or this depth in it. */
export function PanChoices({ plan, forecast, kitchen, edit }: StationProps) {
  const { light } = forecast;
  const { steamer } = light.resolved;
  const need = panNeed(light.family, steamer, light.balance.volumeMl);
  if (!need)
    return <Soft>Films are cooked in the frying pan: choose it below, the number follows from the batter.</Soft>;
  const choices = choosePans(kitchen.vessels, need);
  if (kitchen.vessels.length === 0)
    return (
      <Soft>There is nothing on the rack yet: keep your own pans on the Rack page and the best one is found here.</Soft>
    );
  if (choices.length === 0)
    return (
      <Soft>
        {need.use === 'moulds'
          ? 'There are no small moulds on the rack that go into this steamer: put some there, or see what could stand in for them.'
          : need.use === 'sheets'
            ? 'There is no flat tray on the rack that goes into this steamer: put one there, or see what could stand in for it.'
            : `Nothing on the rack holds this batter${need.steamer ? ` and goes into ${steamer.name}` : ''}: make less, or add a pan.`}
      </Soft>
    );
  return (
    <Column>
      <Title>{COUNTED[need.use]} for this batter</Title>
      {choices.map((c) => (
        <PanOffer
          key={`${c.vessel.id}${c.also?.vessel.id ?? ''}`}
          choice={c}
          use={need.use}
          plan={plan}
          light={light}
          edit={edit}
        />
      ))}
    </Column>
  );
}

/** One choice, both ways: this batter in it, or this depth in it. */
function PanOffer({
  choice: c,
  use,
  plan,
  light,
  edit,
}: Pick<StationProps, 'plan' | 'edit'> & { choice: PanChoice; use: keyof typeof COUNTED; light: LightForecast }) {
  const units = useUnits();
  const { massG, volumeMl } = light.balance;
  const gramsAMl = massG / Math.max(volumeMl, 1e-9);
  const pans = use === 'pans';
  const depth = Math.min(light.fill.depthM, c.vessel.heightM / light.family.rise);
  const sameDepth = (volumeAtDepth(c.vessel, depth) * c.count) / Math.max(volumeMl, 1e-9);
  const here =
    isAlike(c.vessel, light.resolved.vessel) &&
    c.count === plan.vesselCount &&
    (c.also !== undefined) === plan.alsoVessels.length > 0;
  return (
    <Panel chosen={here}>
      <Beside
        presses={
          <>
            <Press
              quiet
              disabled={here}
              onClick={() => edit(`pan.batter.${c.vessel.id}.${c.count}`, (p) => chosen(p, c, gramsAMl))}
            >
              {inUnits(`This batter, ${sayMm(c.fill.depthM)}`, units)}
            </Press>
            {c.also || !pans ? null : (
              <Press
                quiet
                onClick={() =>
                  edit(`pan.depth.${c.vessel.id}.${c.count}`, (p) => ({
                    ...scalePlan(p, sameDepth),
                    vessel: c.vessel.id,
                    vesselCount: c.count,
                    alsoVessels: [],
                  }))
                }
              >
                {inUnits(`This depth, ${sayGrams(massG * sameDepth)}`, units)}
              </Press>
            )}
          </>
        }
      >
        <b>
          {c.count > 1 && pans ? `${c.count} × ` : ''}
          {c.vessel.name}
          {c.also ? ` and ${c.also.vessel.name.toLowerCase()}` : ''}
          {here ? ', in use' : ''}
        </b>
        <Soft>
          <Told>{c.why}</Told>
        </Soft>
      </Beside>
    </Panel>
  );
}
