import { FAMILIES } from '../core/families';
import { forecast } from '../core/forecast';
import { emptyKitchen } from '../core/kitchen';
const m = (s?: number) => (s === undefined ? '–' : (s / 60).toFixed(1));
for (const f of FAMILIES) {
  const t0 = performance.now();
  const r = forecast(f.formula(), emptyKitchen());
  const ms = performance.now() - t0;
  if (!r.ok) {
    console.log(f.id, r.problems);
    continue;
  }
  const h = r.value.heat;
  const t = h?.steam?.times;
  const w = h?.steam?.water;
  console.log(
    f.id.padEnd(22),
    'd',
    (r.value.light.fill.depthM * 1000).toFixed(1),
    'pour',
    r.value.light.pour.startC.value.toFixed(0),
    'fcp',
    m(t?.firstCleanPickS.value),
    'sp',
    m(h?.steam?.spread?.low) + '–' + m(h?.steam?.spread?.high),
    'plan',
    m(t?.planForS),
    'stand',
    m(t?.standS),
    'tot',
    m(t?.totalS),
    'late',
    m(t?.noLaterThanS),
    '| boil',
    m(w?.boilUpS),
    'top',
    w?.topUps,
    m(w?.firstTopUpS),
    'dry',
    m(w?.dryS),
    '| loads',
    h?.loads?.loads,
    m(h?.loads?.finishS),
    'hands',
    m(h?.loads?.handsS),
    'save',
    m(h?.loads?.oneMoreSetSavesS),
    'keep',
    h?.loads?.setsToKeepBusy,
    '| film',
    m(h?.film?.filmS),
    'pot',
    m(h?.pot?.throughS),
    m(h?.pot?.scorchS),
    '| cut',
    m(h?.rest?.cutReadyAtS),
    h?.rest?.check.rule,
    h?.rest?.check.safe,
    '|',
    h?.problems.map((p) => p.code).join(),
    ms.toFixed(0) + 'ms',
  );
  if (h?.layers) console.log('   layers', h.layers.pours.map((p) => m(p.waitS)).join(' '));
}
