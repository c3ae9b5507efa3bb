import { dataFolder, migrate, openDatabase } from '@/data/database';
import { readCatalogue } from '@/data/catalogue';
import { lockFolder } from '@/data/folderLock';
import { hasShop } from '@/data/setUp';
import { signReading } from '@/devices/scale/signature';
import { seedLiveWeek } from '@/server/demo/liveWeek';
import { seedSeason } from '@/server/demo/season';
import { setUpDemoShop } from '@/server/demo/setUpDemo';
import { devices } from '@/server/house/devices';
import { Events } from '@/server/house/events';
import { ShareFiles } from '@/server/house/shareFiles';

/** The demo's year before the live week: always the same. */
const SEASON = { shares: 300, seed: 0.41207 } as const;

/** Fills an empty data folder with the demo shop; a folder that holds a shop already is left alone. */
async function main(): Promise<void> {
  const lock = lockFolder(dataFolder());
  if (!lock) throw new Error(`Another Fractum works on ${dataFolder()}. Stop it first.`);
  const db = openDatabase();
  try {
    await migrate(db);
    if (await hasShop(db)) {
      process.stdout.write('The demo shop is set up already; its data is kept.\n');
      return;
    }
    const unit = process.env.FRACTUM_UNIT === 'kg' ? 'kg' : 'lb';
    const catalogue = readCatalogue();
    const around = {
      db,
      now: new Date(),
      devices: devices(),
      catalogue,
      events: new Events(),
      files: new ShareFiles(catalogue),
    };
    await setUpDemoShop(db, unit);
    await seedSeason(around, SEASON);
    const key = process.env.FRACTUM_SCALE_KEY ?? '';
    await seedLiveWeek(around, (reading, at) => signReading(reading, at, key));
    process.stdout.write('The demo shop is filled.\n');
  } finally {
    await db.destroy();
    lock.release();
  }
}

await main();
