import type { Plan } from '@/core/plan';
import { PAN_C, PAN_DIALS } from '@/core/model/sear';
import { SaidChoice, SaidLine, SaidNumber } from '../kit';
import { pansFor } from '../plan/gear';
import type { StationProps } from '../plan/StationProps';

type Sear = NonNullable<Plan['sear']>;

/** In which pan, at which dial, to what colour, how thick and from how cold: a sentence in which each is chosen. */
export function SearSaid({
  plan,
  sear,
  forecast,
  kitchen,
  edit,
  set,
}: StationProps & { sear: Sear; set: (key: string, change: Partial<Sear>) => void }) {
  return (
    <SaidLine>
      In <SaidNumber label="Pans" value={sear.pans} min={1} max={4} whole onChange={(n) => set('pans', { pans: n })} />{' '}
      of{' '}
      <SaidChoice
        label="Frying pan"
        value={forecast.light.resolved.fryingPan.id}
        options={pansFor(kitchen, plan).map((p) => ({ value: p.id, words: p.name }))}
        onChange={(id) => edit('fryingPan', (p) => ({ ...p, fryingPan: id }))}
      />
      , the dial at{' '}
      <SaidChoice
        label="Dial of the frying pan"
        value={sear.dial}
        options={PAN_DIALS.map((d) => ({
          value: d,
          words: d,
          hint: `${PAN_C[d]} °C at the surface`,
        }))}
        onChange={(dial) => set('dial', { dial })}
      />
      , to{' '}
      <SaidChoice
        label="Colour"
        value={sear.colour}
        options={[
          { value: 'pale', words: 'pale' },
          { value: 'golden', words: 'golden' },
          { value: 'deep', words: 'deep' },
        ]}
        onChange={(colour) => set('colour', { colour })}
      />
      . Slices{' '}
      <SaidNumber
        label="Thick"
        value={(forecast.light.piece?.thicknessM ?? 0) * 1000}
        min={4}
        max={80}
        unit="mm"
        onChange={(mm) => set('thick', { thicknessM: mm / 1000 })}
      />{' '}
      thick, from{' '}
      <SaidNumber
        label="From"
        value={sear.startC}
        min={-2}
        max={80}
        unit="°C"
        onChange={(startC) => set('startC', { startC })}
      />
      ,{' '}
      <SaidChoice
        label="Dip"
        value={sear.dip}
        options={[
          { value: 'dry', words: 'dry' },
          { value: 'egg', words: 'in egg' },
        ]}
        onChange={(dip) => set('dip', { dip })}
      />
      , the lid{' '}
      <SaidChoice
        label="Lid"
        value={sear.lid ? 'on' : 'off'}
        options={[
          { value: 'off', words: 'off' },
          { value: 'on', words: 'on' },
        ]}
        onChange={(v) => set('lid', { lid: v === 'on' })}
      />
      .
    </SaidLine>
  );
}
