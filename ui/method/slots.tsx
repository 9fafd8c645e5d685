'use client';
import { LID_AND_GUARD, schoolOf } from '@/core/families';
import { coverIn } from '@/core/forecast';
import { DEFAULT_VESSEL, HEATS } from '@/core/kitchen';
import { dryFromSoaked, soakedFromDry, USUAL_SOAK } from '@/core/larder';
import {
  chooseSchool,
  juiceSchoolOf,
  placeOfPath,
  SURROUNDINGS,
  treatmentsFor,
  TREATMENT_WORDS,
  withWait,
  type Line,
} from '@/core/plan';
import { STAGE_WORDS } from '@/core/rest';
import type { SlotKind } from '@/core/steps';
import { guardOf } from '@/core/steam';
import { inUnits, sayMm } from '@/core/units';
import { WALLS } from '@/core/vessel';
import { Choice, NumberField, useUnits } from '../kit';
import { AmountCell } from '../mix/AmountCell';
import { changeBatter, treatLine, weighLine } from '../mix/editLines';
import type { StationProps } from '../plan/StationProps';
import { WhyFigure } from './WhyFigure';
import look from './method.module.css';

export interface SlotProps extends StationProps {
  readonly id: string;
  readonly text: string;
  /** The line whose panel is open under this sentence. */
  readonly open: string | undefined;
  readonly onOpen: (line: string | undefined) => void;
}
type Draw = (props: SlotProps) => React.ReactNode;

/** A line of the plan by its id in the flow. */
export function lineOf({ plan, forecast }: Pick<StationProps, 'plan' | 'forecast'>, id: string) {
  const at = placeOfPath(forecast.light.flow.lines.find((l) => l.id === id)?.path ?? '');
  if (!at) return undefined;
  const { place, index } = at;
  const lines =
    typeof place === 'number'
      ? plan.batters[place]?.lines
      : place === 'addIns'
        ? plan.addIns
        : plan.fillings[Number(place.split(':')[1])]?.lines;
  const line: Line | undefined = lines?.[index];
  return line && { line, place, index, ingredient: forecast.light.resolved.larder.get(line.ingredient) };
}

function Said({ text }: { text: string }) {
  const units = useUnits();
  return <>{inUnits(text, units)}</>;
}

function Grams(props: SlotProps) {
  const found = lineOf(props, props.id);
  if (!found) return <Said text={props.text} />;
  const { line, place, index, ingredient } = found;
  return (
    <AmountCell
      as="said"
      ingredient={ingredient}
      name={ingredient?.name ?? line.ingredient}
      massG={line.massG}
      onChange={(massG) => props.edit(`${place}.${line.id}.massG`, (p) => weighLine(p, place, index, massG))}
    />
  );
}

function LineName(props: SlotProps) {
  const found = lineOf(props, props.id);
  if (!found) return <Said text={props.text} />;
  const isOpen = props.open === props.id;
  return (
    <button
      type="button"
      className={look.name}
      aria-expanded={isOpen}
      onClick={() => props.onOpen(isOpen ? undefined : props.id)}
    >
      {props.text}
    </button>
  );
}

/** How it goes in, where there is more than one way: said behind its name. */
function Way(props: SlotProps) {
  const found = lineOf(props, props.id);
  if (!found?.ingredient) return null;
  const { line, place, index, ingredient } = found;
  const ways = treatmentsFor(ingredient, line.treatment);
  if (ways.length < 2 || (place !== 'addIns' && line.treatment === 'as-is')) return null;
  const juice = props.forecast.light.family.schools.juice;
  return (
    <>
      {' ('}
      <Choice
        as="said"
        label={`How ${ingredient.name} goes in`}
        value={line.treatment}
        options={ways.map((t) => ({
          value: t,
          words: TREATMENT_WORDS[t],
          hint: juice?.options.find((o) => o.id === juiceSchoolOf(t))?.differs,
        }))}
        onChange={(treatment) =>
          props.edit(`${place}.${line.id}.treatment`, (p) => treatLine(p, place, index, treatment))
        }
      />
      )
    </>
  );
}

/** A line with its grams. What is no line of the cake (a sauce, a colour) says its grams and is changed where it is balanced. */
function LineSlot(props: SlotProps) {
  const own = props.forecast.light.flow.lines.find((l) => l.id === props.id);
  if (!lineOf(props, props.id))
    return <Said text={own && own.massG > 0 ? `${Math.round(own.massG * 10) / 10} g ${props.text}` : props.text} />;
  return (
    <>
      <Grams {...props} /> <LineName {...props} />
      <Way {...props} />
    </>
  );
}

function DrySlot(props: SlotProps) {
  const found = lineOf(props, props.id);
  if (!found?.ingredient) return <Said text={props.text} />;
  const { line, place, index, ingredient } = found;
  const soak = {
    timeS: line.soakS ?? USUAL_SOAK.timeS,
    waterC: line.soakC ?? USUAL_SOAK.waterC,
  };
  return (
    <>
      <NumberField
        as="said"
        label={`Dry ${ingredient.name}`}
        value={dryFromSoaked(ingredient, line.massG, soak)}
        min={0}
        max={5000}
        unit="g"
        onChange={(dry) =>
          props.edit(`${place}.${line.id}.dry`, (p) =>
            weighLine(p, place, index, Math.round(soakedFromDry(ingredient, dry, soak) * 100) / 100),
          )
        }
      />
    </>
  );
}

function WaitSlot({ id, forecast, plan, edit }: SlotProps) {
  const node = forecast.evaluated.byId.get(id);
  const { larder } = forecast.light.resolved;
  const timeS = node ? (node.timedS ?? node.waitS) : 0;
  return (
    <NumberField
      as="said"
      label={`Minutes: ${id.replace(':', ' ').replaceAll('-', ' ')}`}
      value={timeS / 60}
      min={0}
      max={4320}
      decimals={timeS < 300 ? 1 : 0}
      unit="min"
      source={plan.waits[id] === undefined ? 'computed' : 'entered'}
      onChange={(min) => edit(`wait.${id}`, (p) => withWait(p, id, min * 60, larder))}
      onClear={() => edit(`wait.${id}`, (p) => withWait(p, id, undefined, larder))}
    />
  );
}

function LiquidSlot({ id, plan, edit, text }: SlotProps) {
  const i = plan.batters.findIndex((b) => b.id === id);
  const batter = plan.batters[i];
  if (!batter) return <Said text={text} />;
  return (
    <NumberField
      as="said"
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
  name: (p) => (
    <>
      <LineName {...p} />
      <Way {...p} />
    </>
  ),
  part: ({ id, text }) => <Said text={`${id.slice(id.lastIndexOf('@') + 1)} g of the ${text}`} />,
  dry: (p) => <DrySlot {...p} />,
  wait: (p) => <WaitSlot {...p} />,
  liquid: (p) => <LiquidSlot {...p} />,
  layers: ({ plan, forecast, edit }) => (
    <NumberField
      as="said"
      label="Layers"
      value={plan.layers ?? forecast.heat?.layers?.pours.length ?? 5}
      min={1}
      max={30}
      whole
      decimals={0}
      unit="layers"
      onChange={(layers) => edit('layers', (p) => ({ ...p, layers }))}
    />
  ),
  heat: ({ plan, text, edit }) => (
    <Choice
      as="said"
      label="Heat"
      value={plan.heat}
      shown={text}
      options={HEATS.map((h) => ({ value: h, words: h }))}
      onChange={(heat) => edit('heat', (p) => ({ ...p, heat }))}
    />
  ),
  guard: ({ forecast, text, edit }) => (
    <Choice
      as="said"
      label="How it is closed"
      value={guardOf(coverIn(forecast.light))}
      shown={text}
      options={LID_AND_GUARD.map((o) => ({ value: o.id, words: o.words, hint: o.differs }))}
      onChange={(v) => edit('school.dripGuard', (p) => chooseSchool(p, 'dripGuard', v))}
    />
  ),
  vessel: ({ plan, forecast, kitchen, text, edit }) => (
    <Choice
      as="said"
      label="Into"
      value={forecast.light.resolved.vessel.id}
      shown={text}
      options={[
        ...(kitchen.vessels.length > 0 ? kitchen.vessels : [DEFAULT_VESSEL]),
        ...(typeof plan.vessel === 'object' ? [plan.vessel] : []),
      ].map((v) => ({ value: v.id, words: v.name, hint: `${WALLS[v.material].words}, ${sayMm(v.heightM)} high` }))}
      onChange={(id) => edit('vessel', (p) => ({ ...p, vessel: id }))}
    />
  ),
  lining: ({ plan, forecast, text, edit }) => {
    const school = forecast.light.family.schools.lining;
    return school ? (
      <Choice
        as="said"
        label="Lining of the pan"
        value={schoolOf(forecast.light.family, plan.schools, 'lining') ?? ''}
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
      <Choice
        as="said"
        label={`Stage ${i + 1}`}
        value={plan.cooling[i]?.where ?? 'counter'}
        options={SURROUNDINGS.map((w) => ({ value: w, words: STAGE_WORDS[w] }))}
        onChange={(where) =>
          edit(`cooling.${i}.where`, (p) => ({
            ...p,
            cooling: p.cooling.map((s, j) => (j === i ? { ...s, where } : s)),
          }))
        }
      />
    );
  },
  'stage-time': ({ id, plan, edit }) => {
    const i = Number(id);
    return (
      <NumberField
        as="said"
        label={`Minutes of stage ${i + 1}`}
        value={(plan.cooling[i]?.timeS ?? 0) / 60}
        min={0}
        max={4320}
        decimals={0}
        unit="min"
        onChange={(m) =>
          edit(`cooling.${i}.time`, (p) => ({
            ...p,
            cooling: p.cooling.map((s, j) => (j === i ? { ...s, timeS: m * 60 } : s)),
          }))
        }
      />
    );
  },
  guests: ({ plan, edit }) => (
    <NumberField
      as="said"
      label="Guests"
      value={plan.guests}
      min={1}
      max={500}
      whole
      decimals={0}
      onChange={(guests) => edit('guests', (p) => ({ ...p, guests }))}
    />
  ),
  figure: ({ id, text, forecast }) => (
    <WhyFigure forecast={forecast} path={id}>
      <Said text={text} />
    </WhyFigure>
  ),
};
