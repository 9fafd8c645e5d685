import { isDryBlend, soakOf } from '../../larder';
import { isSoakedGrain, type LineInForce } from '../../plan';
import type { Input } from '../builder';
import { newReady, saltLeft, type Kit, type Ready } from './kit';
import { makePieces } from './pieces';
import { shortName } from '../../units';

const RINSES = 6;
/**
 * Takes every line of a batter (and, for the first, the add-ins) to where it can go in: pieces and juices made, grain soaked, the rest
 * sorted by how it enters. No line is left behind, whatever its treatment.
 */
export function readyBatter(k: Kit, index: number): Ready {
  const { b, plan } = k;
  const batter = plan.batters[index];
  const r = newReady(batter);
  const lines = index === 0 ? [...batter.lines, ...plan.addIns] : batter.lines;
  const pieces: LineInForce[] = [];
  const oils: LineInForce[] = [];
  const alkali: LineInForce[] = [];
  const grains: LineInForce[] = [];
  const frying = lines.some((l) => l.treatment === 'fried' || l.treatment === 'boiled-down');
  for (const l of lines) {
    const i = k.ingredient(l);
    if (isDryBlend(i)) {
      if (isSoakedGrain(l.treatment)) grains.push(l);
    } else if (i.kind === 'alkali') alkali.push(l);
    else if (i.kind === 'fat' && l.treatment === 'frying' && frying) oils.push(l);
    else if (isPiece(k, l)) pieces.push(l);
  }
  const made = makePieces(k, pieces, index === 0 ? 'add-ins' : batter.id, oils);
  for (const p of made.pieces) {
    if (p.line.keptBack > 0) {
      const [rest, back] = b.node(
        'keep-back',
        p.line.id,
        { share: p.line.keptBack },
        [p.piece],
        [p.name, `${p.name} for the top`],
        { resources: ['hands'] },
      );
      r.pieces.push(rest);
      r.top.push(back);
    } else r.pieces.push(p.piece);
  }
  r.juice.push(...made.juice, ...made.liquid);
  r.pulp.push(...made.pulp);
  soakGrains(k, r, grains, alkali);
  for (const l of lines) sortLine(k, r, l);
  // Salt written for a drawing or a frying that does not happen goes into the batter.
  for (const l of lines) r.season.push(...saltLeft(k, l));
  return r;
}

/** Things that stay in pieces, or are mashed: vegetables, fruit, meat and fish; not an egg that is whisked in. */
function isPiece(k: Kit, l: LineInForce): boolean {
  const i = k.ingredient(l);
  if (i.kind === 'vegetable' || i.kind === 'fruit') return true;
  if (i.kind === 'protein') return !(i.id === 'egg' && l.treatment !== 'fried' && l.treatment !== 'boiled-down');
  return (
    l.treatment === 'infused' &&
    !isDryBlend(i) &&
    i.kind !== 'liquid' &&
    i.kind !== 'salt' &&
    i.kind !== 'sugar' &&
    i.kind !== 'raising' &&
    i.kind !== 'alkali'
  );
}

function soakGrains(k: Kit, r: Ready, grains: readonly LineInForce[], alkali: readonly LineInForce[]): void {
  const { b } = k;
  const limes = alkali.map((l) => b.take(l.id));
  const drops = alkali.map((l) => b.lineIndex(l.id));
  let lime: Input[] = limes;
  for (const l of grains) {
    const name = shortName(k.ingredient(l).name).toLowerCase();
    if (l.treatment === 'soaked-alkali') {
      const [soaked] = b.node(
        'slake',
        l.id,
        { forS: l.drawS, ...soakOf(k.ingredient(l), l.soakC), drops },
        [b.take(l.id), ...lime],
        [`${name} in lime water`],
        { resources: ['bowl'] },
      );
      lime = [];
      r.grain.push(
        b.node('rinse', l.id, { waters: RINSES, drops }, [soaked], [`rinsed ${name}`], {
          resources: ['hands', 'bowl'],
        })[0],
      );
    } else
      r.grain.push(
        b.node(
          'soak',
          l.id,
          { forS: l.drawS, ...soakOf(k.ingredient(l), l.soakC), toWeight: false },
          [b.take(l.id)],
          [`soaked ${name}`],
          { resources: ['bowl'] },
        )[0],
      );
  }
  // Lime that no grain was soaked in is rinsed away all the same: none of it may stay in the cake.
  if (lime.length > 0)
    b.node('rinse', alkali[0].id, { waters: RINSES, drops }, lime, [], { resources: ['hands', 'bowl'] });
}

function sortLine(k: Kit, r: Ready, l: LineInForce): void {
  const { b } = k;
  if (!b.has(l.id)) return;
  const i = k.ingredient(l);
  const warm = { tempC: l.tempC };
  if (isDryBlend(i)) {
    if (l.treatment === 'roux') r.roux.push(b.take(l.id, l.share));
    if (b.has(l.id)) r.dry.push(b.take(l.id, 'rest', warm));
  } else if (i.kind === 'liquid') {
    if (l.treatment === 'boiling') {
      r.boiling.push(b.take(l.id, l.share, warm));
      if (b.has(l.id)) r.cold.push(b.take(l.id));
    } else if (l.treatment === 'syrup') r.syrup.push(b.take(l.id, 'rest', warm));
    else if (l.treatment === 'to-the-mark') r.last.push(b.take(l.id, 'rest', warm));
    else r.cold.push(b.take(l.id, 'rest', warm));
  } else if (i.kind === 'sugar' && (l.treatment === 'syrup' || l.treatment === 'boiling')) {
    r.syrup.push(b.take(l.id, 'rest', warm));
  } else if (i.kind === 'raising') {
    (i.id === 'baking-powder' ? r.powder : r.yeast).push(b.take(l.id));
  } else if (i.kind === 'coconut') r.pulp.push(b.take(l.id, 'rest', warm));
  else if (i.id === 'egg') r.cold.push(b.take(l.id, 'rest', warm));
  else r.season.push(b.take(l.id, 'rest', warm));
}
