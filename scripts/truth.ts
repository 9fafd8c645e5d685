import { writeFileSync } from 'node:fs';
import { ratioTable, truthPage, truthTable } from '@/core/testing/truth';

/** Writes docs/truth.md, the practice bands beside what is forecast, and prints it. */
const page = truthPage(truthTable(), ratioTable());
writeFileSync('docs/truth.md', page);
process.stdout.write(page);
