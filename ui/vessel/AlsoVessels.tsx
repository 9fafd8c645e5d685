'use client';
import { sayMm, there } from '@/core/units';
import { depthForVolume, volumeAtDepth } from '@/core/model/vessel';
import { Choice, Column, CrossMark, IconPress, NumberField, PlusMark, Press, Row, Soft } from '../kit';
import type { StationProps } from '../plan/StationProps';

/** The same batter in further vessels at the same time: a round dish and small moulds at once. */
export function AlsoVessels({ plan, forecast, kitchen, edit }: StationProps) {
  const { light } = forecast;
  const gramsAMl = light.balance.massG / Math.max(light.balance.volumeMl, 1e-9);
  const others = kitchen.vessels.filter((v) => v.id !== light.resolved.vessel.id);
  if (others.length === 0) return null;
  const change = (id: string, to: Partial<(typeof plan.alsoVessels)[number]>, key: string) =>
    edit(`also.${id}.${key}`, (p) => ({
      ...p,
      alsoVessels: p.alsoVessels.map((a) => (a.id === id ? { ...a, ...to } : a)),
    }));
  return (
    <Column label="Further vessels">
      {plan.alsoVessels.map((a) => {
        const v = typeof a.vessel === 'string' ? kitchen.vessels.find((x) => x.id === a.vessel) : a.vessel;
        return (
          <Row key={a.id}>
            <Choice
              label="Also into"
              value={v?.id ?? ''}
              width={220}
              options={others.map((x) => ({ value: x.id, words: x.name, hint: `${x.count} on the rack` }))}
              onChange={(vessel) => change(a.id, { vessel }, 'vessel')}
            />
            <NumberField
              label="How many"
              value={a.count}
              min={1}
              max={200}
              whole
              width={100}
              onChange={(count) => change(a.id, { count }, 'count')}
            />
            <NumberField
              label="In each"
              value={a.massEachG}
              min={1}
              max={50000}
              unit="g"
              width={120}
              helper={v ? `${sayMm(depthForVolume(v, a.massEachG / gramsAMl))} deep` : undefined}
              onChange={(massEachG) => change(a.id, { massEachG }, 'mass')}
            />
            <IconPress
              label={`Take out ${v?.name ?? 'the further vessel'}`}
              onClick={() =>
                edit(`also.${a.id}.remove`, (p) => ({ ...p, alsoVessels: p.alsoVessels.filter((x) => x.id !== a.id) }))
              }
            >
              <CrossMark size="small" />
            </IconPress>
          </Row>
        );
      })}
      {plan.alsoVessels.length < 6 ? (
        <Press
          quiet
          onClick={() =>
            edit(`also.new.${plan.alsoVessels.length}`, (p) => {
              const v = there(others[0]);
              const massEachG =
                Math.round(volumeAtDepth(v, Math.min(light.fill.depthM, 0.9 * v.heightM)) * gramsAMl * 10) / 10;
              const used = new Set(p.alsoVessels.map((x) => x.id));
              let n = 1;
              while (used.has(`also-${n}`)) n++;
              return {
                ...p,
                alsoVessels: [
                  ...p.alsoVessels,
                  { id: `also-${n}`, vessel: v.id, count: 1, massEachG: Math.max(1, massEachG) },
                ],
              };
            })
          }
        >
          <PlusMark />
          Another vessel for the same batter
        </Press>
      ) : null}
      {plan.alsoVessels.length > 0 ? (
        <Soft>What is left goes into {light.resolved.vessel.name.toLowerCase()}.</Soft>
      ) : null}
    </Column>
  );
}
