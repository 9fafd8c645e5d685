import { bin, installChromium, installPackages, run } from './ready.mjs';

/**
 * What `npm test` leaves out for its time: a thousand random plans through the heat (a tenth of them is in the tests), the long browser tests, and
 * those over every family, on a production build of their own.
 */
await installPackages();
installChromium();
const env = { IDLE_LADLE_DIST: '.next-test', SOAK: '1' };
run(bin('jest'), ['core/fuzz'], { env: { SOAK: '1' } });
run(bin('next'), ['build'], { env });
run(bin('playwright'), ['test'], { env });
