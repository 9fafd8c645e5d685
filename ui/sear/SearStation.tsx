'use client';
import { later } from '../kit/later';
import { sayMm } from '@/core/units';
import type { Plan } from '@/core/plan';
import { Column, More, Press, Row, SaidLine, Say, Soft, Told } from '../kit';
import { Method } from '../method/Method';
import { WaysFor } from '../advice/Ways';
import type { StationProps } from '../plan/StationProps';
import { SearFacts } from './SearFacts';
import { SearSaid } from './SearSaid';

const SearCurve = later(() => import('./SearCurve').then((m) => m.SearCurve));

type Sear = NonNullable<Plan['sear']>;
const FRESH: Sear = { dial: 'medium', colour: 'golden', startC: 5, pans: 1, dip: 'dry', lid: false };

/** Sear: loads, minutes a side, and whether the middle gets hot. */
export function SearStation(props: StationProps) {
  const { plan, forecast, heating, edit } = props;
  const sear = forecast.heat?.sear;
  const set = (key: string, change: Partial<Sear>) =>
    edit(`sear.${key}`, (p) => ({ ...p, sear: { ...(p.sear ?? FRESH), ...change } }));
  if (!plan.sear)
    return (
      <div>
        <SaidLine>It is eaten as it is, not seared.</SaidLine>
        <Press onClick={() => set('on', {})}>Plan the searing</Press>
      </div>
    );
  return (
    <Column stale={heating}>
      <div>
        <Method {...props} station="sear" />
        <SearSaid {...props} sear={plan.sear} set={set} />
        <Press quiet onClick={() => edit('sear.off', (p) => ({ ...p, sear: undefined }))}>
          Do not sear
        </Press>
      </div>
      {sear ? (
        <>
          <SearFacts forecast={forecast} sear={sear} />
          {sear.hotThrough ? null : (
            <Row>
              <WaysFor about="sear-cold" edit={props.edit} />
            </Row>
          )}
          <More
            label="More about searing"
            of={[{ name: 'Heat of face and middle', draw: () => <SearCurve sear={sear} /> }]}
          />
          <Say tone={sear.hotThrough && sear.result.reached ? 'ready' : 'watch'}>{sear.words}</Say>
        </>
      ) : (
        <Soft>{heating ? 'Working out the searing.' : 'Nothing to sear yet: plan the cutting first.'}</Soft>
      )}
      {forecast.light.piece ? (
        <Soft>
          Slices <Told>{sayMm(forecast.light.piece.thicknessM)}</Told> thick lie on their widest face.
        </Soft>
      ) : null}
      <Say tone="watch">Dry the pieces well: water spits in hot oil.</Say>
    </Column>
  );
}
