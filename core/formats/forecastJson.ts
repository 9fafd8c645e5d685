import { there } from '../units';
import { streamMass } from '../flow';
import { heatJobs, type Forecast } from '../forecast';

const round = (x: number): number | null => (Number.isFinite(x) ? Number(x.toPrecision(7)) : null);

/** True for a typed array, whichever context made it. */
const isFloats = (x: unknown): x is Float32Array => ArrayBuffer.isView(x) && !(x instanceof DataView);

/**
 * A forecast as plain JSON data: typed arrays become arrays, numbers keep seven figures, a missing number is null,
 * and the resolved references are named instead of the whole larder.
 * @param fields keep the temperature and set-degree fields
 */
export function forecastJson(f: Forecast, fields = true): unknown {
  const { resolved, family, flow, env: _env, evaluated: _first, ...light } = f.light;
  const plain = (v: unknown): unknown => {
    if (typeof v === 'number') return round(v);
    if (isFloats(v)) return Array.from(v, (x) => (Number.isFinite(x) ? Math.round(x * 1000) / 1000 : null));
    if (Array.isArray(v)) return v.map(plain);
    if (v && typeof v === 'object') {
      return Object.fromEntries(
        Object.entries(v)
          .filter(
            ([k, x]) =>
              x !== undefined &&
              (fields || k !== 'taken') &&
              (fields || !(isFloats(x) || (Array.isArray(x) && isFloats(x[0])))),
          )
          .map(([k, x]) => [k, plain(x)]),
      );
    }
    return v;
  };
  const jobs = heatJobs(f.light);
  return plain({
    format: 'idle-ladle/forecast',
    version: 1,
    plan: { name: resolved.plan.name, family: family.id },
    vessel: resolved.vessel,
    steamer: resolved.steamer,
    hob: resolved.hob,
    ring: resolved.ring,
    fryingPan: resolved.fryingPan,
    ...light,
    flow: {
      account: f.evaluated.account,
      nodes: f.evaluated.nodes.map((n) => ({
        id: n.node.id,
        takes: n.node.takes.map((t) => ({
          line: there(flow.lines[t.line]).id,
          massG: there(flow.lines[t.line]).massG * t.share,
        })),
        gives: n.node.outs.map((i, k) => ({
          name: there(flow.streams[i]).name,
          massG: streamMass(there(n.outs[k])),
          tempC: there(n.outs[k]).tempC,
        })),
        figures: n.figures,
      })),
    },
    inputs: { steam: jobs.steam.input, rest: jobs.rest.input, sear: jobs.sear.input },
    heat: f.heat,
    steps: f.steps,
    totals: f.totals,
    weighOut: f.weighOut,
    cautions: f.cautions,
  });
}
