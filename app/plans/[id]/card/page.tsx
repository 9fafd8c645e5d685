import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { forecast } from '@/core/forecast';
import { lifeOf } from '@/core/work/timeline';
import { keepChilled } from '@/core/model/rest';
import { cardMoments } from '@/core/steps';
import { kitchenNow } from '@/server/kitchenNow';
import { pageId } from '@/server/pageParams';
import { store } from '@/server/store';
import { PrintPage } from '@/ui/print/PrintPage';
import { layersAt } from '@/ui/stage/layersAt';
import { overWater } from '@/core/stations/steam/cooking';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Card and label' };

export default async function Card({ params }: { params: Promise<{ id: string }> }) {
  const { plans } = await store();
  const id = await pageId(params);
  const found = await plans.get(id);
  if (!found.ok) notFound();
  const made = forecast(found.value.plan, await kitchenNow());
  if (!made.ok) notFound();
  const { light, heat, steps } = made.value;
  const { laid: _, ...life } = lifeOf(made.value);
  return (
    <PrintPage
      id={id}
      card={{
        name: found.value.plan.name,
        family: light.family.name,
        guests: found.value.plan.guests,
        keep: keepChilled(light.family.keepDays, light.balance.allergens),
        allergens: [...light.balance.allergens],
        notStated: [...light.balance.allergensNotStated],
        diets: [...light.balance.diets],
        byWeight: light.balance.byWeight.map((i) => i.name),
        addIns: light.balance.addInsByWeight.map((i) => i.name),
        massG: light.balance.massG,
        pieces: light.cut ? light.cut.count * found.value.plan.vesselCount : null,
        gramsAPiece: light.cut?.gramsAPiece ?? null,
        times: overWater(heat)?.times ?? null,
        vessel: light.resolved.vessel.name,
        depthM: light.fill.depthM,
        heat: found.value.plan.heat,
        beside: light.balance.beside.map((x) => ({ name: x.name, byWeight: x.byWeight.map((i) => i.name) })),
        section: {
          vessel: light.resolved.vessel,
          pieceShare: light.balance.pieceVolumeShare,
          layers: layersAt({ light, heat }, false) ?? null,
        },
        life,
        weighOut: made.value.weighOut,
        steps: steps.map((x) => ({
          verb: x.verb,
          sentence: x.sentence,
          lookFor: x.lookFor,
          timeline: cardMoments(x),
          handsOnS: x.handsOnS,
          waitS: x.waitS,
        })),
        cautions: [...made.value.cautions],
      }}
    />
  );
}
