import { type Forecast, coverIn } from '@/core/forecast';
import { LID_AND_GUARD } from '@/core/families';
import { HEATS, type Kitchen } from '@/core/kitchen';
import { chooseSchool, type Plan } from '@/core/plan';
import { guardOf } from '@/core/model/steam';
import { there } from '@/core/units';
import { onRing, ringId, ringsFor, steamersFor, vesselsFor } from '../plan/gear';
import { PickOver } from './PickOver';
import type { SittingFrame } from './sittingFrame';

/** Each part of the drawing as a thing to be pressed, over where it is drawn. */
export function SittingPicks({
  frame: f,
  plan,
  forecast: { light },
  kitchen,
  edit,
}: {
  frame: SittingFrame;
  plan: Plan;
  forecast: Forecast;
  kitchen: Kitchen;
  edit: (key: string, change: (p: Plan) => Plan) => void;
}) {
  const { steamer, vessel, ring, hob } = light.resolved;
  const { cx, lid, pot } = f;
  const cover = coverIn(light);
  const percent = (x: number, y: number, w: number, h: number) =>
    [(100 * x) / f.width, (100 * y) / f.height, (100 * w) / f.width, (100 * h) / f.height] as const;
  return (
    <>
      <PickOver
        label="Lid and guard"
        value={guardOf(cover)}
        options={LID_AND_GUARD.map((o) => ({ value: o.id, words: `${o.words} (${o.differs})` }))}
        onChange={(v) => edit('school.dripGuard', (p) => chooseSchool(p, 'dripGuard', v))}
        at={percent(cx - lid.half - 12, 0, 2 * lid.half + 24, lid.y + 6)}
      />
      <PickOver
        label="Pan in the steamer"
        value={vessel.id}
        options={vesselsFor(kitchen, plan).map((v) => ({ value: v.id, words: v.name }))}
        onChange={(id) => edit('vessel', (p) => ({ ...p, vessel: id }))}
        at={percent(cx - lid.half, there(f.tiers[0]).top + 6, 2 * lid.half, pot.top - there(f.tiers[0]).top - 6)}
      />
      <PickOver
        label="Steamer and its water"
        value={steamer.id}
        options={steamersFor(kitchen, plan).map((s) => ({ value: s.id, words: s.name }))}
        onChange={(id) => edit('steamer', (p) => ({ ...p, steamer: id }))}
        at={percent(cx - pot.half, pot.top, 2 * pot.half, pot.base - pot.top)}
      />
      {plan.heatPhases.length > 0 ? null : (
        <PickOver
          label="Dial"
          value={plan.heat}
          options={HEATS.map((h) => ({
            value: h,
            words: ring.marks[h] === undefined ? h : `${h}, at ${ring.marks[h]}`,
          }))}
          onChange={(h) => edit('heat', (p) => ({ ...p, heat: h }))}
          at={percent(cx - 12, f.hobY + 4, 50, 42)}
        />
      )}
      <PickOver
        label="Ring it stands on"
        value={ringId(hob, ring)}
        options={ringsFor(kitchen).map((r) => ({ value: r.id, words: `${r.ring.name}, ${r.hob.name}` }))}
        onChange={(id) => edit('ring', (p) => onRing(p, id))}
        at={percent(cx + 40, f.hobY + 4, f.width - cx - 44, 42)}
      />
    </>
  );
}
