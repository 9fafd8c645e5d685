import { DatabaseTrouble, openDatabase } from '@/db';
import { loadDemo } from '@/db/demo';
import { environment } from '@/server/environment';

/** Brings the database file up to date; with --demo, loads the demo galley when it is empty. */
try {
  const file = environment().IDLE_LADLE_DB;
  const db = await openDatabase(file);
  const loaded = process.argv.includes('--demo') ? await loadDemo(db, Date.now()) : false;
  await db.close();
  console.log(`Database ${file} is up to date${loaded ? ', demo galley loaded' : ''}.`);
} catch (e) {
  console.error(e instanceof DatabaseTrouble ? e.message : e);
  process.exitCode = 1;
}
