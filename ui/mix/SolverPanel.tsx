'use client';
import { useState } from 'react';
import type { Ingredient } from '@/core/larder';
import { TEXTURE_AXES, type Blend } from '@/core/model/batter';
import { shortName, there } from '@/core/units';
import { Beside, Column, Panel, Press, Row, Say, Slide, Small, Soft, Tick, Title } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { AXIS_WORDS } from '../kit/TextureBars';
import { applyBlend } from './applyBlend';
import look from './mix.module.css';
import { floursOf, useSolver, type Answer, type Target } from './useSolver';

const sayBlend = (b: Blend, names: readonly string[]) =>
  b.shares
    .flatMap((x, i) => (x > 0.005 ? [[x, `${shortName(there(names[i]))} ${Math.round(x * 100)} %`] as const] : []))
    .sort((a, c) => c[0] - a[0])
    .map(([, w]) => w)
    .join(', ');

/** Target texture, what is in the cupboard, and the blend that comes nearest, with two that differ. */
export function SolverPanel({ plan, forecast, edit }: StationProps) {
  const { light } = forecast;
  const balance = there(light.balance.batters[0]);
  const flours = floursOf(light);
  const stocked = flours.some((i) => i.stockG !== undefined);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(
    () =>
      new Set(
        flours
          .filter((i) => (stocked ? (i.stockG ?? 0) > 0 : true) || (balance.shares[i.id] ?? 0) > 0)
          .map((i) => i.id),
      ),
  );
  const [target, setTarget] = useState<Target>({});
  const [keepBands, setKeepBands] = useState(false);
  const { answer, trouble, find, same } = useSolver(light);
  const chosen = (without?: Ingredient) =>
    flours
      .filter((i) => ticked.has(i.id) && i.id !== without?.id)
      .map((i) => (stocked ? i : { ...i, stockG: undefined }));
  return (
    <Column>
      <Title>What should it be like?</Title>
      <Wanted target={target} now={light.texture} onTarget={setTarget} />
      <Cupboard flours={flours} ticked={ticked} onTicked={setTicked} />
      <Tick label="Stay within this family's shares" checked={keepBands} onChange={setKeepBands} />
      <Row>
        <Press main onClick={() => void find(chosen(), target, keepBands)}>
          Find the blend
        </Press>
        {flours
          .filter((i) => (balance.shares[i.id] ?? 0) > 0)
          .map((i) => (
            <Press key={i.id} onClick={() => void same(chosen(i))}>
              Without {shortName(i.name).toLowerCase()}
            </Press>
          ))}
      </Row>
      {trouble ? (
        <Say tone="watch" role="status">
          {trouble}
        </Say>
      ) : null}
      {answer ? (
        <Found
          answer={answer}
          onUse={(b, i) =>
            edit(`solve.${i}.${answer.tookMs}`, (p) =>
              applyBlend(p, balance, answer.ids, b, forecast.light.resolved.larder),
            )
          }
        />
      ) : null}
      <Small>
        Texture is the house model&apos;s estimate; your tastings correct it.{' '}
        {plan.batters.length > 1 ? 'This works on the first batter.' : ''}
      </Small>
    </Column>
  );
}

/** Which axes of the texture are asked for, and how much of each. */
function Wanted({
  target,
  now,
  onTarget,
}: {
  target: Target;
  now: StationProps['forecast']['light']['texture'];
  onTarget: (change: (t: Target) => Target) => void;
}) {
  return (
    <div className={look.two}>
      {TEXTURE_AXES.map((axis) => (
        <div key={axis} className={look.axis}>
          <Tick
            label={`Ask for ${AXIS_WORDS[axis]}`}
            words={AXIS_WORDS[axis]}
            checked={target[axis] !== undefined}
            onChange={(on) => onTarget((t) => ({ ...t, [axis]: on ? Number(now[axis].toFixed(1)) : undefined }))}
          />
          <Slide
            label={`Wanted ${AXIS_WORDS[axis]}`}
            min={0}
            max={10}
            step={0.1}
            disabled={target[axis] === undefined}
            value={target[axis] ?? now[axis]}
            onChange={(v) => onTarget((t) => ({ ...t, [axis]: v }))}
          />
        </div>
      ))}
    </div>
  );
}

/** What a blend may be of. */
function Cupboard({
  flours,
  ticked,
  onTicked,
}: {
  flours: readonly Ingredient[];
  ticked: ReadonlySet<string>;
  onTicked: (ticked: ReadonlySet<string>) => void;
}) {
  return (
    <details className={look.cupboard}>
      <summary>
        In the cupboard: {ticked.size} of {flours.length} starches
      </summary>
      <div className={look.two}>
        {flours.map((i) => (
          <Tick
            key={i.id}
            label={`${i.name}${i.stockG === undefined ? '' : `, ${i.stockG} g`}`}
            checked={ticked.has(i.id)}
            onChange={(on) => onTicked(new Set(on ? [...ticked, i.id] : [...ticked].filter((id) => id !== i.id)))}
          />
        ))}
      </div>
    </details>
  );
}

function Found({ answer, onUse }: { answer: Answer; onUse: (b: Blend, i: number) => void }) {
  return (
    <div role="status" aria-label="Blends found">
      <Column>
        {answer.blends.map((b, i) => (
          <Panel key={i}>
            <Beside
              presses={
                <Press quiet onClick={() => onUse(b, i)}>
                  Use it
                </Press>
              }
            >
              <b>{sayBlend(b, answer.names)}</b>
              <Soft>
                Hydration {b.hydration.toFixed(2)}. {i === 0 ? 'Off by' : 'Gives'}: {b.givesUp}.
              </Soft>
            </Beside>
          </Panel>
        ))}
      </Column>
    </div>
  );
}
