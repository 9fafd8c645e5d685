import { bin, installChromium, installPackages, run } from './ready.mjs';

/**
 * What `npm test` leaves out for its time: a thousand random plans through the heat and learning in two hundred synthetic kitchens (a part of
 * each is in the tests), the long browser tests, and those over every family, on a production build of their own.
 */
await installPackages();
installChromium();
const env = { IDLE_LADLE_DIST: '.next-test', SOAK: '1' };
run(bin('jest'), ['core/fuzz', 'core/notebook/kitchens'], { env: { SOAK: '1' } });
run(bin('next'), ['build'], { env });
run(bin('playwright'), ['test'], { env });
