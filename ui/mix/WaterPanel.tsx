'use client';
import { Column } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { MixHeat } from './MixHeat';
import { PourScale } from './PourScale';
import { ThicknessCheck } from './ThicknessCheck';
import { WaterLedger } from './WaterLedger';

/** Where the water comes from and goes to, how it pours for it, and how warm it is. */
export default function WaterPanel(props: StationProps) {
  return (
    <Column>
      <WaterLedger {...props} />
      <PourScale {...props} />
      <ThicknessCheck {...props} />
      <MixHeat {...props} />
    </Column>
  );
}
