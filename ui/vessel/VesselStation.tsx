'use client';
import { sayMm, seenAt, there } from '@/core/units';
import { wayOf } from '@/core/families';
import { releaseAdvice, wallOf, WALLS } from '@/core/model/vessel';
import { Column, More, Say, Soft, Told } from '../kit';
import { Method } from '../method/Method';
import type { StationProps } from '../plan/StationProps';
import { VesselFacts } from './VesselFacts';
import { VesselSaid } from './VesselSaid';
import { later } from '../kit/later';

const AlsoVessels = later(() => import('./AlsoVessels').then((m) => m.AlsoVessels));
const FillPanel = later(() => import('./FillPanel').then((m) => m.FillPanel));
const GearStandIns = later(() => import('./GearStandIns').then((m) => m.GearStandIns));
const LiningPanel = later(() => import('./LiningPanel').then((m) => m.LiningPanel));
const PanChoices = later(() => import('./PanChoices').then((m) => m.PanChoices));
const SheetPanel = later(() => import('./SheetPanel').then((m) => m.SheetPanel));
const TiltNote = later(() => import('./TiltNote').then((m) => m.TiltNote));

/** Vessel: which pan, how many, how deep, and whether they go into the steamer. */
export function VesselStation(props: StationProps) {
  const { forecast } = props;
  const { fill, resolved, family } = forecast.light;
  const { into } = wayOf(family);
  const film = into === 'film';
  const repeated = into !== 'pan';
  const { paper } = resolved.plan;
  return (
    <Column>
      <VesselSaid {...props} />
      <div>
        <Method {...props} station="vessel" />
      </div>
      <VesselFacts forecast={forecast} />
      {fill.problems.length === 0 && !forecast.light.advice.some((a) => seenAt('vessel', a.code)) ? (
        <Say tone="ready">It fits, at a usual depth.</Say>
      ) : null}
      <Soft>
        {there(WALLS[resolved.vessel.material].words[0]).toUpperCase() + WALLS[resolved.vessel.material].words.slice(1)}{' '}
        wall, <Told>{sayMm(wallOf(resolved.vessel).thicknessM)}</Told>.{' '}
        {releaseAdvice(resolved.vessel.material, forecast.light.texture.sticky, paper)}
      </Soft>
      {fill.depthM < 0.012 ? <TiltNote {...props} /> : null}
      <More
        label="More about the vessel"
        of={[
          { name: 'Pans of the rack', draw: () => <PanChoices {...props} /> },
          ...(repeated ? [{ name: 'Fill', draw: () => <FillPanel {...props} /> }] : []),
          ...(repeated ? [{ name: 'Will it hold', draw: () => <SheetPanel {...props} /> }] : []),
          ...(film ? [] : [{ name: 'Further vessels', draw: () => <AlsoVessels {...props} /> }]),
          ...(paper ? [{ name: 'Paper for it', draw: () => <LiningPanel {...props} /> }] : []),
          { name: 'No such pan?', draw: () => <GearStandIns {...props} /> },
        ]}
      />
    </Column>
  );
}
