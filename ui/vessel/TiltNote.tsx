'use client';
import { useState } from 'react';
import { tiltSpread } from '@/core/model/steam';
import { sayMm } from '@/core/units';
import { vesselShape } from '@/core/model/vessel';
import { Note, NumberField, Row, Told } from '../kit';
import type { StationProps } from '../plan/StationProps';

/** A thin pour on a counter that is off level: its thinnest and thickest spot. */
export function TiltNote({ forecast }: StationProps) {
  const [tilt, setTilt] = useState(0.5);
  const { fill, resolved } = forecast.light;
  const width = 2 * vesselShape(resolved.vessel).halfWidthAt(fill.depthM);
  const { thinM, thickM } = tiltSpread(fill.depthM, width, tilt);
  return (
    <Row align="center">
      <NumberField
        settled
        label="Counter off level"
        value={tilt}
        min={0}
        max={10}
        unit="°"
        width={140}
        onChange={setTilt}
      />
      <Note>
        Thinnest <Told>{sayMm(thinM)}</Told>, thickest <Told>{sayMm(thickM)}</Told>
        {thinM === 0 ? ': part of it stays bare, level the counter' : ''}.
      </Note>
    </Row>
  );
}
