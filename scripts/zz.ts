import { FAULTY } from '../core/mind/testing/faulty';
import { lookerIn } from '../core/mind/lookAt';
import { waysOut } from '../core/mind/waysOut';
import { applyFix } from '../core/bands';
const want = process.argv.slice(2);
for (const f of FAULTY.filter(f=>want.includes(f.first))) {
  const look = lookerIn(f.kitchen); const b = look(f.plan);
  console.log('==', f.first, b.concerns.map(a=>a.grade+' '+a.id+': '+a.sentence).join('\n   '));
  const adv = b.concerns[0];
  for (const row of [...adv.fixes.map(x=>[x]), ...waysOut(b, adv, f.kitchen)]) for (const x of row) {
    const after = look(applyFix(f.plan, x));
    console.log('  -', x.words, '→', after.light? '':'NOT OK', after.concerns.map(a=>a.grade+' '+a.id+(after.light?'':a.sentence)).join(', '));
  }
}
