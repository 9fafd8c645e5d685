'use client';
import { later } from '../kit/later';
import { sayDuration, sayGrams, sayMm } from '@/core/units';
import type { Plan } from '@/core/plan';
import { PAN_C, PAN_DIALS } from '@/core/model/sear';
import { Choice, Column, Facts, More, NumberField, Press, Row, SaidLine, Say, Soft, Told } from '../kit';
import { Method } from '../method/Method';
import { WaysFor } from '../advice/Ways';
import { pansFor } from '../plan/gear';
import { WhyFact } from '../method/WhyFact';
import type { StationProps } from '../plan/StationProps';

const SearCurve = later(() => import('./SearCurve').then((m) => m.SearCurve));

type Sear = NonNullable<Plan['sear']>;
const FRESH: Sear = { dial: 'medium', colour: 'golden', startC: 5, pans: 1, dip: 'dry', lid: false };

/** Sear: loads, minutes a side, and whether the middle gets hot. */
export function SearStation(props: StationProps) {
  const { plan, forecast, kitchen, heating, edit } = props;
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
  const pans = pansFor(kitchen, plan);
  return (
    <Column stale={heating}>
      <div>
        <Method {...props} station="sear" />
        <SaidLine>
          In{' '}
          <NumberField
            as="said"
            label="Pans"
            value={plan.sear.pans}
            min={1}
            max={4}
            whole
            decimals={0}
            onChange={(n) => set('pans', { pans: n })}
          />{' '}
          of{' '}
          <Choice
            as="said"
            label="Frying pan"
            value={forecast.light.resolved.fryingPan.id}
            options={pans.map((p) => ({ value: p.id, words: p.name }))}
            onChange={(id) => edit('fryingPan', (p) => ({ ...p, fryingPan: id }))}
          />
          , the dial at{' '}
          <Choice
            as="said"
            label="Dial of the frying pan"
            value={plan.sear.dial}
            options={PAN_DIALS.map((d) => ({
              value: d,
              words: d,
              hint: `${PAN_C[d]} °C at the surface`,
            }))}
            onChange={(dial) => set('dial', { dial })}
          />
          , to{' '}
          <Choice
            as="said"
            label="Colour"
            value={plan.sear.colour}
            options={[
              { value: 'pale', words: 'pale' },
              { value: 'golden', words: 'golden' },
              { value: 'deep', words: 'deep' },
            ]}
            onChange={(colour) => set('colour', { colour })}
          />
          . Slices{' '}
          <NumberField
            as="said"
            label="Thick"
            value={(forecast.light.piece?.thicknessM ?? 0) * 1000}
            min={4}
            max={80}
            unit="mm"
            onChange={(mm) => set('thick', { thicknessM: mm / 1000 })}
          />{' '}
          thick, from{' '}
          <NumberField
            as="said"
            label="From"
            value={plan.sear.startC}
            min={-2}
            max={80}
            unit="°C"
            onChange={(startC) => set('startC', { startC })}
          />
          ,{' '}
          <Choice
            as="said"
            label="Dip"
            value={plan.sear.dip}
            options={[
              { value: 'dry', words: 'dry' },
              { value: 'egg', words: 'in egg' },
            ]}
            onChange={(dip) => set('dip', { dip })}
          />
          , the lid{' '}
          <Choice
            as="said"
            label="Lid"
            value={plan.sear.lid ? 'on' : 'off'}
            options={[
              { value: 'off', words: 'off' },
              { value: 'on', words: 'on' },
            ]}
            onChange={(v) => set('lid', { lid: v === 'on' })}
          />
          .
        </SaidLine>
        <Press quiet onClick={() => edit('sear.off', (p) => ({ ...p, sear: undefined }))}>
          Do not sear
        </Press>
      </div>
      {sear ? (
        <>
          <Facts>
            <WhyFact forecast={forecast} path="heat.sear.minutesASide.0" name="First side">
              {sayDuration(sear.minutesASide[0])}
            </WhyFact>
            <WhyFact forecast={forecast} path="heat.sear.minutesASide.1" name="Second side">
              {sayDuration(sear.minutesASide[1])}
            </WhyFact>
            <WhyFact
              forecast={forecast}
              path="heat.sear.loads"
              name="Loads"
              note={`${sear.perLoad} a load, ${sear.pieces} pieces`}
            >
              {sear.loads}
            </WhyFact>
            <WhyFact forecast={forecast} path="heat.sear.oilPerLoadG" name="Oil each load">
              <Told>{sayGrams(sear.oilPerLoadG)}</Told>
            </WhyFact>
            <WhyFact forecast={forecast} path="heat.sear.totalS" name="At the pan, in all">
              {sayDuration(sear.totalS)}
            </WhyFact>
            <WhyFact forecast={forecast} path="heat.sear.coreC" name="Middle reaches">
              {Math.round(sear.coreC)} °C
            </WhyFact>
          </Facts>
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
