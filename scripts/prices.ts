import { readFileSync } from 'node:fs';
import { readCatalogue } from '@/data/catalogue';
import { openDatabase } from '@/data/database';
import { readShop, writePriceList } from '@/data/setUp';
import { readPriceList } from '@/server/setUp';

/** `npm run prices -- FILE`: adds a dated price list; orders keep the list they were booked under. */
const [file] = process.argv.slice(2);
if (!file) {
  process.stderr.write('Say which: npm run prices -- FILE\n');
  process.exitCode = 2;
} else {
  const db = openDatabase();
  try {
    const { unit } = await readShop(db);
    const list = readPriceList(JSON.parse(readFileSync(file, 'utf8')), { unit, catalogue: readCatalogue() });
    if (!list.ok) throw new Error(`${file}: ${list.field ?? ''} ${list.message}`);
    await writePriceList(db, list.value);
    process.stdout.write(`${list.value.name} is in force from ${list.value.effectiveFrom}.\n`);
  } catch (error) {
    process.stderr.write(`${(error as Error).message}\n`);
    process.exitCode = 1;
  } finally {
    await db.destroy();
  }
}
