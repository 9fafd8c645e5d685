'use client';
import { boilingPointC, sayDuration, sayGrams, there } from '@/core/units';
import { YEAST_C } from '@/core/model/batter';
import { ingredientOf } from '@/core/plan';
import { Column, Fact, NumberField, Row, Say, Title } from '../kit';
import { useKitchen } from '../kitchen/useKitchen';
import type { StationProps } from '../plan/StationProps';
import { changeLine } from '../lines/editLines';

/** Temperature of the mix, and for yeast the cold water to hold back, the minutes of fermenting and the rise. */
export function MixHeat({ plan, forecast, edit }: StationProps) {
  const { keepSettings, kitchen } = useKitchen();
  const { light } = forecast;
  const { larder } = light.resolved;
  const boil = boilingPointC(kitchen.altitudeM);
  const lines = plan.batters.flatMap((b, i) => b.lines.map((l, j) => ({ l, i, j })));
  const hot = lines.filter(
    ({ l }) => l.treatment === 'boiling' || l.treatment === 'syrup' || (l.tempC ?? 0) > kitchen.roomC + 5,
  );
  const target = (YEAST_C.low + YEAST_C.high) / 2;
  const mixed = light.evaluated.byId.get(`mix:${there(plan.batters[0]).id}`);
  const cold = light.family.yeastPct && hot.length > 0 ? mixed?.figures.holdBackG?.value : undefined;
  const landsC = light.family.yeastPct ? mixed?.figures.tempC?.value : undefined;
  const t = landsC ?? light.pour.startC.value;
  const tooHot = light.family.yeastPct !== undefined && t > YEAST_C.never;
  return (
    <Column>
      <Title>Temperature of the mix</Title>
      <Row>
        <Fact name="Lands at" note={light.pour.words}>
          {Math.round(t)} °C
        </Fact>
        <NumberField
          label="Room"
          value={kitchen.roomC}
          min={-5}
          max={45}
          unit="°C"
          width={110}
          settled
          onChange={(roomC) => void keepSettings({ roomC })}
        />
        {hot.map(({ l, i, j }) => (
          <NumberField
            key={`${i}.${j}`}
            label={`${ingredientOf(larder, l).name}, hot`}
            value={l.tempC ?? (l.treatment === 'boiling' ? boil : 60)}
            min={0}
            max={130}
            unit="°C"
            width={150}
            onChange={(tempC) => edit(`temp.${i}.${j}`, (p) => changeLine(p, i, j, { tempC }))}
          />
        ))}
      </Row>
      {light.family.yeastPct ? (
        <>
          {tooHot ? (
            <Say tone="stop">{`${Math.round(t)} °C would kill the yeast: never above ${YEAST_C.never} °C.`}</Say>
          ) : null}
          {cold !== undefined ? (
            <Say tone="plain">{`Hold back ${sayGrams(cold)} of the water cold and stir it into the syrup and flour: it lands at ${target} °C at once, no waiting.`}</Say>
          ) : null}
          {light.ferment ? (
            <Row>
              <Fact name="Ferments" note={`at ${Math.round(light.ferment.tempC)} °C`}>
                {sayDuration(light.ferment.timeS)}
              </Fact>
              <Fact name="Yeast">{light.ferment.dosePct.toFixed(2)} % of dry</Fact>
              <Fact name="Rises">{light.fill.rise.toFixed(2)} ×</Fact>
            </Row>
          ) : (
            <Say tone="watch">No ferment time: yeast works from 18 to 38 °C, and needs a dose.</Say>
          )}
        </>
      ) : null}
    </Column>
  );
}
