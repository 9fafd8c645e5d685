'use client';
import { Button, IconButton, Stack } from '@mui/material';
import { produce, type Draft } from 'immer';
import { HEATS } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { Choice, CrossMark, NumberField, PlusMark } from '../kit';
import { changeAt } from '../plan/changeAt';
import type { StationProps } from '../plan/StationProps';

const WORDS = [...HEATS, 'off'] as const;
const MOST = 6;
/** A new phase lasts this long until the cook says otherwise, s. */
const USUAL_S = 600;

/** The heat, and its changes while it steams: full boil, then lower; off and stand. */
export function HeatPhases({ plan, edit }: Pick<StationProps, 'plan' | 'edit'>) {
  const phases = plan.heatPhases;
  const change = (key: string, to: (list: Draft<Plan>['heatPhases']) => void) =>
    edit(key, (plan) => produce(plan, (p) => to(p.heatPhases)));
  if (phases.length === 0)
    return (
      <>
        <Choice
          label="Heat"
          value={plan.heat}
          width={130}
          options={HEATS.map((h) => ({ value: h, words: h }))}
          onChange={(h) => edit('heat', (p) => ({ ...p, heat: h }))}
        />
        <Button
          startIcon={<PlusMark />}
          onClick={() =>
            change('phases.add', (l) => void l.push({ heat: plan.heat, timeS: USUAL_S }, { heat: 'gentle' }))
          }
        >
          Change the heat on the way
        </Button>
      </>
    );
  return (
    <Stack spacing={1} sx={{ width: '100%' }}>
      {phases.map((phase, i) => {
        const last = i === phases.length - 1;
        return (
          <Stack key={i} direction="row" spacing={1} sx={{ alignItems: 'flex-start' }}>
            <Choice
              label={i === 0 ? 'Heat' : `Then, ${i + 1}`}
              value={phase.heat}
              width={130}
              options={WORDS.map((h) => ({ value: h, words: h }))}
              onChange={(heat) => change(`phases.${i}.heat`, (l) => changeAt(l, i, { heat }))}
            />
            {last ? null : (
              <NumberField
                label="For"
                value={(phase.timeS ?? USUAL_S) / 60}
                min={0}
                max={720}
                unit="min"
                width={120}
                decimals={0}
                onChange={(m) => change(`phases.${i}.time`, (l) => changeAt(l, i, { timeS: m * 60 }))}
              />
            )}
            <IconButton
              aria-label={`Take out heat ${i + 1}`}
              onClick={() => change(`phases.${i}.remove`, (l) => void (l.length <= 2 ? l.splice(0) : l.splice(i, 1)))}
            >
              <CrossMark size="small" />
            </IconButton>
          </Stack>
        );
      })}
      {phases.length < MOST ? (
        <Button
          startIcon={<PlusMark />}
          sx={{ alignSelf: 'flex-start' }}
          onClick={() =>
            change('phases.more', (l) => {
              changeAt(l, l.length - 1, { timeS: USUAL_S });
              l.push({ heat: 'off' });
            })
          }
        >
          And then
        </Button>
      ) : null}
    </Stack>
  );
}
