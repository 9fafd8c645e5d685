'use client';
import { Stack, Typography } from '@mui/material';
import { sayC, sayDuration } from '@/core/units';
import { coverIn, readyOf, type HeatForecast } from '@/core/forecast';
import { isSteamed, LID_AND_GUARD, schoolOf } from '@/core/families';
import { guardOf } from '@/core/steam';
import { chooseSchool, readingAt, withReading, type SchoolQuestion } from '@/core/plan';
import { Choice, NumberField, Say, Told } from '../kit';
import { HeatPhases } from './HeatPhases';
import { KettleTest } from './KettleTest';
import { LayersPanel } from './LayersPanel';
import { LoadsChart } from './LoadsChart';
import { ChamberFigures, LiftOuts, TimeFigures, WaterFigures } from './SteamFigures';
import type { StationProps } from '../plan/StationProps';

const QUESTIONS: readonly { q: SchoolQuestion; words: string }[] = [
  { q: 'intoPan', words: 'Batter into the pan' },
  { q: 'lining', words: 'Lining' },
];

/** What is not steamed: minutes in the pot with the limit beside them, or films in the pan. */
function potOrPan({ pot, film }: HeatForecast): string {
  if (pot)
    return `Cooked in the pot: ${sayDuration(pot.throughS)} of stirring until no mealy taste is left; the bottom scorches after ${sayDuration(pot.scorchS)}.`;
  return film?.words ?? 'This cake is cooked in the pot or the pan, not in the steamer.';
}

/** Steam: how hot, under what, and the minutes that follow. */
export function SteamStation(props: StationProps) {
  const { plan, forecast, heating, edit } = props;
  const { light, heat } = forecast;
  const steam = heat?.steam;
  const pouredAt = { node: light.pour.node, slot: 'tempC' };
  const t = steam?.times;
  return (
    <Stack spacing={2} sx={{ opacity: heating ? 0.6 : 1 }}>
      <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        {isSteamed(light.family) ? <HeatPhases plan={plan} edit={edit} /> : null}
        {isSteamed(light.family) ? (
          <Choice
            label="Lid and guard"
            value={guardOf(coverIn(light))}
            width={210}
            options={LID_AND_GUARD.map((o) => ({ value: o.id, words: o.words, hint: o.differs }))}
            onChange={(v) => edit('school.dripGuard', (p) => chooseSchool(p, 'dripGuard', v))}
          />
        ) : null}
        {QUESTIONS.flatMap(({ q, words }) => {
          const school = light.family.schools[q];
          return school
            ? [
                <Choice
                  key={q}
                  label={words}
                  value={schoolOf(light.family, plan.schools, q) ?? ''}
                  width={210}
                  options={school.options.map((o) => ({ value: o.id, words: o.words, hint: o.differs }))}
                  onChange={(v) => edit(`school.${q}`, (p) => chooseSchool(p, q, v))}
                />,
              ]
            : [];
        })}
        {light.resolved.steamer.pressureTempC === undefined ? null : (
          <Choice
            label="Pressure is let go"
            value={plan.pressureRelease}
            width={170}
            options={[
              { value: 'slow', words: 'on its own' },
              { value: 'quick', words: 'at once', hint: 'A batter may boil up: leave room over it.' },
            ]}
            onChange={(pressureRelease) => edit('pressureRelease', (p) => ({ ...p, pressureRelease }))}
          />
        )}
        <NumberField
          label="Batter poured at"
          value={readingAt(plan, pouredAt)}
          min={0}
          max={100}
          unit="°C"
          width={140}
          onChange={(tempC) => edit('pourC', (p) => withReading(p, pouredAt, tempC))}
          onClear={() => edit('pourC', (p) => withReading(p, pouredAt, undefined))}
          helper={
            readingAt(plan, pouredAt) === undefined
              ? `computed: ${Math.round(light.pour.startC.value)} °C`
              : 'as you measured'
          }
        />
      </Stack>
      {steam && t ? (
        <>
          <TimeFigures times={t} steam={steam} tooLate={light.family.tooLate} powerW={heat?.powerW} />
          <LiftOuts light={light} steam={steam} />
          {light.family.cooked === 'layers' ? null : <ChamberFigures light={light} steam={steam} />}
          <WaterFigures plan={plan} edit={edit} steam={steam} />
        </>
      ) : (
        <Say tone={steam || heat?.problems.length ? 'stop' : 'plain'}>
          {heat
            ? (steam?.words ?? potOrPan(heat))
            : heating
              ? 'Working out the heat.'
              : 'Nothing to steam yet: see the notes by the drawing.'}
        </Say>
      )}
      {light.family.cooked === 'layers' ? <LayersPanel {...props} layers={heat?.layers} /> : null}
      {heat?.loads ? (
        <LoadsChart
          loads={heat.loads}
          owned={light.resolved.vessel.count}
          makes={plan.vesselCount}
          needed={Math.ceil(light.serves.neededG / Math.max(1e-9, light.balance.massG / plan.vesselCount))}
        />
      ) : null}
      {steam ? <KettleTest {...props} /> : null}
      <Say tone="watch">Steam burns: open the lid away from you, with dry cloths and tongs.</Say>
      {steam ? (
        <Typography variant="body2" color="text.secondary">
          <Told>
            {`Ready when its coldest spot is set, 95 % of its starch, and has come to ${sayC(readyOf(light).tempC ?? 0)}${light.family.moreS ? `, and ${sayDuration(light.family.moreS)} more to clear and darken` : ''}.`}
          </Told>
        </Typography>
      ) : null}
    </Stack>
  );
}
