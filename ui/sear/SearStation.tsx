'use client';
import { Button, Stack, Typography } from '@mui/material';
import { sayDuration, sayGrams, sayMm } from '@/core/units';
import { DEFAULT_PAN } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { PAN_C } from '@/core/sear';
import { SearCurve } from './SearCurve';
import { Choice, Fact, NumberField, Say, Told } from '../kit';
import type { StationProps } from '../plan/StationProps';

type Sear = NonNullable<Plan['sear']>;
const FRESH: Sear = { dial: 'medium', colour: 'golden', startC: 5, pans: 1, dip: 'dry', lid: false };

/** Sear: loads, minutes a side, and whether the middle gets hot. */
export function SearStation({ plan, forecast, kitchen, heating, edit }: StationProps) {
  const sear = forecast.heat?.sear;
  const set = (key: string, change: Partial<Sear>) =>
    edit(`sear.${key}`, (p) => ({ ...p, sear: { ...(p.sear ?? FRESH), ...change } }));
  if (!plan.sear)
    return (
      <Button variant="outlined" onClick={() => set('on', {})}>
        Plan the searing
      </Button>
    );
  const pans = kitchen.fryingPans.length > 0 ? kitchen.fryingPans : [DEFAULT_PAN];
  return (
    <Stack spacing={2} sx={{ opacity: heating ? 0.6 : 1 }}>
      <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Choice
          label="Frying pan"
          value={forecast.light.resolved.fryingPan.id}
          width={230}
          options={pans.map((p) => ({ value: p.id, words: p.name }))}
          onChange={(id) => edit('fryingPan', (p) => ({ ...p, fryingPan: id }))}
        />
        <NumberField
          label="Pans"
          value={plan.sear.pans}
          min={1}
          max={4}
          whole
          decimals={0}
          width={80}
          onChange={(n) => set('pans', { pans: n })}
        />
        <Choice
          label="Dial"
          value={plan.sear.dial}
          width={170}
          options={(['low', 'medium-low', 'medium', 'medium-high'] as const).map((d) => ({
            value: d,
            words: d,
            hint: `${PAN_C[d]} °C at the surface`,
          }))}
          onChange={(dial) => set('dial', { dial })}
        />
        <Choice
          label="Colour"
          value={plan.sear.colour}
          width={120}
          options={[
            { value: 'pale', words: 'pale' },
            { value: 'golden', words: 'golden' },
            { value: 'deep', words: 'deep' },
          ]}
          onChange={(colour) => set('colour', { colour })}
        />
        <Choice
          label="Dip"
          value={plan.sear.dip}
          width={100}
          options={[
            { value: 'dry', words: 'dry' },
            { value: 'egg', words: 'in egg' },
          ]}
          onChange={(dip) => set('dip', { dip })}
        />
        <Choice
          label="Lid"
          value={plan.sear.lid ? 'on' : 'off'}
          width={90}
          options={[
            { value: 'off', words: 'off' },
            { value: 'on', words: 'on' },
          ]}
          onChange={(v) => set('lid', { lid: v === 'on' })}
        />
        <NumberField
          label="Thick"
          value={(forecast.light.piece?.thicknessM ?? 0) * 1000}
          min={4}
          max={80}
          unit="mm"
          width={110}
          onChange={(mm) => set('thick', { thicknessM: mm / 1000 })}
        />
        <NumberField
          label="From"
          value={plan.sear.startC}
          min={-2}
          max={80}
          unit="°C"
          width={110}
          onChange={(startC) => set('startC', { startC })}
        />
        <Button onClick={() => edit('sear.off', (p) => ({ ...p, sear: undefined }))}>Do not sear</Button>
      </Stack>
      {sear ? (
        <>
          <Stack direction="row" spacing={3} useFlexGap sx={{ flexWrap: 'wrap' }}>
            <Fact name="First side">{sayDuration(sear.minutesASide[0])}</Fact>
            <Fact name="Second side">{sayDuration(sear.minutesASide[1])}</Fact>
            <Fact name="Loads" note={`${sear.perLoad} a load, ${sear.pieces} pieces`}>
              {sear.loads}
            </Fact>
            <Fact name="Oil each load">
              <Told>{sayGrams(sear.oilPerLoadG)}</Told>
            </Fact>
            <Fact name="At the pan, in all">{sayDuration(sear.totalS)}</Fact>
            <Fact name="Middle reaches">{Math.round(sear.coreC)} °C</Fact>
          </Stack>
          {sear.fixes.length > 0 ? (
            <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap' }}>
              {sear.fixes.map((f) => (
                <Button
                  key={f.words}
                  variant="outlined"
                  onClick={() =>
                    set(`fix.${f.words}`, {
                      ...(f.dial ? { dial: f.dial } : {}),
                      ...(f.lid ? { lid: true } : {}),
                      ...(f.startC === undefined ? {} : { startC: f.startC }),
                      ...(f.thicknessM === undefined ? {} : { thicknessM: f.thicknessM }),
                    })
                  }
                >
                  {f.words}: {Math.round(f.coreC)} °C
                </Button>
              ))}
            </Stack>
          ) : null}
          <SearCurve sear={sear} />
          <Say tone={sear.hotThrough && sear.result.reached ? 'ready' : 'watch'}>{sear.words}</Say>
        </>
      ) : (
        <Typography color="text.secondary">Nothing to sear yet: plan the cutting first.</Typography>
      )}
      {forecast.light.piece ? (
        <Typography variant="body2" color="text.secondary">
          Slices <Told>{sayMm(forecast.light.piece.thicknessM)}</Told> thick lie on their widest face.
        </Typography>
      ) : null}
      <Say tone="watch">Dry the pieces well: water spits in hot oil.</Say>
    </Stack>
  );
}
