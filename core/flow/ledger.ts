import type { LedgerRow } from './balance.types';
import type { Evaluation } from './evaluate';
import type { FlowLine } from './flow';
import type { EvaluatedNode } from './law';
import { PART_COUNT, partsOfStream, WATER, WIDTH, type Stream } from './stream';

const waterIn = (s: Stream): number => partsOfStream(s).water;

/** Ledger rows of one line: the water it gives, by what was done to it. */
export function rowsOf(l: FlowLine, index: number, e: Evaluation, made: Stream): LedgerRow[] {
  const rows: LedgerRow[] = [];
  const juice = (n: EvaluatedNode | undefined, out: Stream | undefined, kept: boolean) => {
    if (!n || !out) return;
    rows.push({
      label: `${l.name}, juice ${kept ? 'kept' : 'drawn'}`,
      route: kept ? 'juice' : 'drawn away',
      waterG: kept ? waterIn(out) : -waterIn(out),
      source: n.figures.juiceG?.source ?? n.figures.yieldG?.source ?? 'default',
      path: l.path,
      reading: { node: n.node.id, slot: n.figures.juiceG ? 'juiceG' : 'yieldG' },
    });
  };
  const wilt = e.byId.get(`wilt:${l.id}`) ?? e.byId.get(`sugar:${l.id}`);
  const squeeze = e.byId.get(`squeeze:${l.id}`);
  const strain = e.byId.get(`blend-strain:${l.id}`);
  juice(wilt, wilt?.outs[1], true);
  if (squeeze) juice(squeeze, squeeze.outs[1] ?? squeeze.lost[0]?.stream, squeeze.outs.length > 1);
  juice(strain, strain?.outs[0], true);
  const soak = e.byId.get(`soak:${l.id}`) ?? e.byId.get(`slake:${l.id}`);
  if (soak?.figures.uptakeG)
    rows.push({
      label: `${l.name}, soaked up`,
      route: 'soaking',
      waterG: soak.figures.uptakeG.value,
      source: soak.figures.uptakeG.source,
      path: l.path,
      reading: { node: soak.node.id, slot: 'uptakeG' },
    });
  const at = index * WIDTH;
  const free = made.g[at + WATER];
  const out = l.cooksOut * made.g[at + PART_COUNT + WATER];
  if (l.mash || (l.juicy && free > 0 && !wilt && !squeeze && !strain)) {
    if (free > 0) rows.push({ label: l.name, route: 'wet add-in', waterG: free, source: 'measured', path: l.path });
  } else if (!l.dry && !l.juicy && free > 0)
    rows.push({
      label: l.name,
      route:
        l.ingredient === 'egg'
          ? 'egg'
          : l.ingredient.startsWith('coconut')
            ? 'coconut'
            : l.kind === 'sugar'
              ? 'syrup'
              : l.kind === 'liquid'
                ? 'water'
                : 'wet add-in',
      waterG: free,
      source: 'measured',
      path: l.path,
    });
  if (out > 0.005)
    rows.push({ label: `${l.name}, cooks out`, route: 'wet add-in', waterG: out, source: 'default', path: l.path });
  return rows;
}
