import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { bad, problem, type Problem, type Result } from '@/core/units';
import { readKitchen, readPlan } from '@/core/plan';
import { forecast } from '@/core/forecast';
import { forecastJson, readJson } from '@/core/formats';
import { whyOf } from '@/core/explain';

const USE = 'forecast plan.json [--kitchen kitchen.json] [--pretty] [--no-fields] [--why heat.steam.times.planForS …]';

/** Command line: prints the whole forecast of a plan file as JSON (exit 0), or why figures of it are what they are, or every problem (exit 2). */
function readFile(path: string): Result<unknown> {
  try {
    return readJson(readFileSync(path, 'utf8'));
  } catch {
    return bad(problem('no-such-file', '', `The file "${path}" cannot be read; check its name.`));
  }
}

function main(): { code: number; out: unknown } {
  const problems = (list: readonly Problem[]) => ({ code: 2, out: { problems: list } });
  let args;
  try {
    args = parseArgs({
      allowPositionals: true,
      options: {
        kitchen: { type: 'string' },
        pretty: { type: 'boolean' },
        'no-fields': { type: 'boolean' },
        why: { type: 'string', multiple: true },
      },
    });
  } catch (e) {
    return problems([problem('usage', '', `${e instanceof Error ? e.message : 'Unknown option'}. Use: ${USE}.`)]);
  }
  if (args.positionals.length !== 1) return problems([problem('usage', '', `Name one plan file: ${USE}.`)]);
  const planDoc = readFile(args.positionals[0]);
  if (!planDoc.ok) return problems(planDoc.problems);
  const kitchenDoc =
    args.values.kitchen === undefined ? { ok: true as const, value: {} } : readFile(args.values.kitchen);
  if (!kitchenDoc.ok) return problems(kitchenDoc.problems);
  const plan = readPlan(planDoc.value);
  const kitchen = readKitchen(kitchenDoc.value);
  if (!plan.ok || !kitchen.ok)
    return problems([...(plan.ok ? [] : plan.problems), ...(kitchen.ok ? [] : kitchen.problems)]);
  const result = forecast(plan.value, kitchen.value);
  if (!result.ok) return problems(result.problems);
  if (result.value.light.problems.length > 0) return problems(result.value.light.problems);
  const asked = args.values.why;
  if (asked) {
    const doc = forecastJson(result.value, false);
    const answers = asked.map((path) => whyOf(doc, path));
    const refused = answers.flatMap((a) => (a.ok ? [] : a.problems));
    if (refused.length > 0) return problems(refused);
    const said = answers.flatMap((a) => (a.ok ? [a.value] : []));
    return { code: 0, out: said.length === 1 ? said[0] : said };
  }
  return { code: 0, out: forecastJson(result.value, !args.values['no-fields']) };
}

const pretty = process.argv.includes('--pretty');
const { code, out } = main();
process.stdout.write(`${JSON.stringify(out, null, pretty ? 2 : undefined)}\n`, () => process.exit(code));
