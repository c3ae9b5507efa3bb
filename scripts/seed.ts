import { chmodSync, copyFileSync, existsSync } from 'node:fs';
import { readCatalogue } from '@/data/catalogue';
import { nameDemoPlaces } from '@/server/demo/places';
import { SetUps } from '@/data/setUp';
import { databaseFile, dataFolder, openDatabase } from '@/data/database';
import { lockFolder } from '@/data/folderLock';
import { signReading } from '@/devices/scale/signature';
import { seedLiveWeek } from '@/server/demo/liveWeek';
import { devices } from '@/server/house/devices';
import { Events } from '@/server/house/events';
import { ShareFiles } from '@/server/house/shareFiles';
import { prepareShop } from '@/server/setUp';

/** Fills an empty data folder with the demo shop: its finished year, and a live week up to this minute. */
async function main(season: string): Promise<void> {
  const lock = lockFolder(dataFolder());
  if (!lock) throw new Error(`Another Fractum works on ${dataFolder()}. Stop it first.`);
  try {
    if (existsSync(databaseFile())) {
      process.stdout.write('The demo shop is set up already; its data is kept.\n');
      return;
    }
    copyFileSync(season, databaseFile());
    chmodSync(databaseFile(), 0o600);
    await fillLiveWeek();
    process.stdout.write('The demo shop is filled.\n');
  } finally {
    lock.release();
  }
}

async function fillLiveWeek(): Promise<void> {
  const db = openDatabase();
  const setUps = new SetUps(readCatalogue());
  const place = { db, setUps, events: new Events(), files: new ShareFiles(setUps) };
  const key = process.env.FRACTUM_SCALE_KEY ?? '';
  try {
    await prepareShop(db, setUps);
    await nameDemoPlaces(db, new Date());
    const around = { ...place, now: new Date(), devices: devices() };
    await seedLiveWeek(around, (reading, at) => signReading(reading, at, key));
  } finally {
    await db.destroy();
  }
}

const [season] = process.argv.slice(2);
if (!season) throw new Error('Say which season: seed.ts FILE');
await main(season);
