'use client';
import { sheetForecast } from '@/core/stations/mix/sheet';
import { sayMm } from '@/core/units';
import { Column, Fact, Row, Say, Title, Told } from '../kit';
import look from '../kit/rows.module.css';
import type { StationProps } from '../plan/StationProps';

/** Whether the sheet rolls without cracking and lifts without tearing, and what would move the limits. */
export function SheetPanel({ forecast }: StationProps) {
  const s = sheetForecast(forecast.light);
  if (!s) return null;
  return (
    <Column label="Sheets that hold">
      <Title>Will it hold</Title>
      <Row>
        <Fact name="This sheet">{sayMm(s.depthM)}</Fact>
        <Fact name="Thickest that rolls" note={`${sayMm(s.cold.thickestM)} once cold`}>
          {sayMm(s.hot.thickestM)}
        </Fact>
        <Fact name="Thinnest that lifts">{sayMm(s.hot.thinnestM)}</Fact>
        <Fact name="Grain of the flour">{Math.round(s.grainUm)} µm</Fact>
      </Row>
      <Say tone={s.rolls && s.lifts ? 'ready' : 'watch'}>{s.sentence}</Say>
      <ul className={look.points}>
        {s.levers.map((l) => (
          <li key={l}>
            <Told>{l}</Told>
          </li>
        ))}
      </ul>
    </Column>
  );
}
