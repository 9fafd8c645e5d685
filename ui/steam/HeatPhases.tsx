'use client';
import { produce, type Draft } from 'immer';
import { HEATS } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { CrossMark, IconPress, PlusMark, Press, SaidChoice, SaidLine, SaidNumber } from '../kit';
import { changeAt } from '../plan/changeAt';
import type { StationProps } from '../plan/StationProps';

const WORDS = [...HEATS, 'off'] as const;
const MOST = 6;
/** A new phase lasts this long until the cook says otherwise, s. */
const USUAL_S = 600;

/** The changes of heat while it steams: full boil, then lower; off and stand. One heat alone is said where it is lit. */
export function HeatPhases({ plan, edit }: Pick<StationProps, 'plan' | 'edit'>) {
  const phases = plan.heatPhases;
  const change = (key: string, to: (list: Draft<Plan>['heatPhases']) => void) =>
    edit(key, (plan) => produce(plan, (p) => to(p.heatPhases)));
  if (phases.length === 0)
    return (
      <Press
        quiet
        onClick={() =>
          change('phases.add', (l) => void l.push({ heat: plan.heat, timeS: USUAL_S }, { heat: 'gentle' }))
        }
      >
        <PlusMark size="small" /> Change the heat on the way
      </Press>
    );
  return (
    <SaidLine>
      {phases.map((phase, i) => (
        <span key={i} style={{ whiteSpace: 'nowrap' }}>
          {i === 0 ? 'Heat: ' : ' then '}
          <SaidChoice
            label={i === 0 ? 'Heat' : `Then, ${i + 1}`}
            value={phase.heat}
            options={WORDS.map((h) => ({ value: h, words: h }))}
            onChange={(heat) => change(`phases.${i}.heat`, (l) => changeAt(l, i, { heat }))}
          />
          {i === phases.length - 1 ? null : (
            <>
              {' for '}
              <SaidNumber
                label="For"
                value={(phase.timeS ?? USUAL_S) / 60}
                min={0}
                max={720}
                unit="min"
                decimals={0}
                onChange={(m) => change(`phases.${i}.time`, (l) => changeAt(l, i, { timeS: m * 60 }))}
              />
            </>
          )}
          <IconPress
            label={`Take out heat ${i + 1}`}
            onClick={() => change(`phases.${i}.remove`, (l) => void (l.length <= 2 ? l.splice(0) : l.splice(i, 1)))}
          >
            <CrossMark size="small" />
          </IconPress>
        </span>
      ))}
      {phases.length < MOST ? (
        <Press
          quiet
          onClick={() =>
            change('phases.more', (l) => {
              changeAt(l, l.length - 1, { timeS: USUAL_S });
              l.push({ heat: 'off' });
            })
          }
        >
          <PlusMark size="small" /> And then
        </Press>
      ) : null}
    </SaidLine>
  );
}
