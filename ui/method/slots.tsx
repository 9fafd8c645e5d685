'use client';
import { LID_AND_GUARD } from '@/core/families';
import { coverIn } from '@/core/forecast';
import { HEATS } from '@/core/kitchen';
import { chooseSchool } from '@/core/plan';
import { withWait } from '@/core/flow';
import { SURROUNDINGS } from '@/core/units';
import { STAGE_WORDS } from '@/core/model/rest';
import type { SlotKind } from '@/core/steps';
import { guardOf } from '@/core/model/steam';
import { sayMm } from '@/core/units';
import { WALLS } from '@/core/model/vessel';
import { SaidChoice, SaidNumber, TimeField } from '../kit';
import { changeBatter } from '../lines/editLines';
import { vesselsFor } from '../plan/gear';
import { changeStage } from '../plan/changeStage';
import { DrySlot, Grams, LineSlot, NameSlot, Said, type SlotProps } from './lineSlots';
import { WhyFigure } from './WhyFigure';

type Draw = (props: SlotProps) => React.ReactNode;

function WaitSlot({ id, forecast, plan, edit }: SlotProps) {
  const node = forecast.evaluated.byId.get(id);
  const { larder } = forecast.light.resolved;
  const timeS = node ? (node.timedS ?? node.waitS) : 0;
  return (
    <TimeField
      as="said"
      label={`Time: ${id.replace(':', ' ').replaceAll('-', ' ')}`}
      timeS={timeS}
      decimals={timeS < 300 ? 1 : 0}
      source={plan.waits[id] === undefined ? 'computed' : 'entered'}
      onTake={(wantedS) => edit(`wait.${id}`, (p) => withWait(p, id, wantedS, larder))}
      onClear={() => edit(`wait.${id}`, (p) => withWait(p, id, undefined, larder))}
    />
  );
}

function LiquidSlot({ id, plan, edit, text }: SlotProps) {
  const i = plan.batters.findIndex((b) => b.id === id);
  const batter = plan.batters[i];
  if (!batter) return <Said text={text} />;
  return (
    <SaidNumber
      label="Liquid wanted"
      value={batter.wantedLiquidG}
      min={0}
      max={50_000}
      unit="g"
      instead={text.replace(/ g$/, '')}
      onChange={(wantedLiquidG) => edit(`batter.${i}.liquid`, (p) => changeBatter(p, i, { wantedLiquidG }))}
      onClear={() => edit(`batter.${i}.liquid`, (p) => changeBatter(p, i, { wantedLiquidG: undefined }))}
    />
  );
}

/** How each kind of slot is edited where it is said. */
export const SLOTS: Readonly<Record<SlotKind, Draw>> = {
  the: () => null,
  line: (p) => <LineSlot {...p} />,
  grams: (p) => <Grams {...p} />,
  name: (p) => <NameSlot {...p} />,
  part: ({ id, text }) => <Said text={`${id.slice(id.lastIndexOf('@') + 1)} of the ${text}`} />,
  dry: (p) => <DrySlot {...p} />,
  wait: (p) => <WaitSlot {...p} />,
  liquid: (p) => <LiquidSlot {...p} />,
  layers: ({ forecast, edit }) => (
    <SaidNumber
      label="Layers"
      value={forecast.light.resolved.plan.layers}
      min={1}
      max={30}
      whole
      unit="layers"
      onChange={(layers) => edit('layers', (p) => ({ ...p, layers }))}
    />
  ),
  heat: ({ plan, text, edit }) => (
    <SaidChoice
      label="Heat"
      value={plan.heat}
      shown={text}
      options={HEATS.map((h) => ({ value: h, words: h }))}
      onChange={(heat) => edit('heat', (p) => ({ ...p, heat }))}
    />
  ),
  guard: ({ forecast, text, edit }) => (
    <SaidChoice
      label="How it is closed"
      value={guardOf(coverIn(forecast.light))}
      shown={text}
      options={LID_AND_GUARD.map((o) => ({ value: o.id, words: o.words, hint: o.differs }))}
      onChange={(v) => edit('school.dripGuard', (p) => chooseSchool(p, 'dripGuard', v))}
    />
  ),
  vessel: ({ plan, forecast, kitchen, text, edit }) => (
    <SaidChoice
      label="Into"
      value={forecast.light.resolved.vessel.id}
      shown={text}
      options={vesselsFor(kitchen, plan).map((v) => ({
        value: v.id,
        words: v.name,
        hint: `${WALLS[v.material].words}, ${sayMm(v.heightM)} high`,
      }))}
      onChange={(id) => edit('vessel', (p) => ({ ...p, vessel: id }))}
    />
  ),
  lining: ({ forecast, text, edit }) => {
    const school = forecast.light.family.schools.lining;
    return school ? (
      <SaidChoice
        label="Lining of the pan"
        value={forecast.light.resolved.plan.schools.lining ?? ''}
        shown={text}
        options={school.options.map((o) => ({ value: o.id, words: o.words, hint: o.differs }))}
        onChange={(v) => edit('school.lining', (p) => chooseSchool(p, 'lining', v))}
      />
    ) : (
      <Said text={text} />
    );
  },
  'stage-where': ({ id, plan, edit }) => {
    const i = Number(id);
    return (
      <SaidChoice
        label={`Stage ${i + 1}`}
        value={plan.cooling[i]?.where ?? 'counter'}
        options={SURROUNDINGS.map((w) => ({ value: w, words: STAGE_WORDS[w] }))}
        onChange={(where) => edit(`cooling.${i}.where`, (p) => changeStage(p, i, { where }))}
      />
    );
  },
  'stage-time': ({ id, plan, edit }) => {
    const i = Number(id);
    return (
      <TimeField
        as="said"
        label={`Time of stage ${i + 1}`}
        timeS={plan.cooling[i]?.timeS ?? 0}
        onTake={(timeS) => edit(`cooling.${i}.time`, (p) => changeStage(p, i, { timeS }))}
      />
    );
  },
  guests: ({ plan, edit }) => (
    <SaidNumber
      label="Guests"
      value={plan.guests}
      min={1}
      max={500}
      whole
      onChange={(guests) => edit('guests', (p) => ({ ...p, guests }))}
    />
  ),
  figure: ({ id, text, forecast }) => (
    <WhyFigure forecast={forecast} path={id}>
      <Said text={text} />
    </WhyFigure>
  ),
};
