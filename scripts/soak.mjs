import { bin, installChromium, installPackages, run } from './ready.mjs';

/** What takes longer than `npm test` may: browser tests over every family, on a production build of its own. */
await installPackages();
installChromium();
const env = { IDLE_LADLE_DIST: '.next-test', SOAK: '1' };
run(bin('next'), ['build'], { env });
run(bin('playwright'), ['test'], { env });
