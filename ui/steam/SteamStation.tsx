'use client';
import { sayC, sayDuration } from '@/core/units';
import { readyOf, sayFilmsWanted, steamInput, type HeatForecast, type LightForecast } from '@/core/forecast';
import { wayOf } from '@/core/families';
import { CAUTIONS } from '@/core/steps';
import { Column, More, Say, Soft, Told } from '../kit';
import { Method } from '../method/Method';
import { HeatPhases } from './HeatPhases';
import { LayersPanel } from './LayersPanel';
import { SteamSaid } from './SteamSaid';
import { ChamberFigures, LiftOuts, TimeFigures, WaterFigures } from './SteamFigures';
import type { StationProps } from '../plan/StationProps';
import { later } from '../kit/later';
import { filmIn, loadsIn, overWater, potIn, pourSteam, stackIn } from '@/core/stations/steam/cooking';

const KettleTest = later(() => import('./KettleTest').then((m) => m.KettleTest));
const LoadsChart = later(() => import('./LoadsChart').then((m) => m.LoadsChart));

/** What is not steamed: minutes in the pot with the limit beside them, or films in the pan. */
function potOrPan(heat: HeatForecast, light: LightForecast): string {
  const pot = potIn(heat);
  const film = filmIn(heat);
  if (pot)
    return `Cooked in the pot: ${sayDuration(pot.throughS)} of stirring until no mealy taste is left; the bottom scorches after ${sayDuration(pot.scorchS)}.`;
  return film
    ? `${film.words} ${sayFilmsWanted(light, film)}`
    : 'This cake is cooked in the pot or the pan, not in the steamer.';
}

/** Steam: how hot, under what, and the minutes that follow. */
export function SteamStation(props: StationProps) {
  const { plan, forecast, heating, edit } = props;
  const { light, heat } = forecast;
  const steam = overWater(heat);
  const pour = pourSteam(heat);
  const loads = loadsIn(heat);
  const t = steam?.times;
  const steaming = steam && steamInput(light);
  const goal = steaming && 'cover' in steaming ? readyOf(steaming) : undefined;
  // A caution is told once: at its step, or here where that step stands at another station.
  const toldHere = forecast.steps.some((s) => s.station === 'steam' && s.cautions.includes(CAUTIONS.steam));
  return (
    <Column stale={heating}>
      <div>
        <Method {...props} station="steam" />
        {wayOf(light.family).overSteam ? <HeatPhases plan={plan} edit={edit} /> : null}
        <SteamSaid plan={plan} forecast={forecast} edit={edit} />
      </div>
      {steam && t ? (
        <>
          <TimeFigures
            forecast={forecast}
            times={t}
            steam={steam}
            pressure={pour?.pressure}
            tooLate={light.family.tooLate}
            powerW={heat?.powerW}
          />
          {pour ? <LiftOuts forecast={forecast} steam={pour} /> : null}
          {pour ? <ChamberFigures forecast={forecast} steam={pour} /> : null}
          <WaterFigures plan={plan} forecast={forecast} steam={steam} />
        </>
      ) : (
        <Say tone={steam || heat?.problems.length ? 'stop' : 'plain'}>
          {heat
            ? (steam?.words ?? potOrPan(heat, forecast.light))
            : heating
              ? 'Working out the heat.'
              : 'Nothing to steam yet: see what to mind.'}
        </Say>
      )}
      {wayOf(light.family).stacked ? <LayersPanel light={light} layers={stackIn(heat)} /> : null}
      {loads ? (
        <LoadsChart
          loads={loads}
          owned={light.resolved.vessel.count}
          makes={plan.vesselCount}
          needed={Math.ceil(light.serves.neededG / Math.max(1e-9, light.balance.massG / plan.vesselCount))}
        />
      ) : null}
      {steam ? (
        <More label="More about the steam" of={[{ name: 'Kettle test', draw: () => <KettleTest {...props} /> }]} />
      ) : null}
      {toldHere || heat?.how === 'pot' ? null : <Say tone="watch">{CAUTIONS.steam}</Say>}
      {goal && Number.isFinite(goal.gel) ? (
        <Soft>
          <Told>
            {`Ready when its coldest spot has set ${Math.round(100 * goal.gel)} % of its starch and has been to ${sayC(goal.tempC)}${light.family.moreS ? `, and ${sayDuration(light.family.moreS)} more to clear and darken` : ''}.`}
          </Told>
        </Soft>
      ) : null}
    </Column>
  );
}
