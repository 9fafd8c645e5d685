import { bin, installChromium, installPackages, run } from './ready.mjs';

/**
 * What `npm test` leaves out for its time: a thousand random plans through the heat, every way out of five hundred, learning in two hundred synthetic
 * kitchens, five hundred cooks a family against the range that the bench gives them, a thousand cooks with a probe (a part of each is in the tests), kill -9 while twelve writers write, during first starts, and in copying, opening a copy and upgrades, twenty thousand
 * odd requests, all browser tests, and those over every family, on a production build of their own. Arguments go to the killing and the requests:
 * `--seed 7`, say.
 */
await installPackages();
installChromium();
const asked = process.argv.slice(2);
const env = { IDLE_LADLE_DIST: '.next-test', SOAK: '1' };
run(
  bin('jest'),
  [
    'core/forecast/fuzz',
    'db/copy',
    'core/desk/advice/ways',
    'core/work/notebook/kitchens',
    'core/work/stove/probe',
    'core/testing/truth',
    'core/testing/cooks',
  ],
  {
    env: { SOAK: '1' },
  },
);
run('node', ['scripts/build.mjs'], { env });
run(bin('tsx'), ['scripts/soak/kill.ts', ...asked], { env });
run(bin('tsx'), ['scripts/soak/fuzz.ts', ...asked], { env });
run(bin('tsx'), ['scripts/soak/copies.ts', ...asked], { env });
run(bin('playwright'), ['test'], { env });
