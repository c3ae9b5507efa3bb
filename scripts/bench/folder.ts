import { readCatalogue } from '@/data/catalogue';
import { SetUps } from '@/data/setUp';
import { migrate, openDatabase } from '@/data/database';
import { signReading } from '@/devices/scale/signature';
import { seedLiveWeek } from '@/server/demo/liveWeek';
import { seedSeason } from '@/server/demo/season';
import { setUpDemoShop } from '@/server/demo/setUpDemo';
import { devices } from '@/server/house/devices';
import { Events } from '@/server/house/events';
import { ShareFiles } from '@/server/house/shareFiles';
import type { Surroundings } from '@/server/house/surroundings';

/** The demo's season, as many times over as is said, and its live week. */
export const SEASON_SHARES = 300;

export function surroundingsOf(folder: string): Surroundings {
  const setUps = new SetUps(readCatalogue());
  const db = openDatabase(`${folder}/fractum.db`);
  const place = { db, setUps, events: new Events(), files: new ShareFiles(setUps) };
  return { ...place, now: new Date(), devices: devices() };
}

/** Fills a folder. @returns how many orders and weighings it holds, and how long it took in seconds */
export async function fill(folder: string, times: number, key: string) {
  const start = performance.now();
  const around = surroundingsOf(folder);
  const { db } = around;
  await migrate(db);
  await setUpDemoShop(db, 'lb');
  // Nobody's data yet: the disk need not be waited for.
  await db.raw('PRAGMA synchronous = OFF');
  await seedSeason(around, { shares: SEASON_SHARES * times, seed: 0.41207 });
  await seedLiveWeek(around, (reading, at) => signReading(reading, at, key));
  const count = async (table: string) => Number((await db(table).count({ all: '*' }))[0]!.all);
  const filled = { orders: await count('shares'), weighings: await count('weighings') };
  await db.destroy();
  return { ...filled, seconds: Math.round((performance.now() - start) / 1000) };
}
