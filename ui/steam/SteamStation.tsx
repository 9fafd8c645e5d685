'use client';
import { Stack, Typography } from '@mui/material';
import { sayDuration, sayWater } from '@/core/units';
import { schoolOf } from '@/core/families';
import { HEATS } from '@/core/kitchen';
import { chooseSchool, readingAt, withReading, type SchoolQuestion } from '@/core/plan';
import { Choice, Fact, NumberField, Say } from '../kit';
import { KettleTest } from './KettleTest';
import { LayersPanel } from './LayersPanel';
import { LoadsChart } from './LoadsChart';
import type { StationProps } from '../plan/StationProps';

const QUESTIONS: readonly { q: SchoolQuestion; words: string }[] = [
  { q: 'intoPan', words: 'Batter into the pan' },
  { q: 'dripGuard', words: 'Drip guard' },
  { q: 'lining', words: 'Lining' },
];

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
        <Choice
          label="Heat"
          value={plan.heat}
          width={130}
          options={HEATS.map((h) => ({ value: h, words: h }))}
          onChange={(h) => edit('heat', (p) => ({ ...p, heat: h }))}
        />
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
          <Stack direction="row" spacing={3} useFlexGap sx={{ flexWrap: 'wrap' }}>
            <Fact name="Check at">
              <span data-testid="check-at">{sayDuration(t.checkAtS)}</span>
            </Fact>
            <Fact
              name="First clean pick"
              source={t.firstCleanPickS.source}
              note={
                [
                  steam.spread ? `${sayDuration(steam.spread.low)} to ${sayDuration(steam.spread.high)}` : '',
                  t.firstCleanPickS.source === 'learned' ? `learned; ${sayDuration(t.unlearnedS)} by the model` : '',
                ]
                  .filter(Boolean)
                  .join('; ') || undefined
              }
            >
              {sayDuration(t.firstCleanPickS.value)}
            </Fact>
            <Fact
              name="Plan for"
              note={
                light.family.restInSteamerS > 0
                  ? `with ${sayDuration(light.family.restInSteamerS)} standing`
                  : undefined
              }
            >
              {sayDuration(t.planForS)}
            </Fact>
            <Fact name="No later than" note={light.family.tooLate}>
              {sayDuration(t.noLaterThanS)}
            </Fact>
          </Stack>
          <Stack direction="row" spacing={3} useFlexGap sx={{ flexWrap: 'wrap' }}>
            <Fact name="Steam power" source={heat?.powerW.source}>
              {((heat?.powerW.value ?? 0) / 1000).toFixed(2)} kW
            </Fact>
            <Fact name="Water to start" note="1 cm under the rack">
              {sayWater(steam.water.startMl)}
            </Fact>
            <Fact
              name="First top-up"
              note={steam.water.topUps > 0 ? `${steam.water.topUps} in all, boiling` : 'it lasts'}
            >
              {steam.water.firstTopUpS === undefined ? 'none' : sayDuration(steam.water.firstTopUpS)}
            </Fact>
            <Fact name="Held back by power">{sayDuration(steam.powerLimitedS)}</Fact>
          </Stack>
        </>
      ) : (
        <Say tone={steam ? 'stop' : 'plain'}>
          {heat
            ? steam
              ? steam.words
              : 'This cake is cooked in the pot or the pan, not in the steamer.'
            : heating
              ? 'Working out the heat.'
              : 'Nothing to steam yet: see the notes by the drawing.'}
        </Say>
      )}
      {light.family.cooked === 'layers' ? <LayersPanel {...props} layers={heat?.layers} /> : null}
      {heat?.pipeline ? (
        <LoadsChart
          pipeline={heat.pipeline}
          makes={plan.vesselCount}
          needed={Math.ceil(light.serves.neededG / Math.max(1e-9, light.balance.massG / plan.vesselCount))}
        />
      ) : null}
      {steam ? <KettleTest {...props} /> : null}
      <Say tone="watch">Steam burns: open the lid away from you, with dry cloths and tongs.</Say>
      <Typography variant="body2" color="text.secondary">
        Coldest spot is set when 95 % of its starch has gelled.
      </Typography>
    </Stack>
  );
}
