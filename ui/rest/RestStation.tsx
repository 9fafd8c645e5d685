'use client';
import { Button, IconButton, Stack, Typography } from '@mui/material';
import { produce } from 'immer';
import { waitCosts } from '@/core/waitCost';
import { sayDuration } from '@/core/units';
import { SURROUNDINGS, type CoolingStage } from '@/core/plan';
import { eatenOf } from '@/core/forecast';
import { roomCheck, STAGE_WORDS } from '@/core/rest';
import { Choice, CrossMark, Fact, NumberField, PlusMark, Say, Told } from '../kit';
import { changeAt } from '../plan/changeAt';
import type { StationProps } from '../plan/StationProps';
import { KeepingPanel } from './KeepingPanel';
import { RemediesPanel } from './RemediesPanel';
import { CoolingChart } from './CoolingChart';

/** Rest: how it cools, when it leaves the pan, when it cuts clean, and whether that is safe. */
export function RestStation(props: StationProps) {
  const { plan, forecast, heating, edit } = props;
  const rest = forecast.heat?.rest;
  /** A part of one stage, as one step of undo. */
  const change = (what: string, i: number, part: Partial<CoolingStage>) =>
    edit(`cooling.${i}.${what}`, (plan) => produce(plan, (p) => changeAt(p.cooling, i, part)));
  return (
    <Stack spacing={1.5} sx={{ opacity: heating ? 0.6 : 1 }}>
      {plan.cooling.map((stage, i) => (
        <Stack key={i} direction="row" spacing={1} sx={{ alignItems: 'flex-start' }}>
          <Choice
            label={`Stage ${i + 1}`}
            value={stage.where}
            width={180}
            options={SURROUNDINGS.map((w) => ({ value: w, words: STAGE_WORDS[w] }))}
            onChange={(where) => change('where', i, { where })}
          />
          <NumberField
            label="Minutes"
            value={stage.timeS / 60}
            min={0}
            max={4320}
            unit="min"
            width={130}
            decimals={0}
            onChange={(m) => change('time', i, { timeS: m * 60 })}
          />
          <NumberField
            label="Portions"
            value={stage.pieces}
            min={2}
            max={100}
            width={110}
            decimals={0}
            helper={stage.pieces === undefined ? 'left whole' : 'laid apart'}
            onChange={(pieces) => change('pieces', i, { pieces })}
            onClear={() => change('pieces', i, { pieces: undefined })}
          />
          <IconButton
            aria-label={`Take out stage ${i + 1}`}
            onClick={() => edit(`cooling.${i}.remove`, (p) => ({ ...p, cooling: p.cooling.filter((_, j) => j !== i) }))}
          >
            <CrossMark size="small" />
          </IconButton>
        </Stack>
      ))}
      <Button
        startIcon={<PlusMark />}
        sx={{ alignSelf: 'flex-start' }}
        onClick={() =>
          edit('cooling.add', (p) => ({
            ...p,
            cooling: [...p.cooling, { where: 'fridge', timeS: 3600 }].slice(0, 8) as typeof p.cooling,
          }))
        }
      >
        Add a stage
      </Button>
      {rest ? (
        <>
          <Say tone={rest.check.safe ? 'ready' : 'stop'}>{rest.check.sentence}</Say>
          {rest.check.safe ? null : <RemediesPanel {...props} />}
          <Stack direction="row" spacing={3} useFlexGap sx={{ flexWrap: 'wrap' }}>
            <Fact name="Leaves the pan after">
              {rest.unmouldAtS === undefined ? 'not yet' : sayDuration(rest.unmouldAtS)}
            </Fact>
            <Fact name="Cuts clean after" note={`middle under ${forecast.light.family.cutC} °C`}>
              {rest.cutReadyAtS === undefined ? 'not yet' : sayDuration(rest.cutReadyAtS)}
            </Fact>
          </Stack>
          {waitCosts(forecast.light, forecast.heat)
            .filter((w) => w.gives === 'hold')
            .map((w) => (
              <Typography key={w.node} variant="body2" color="text.secondary">
                <Told>{w.sentence}</Told>
              </Typography>
            ))}
          <CoolingChart rest={rest} />
          <KeepingPanel {...props} />
        </>
      ) : (
        <Say tone={plan.cooling.length === 0 ? 'watch' : 'plain'}>
          {plan.cooling.length === 0
            ? `No cooling planned. ${roomCheck([], eatenOf(forecast.light)).sentence}`
            : 'Nothing to cool yet.'}
        </Say>
      )}
    </Stack>
  );
}
