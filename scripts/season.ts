import { renameSync, rmSync } from 'node:fs';
import { readCatalogue } from '@/data/catalogue';
import { SetUps } from '@/data/setUp';
import { migrate, openDatabase } from '@/data/database';
import { seedSeason } from '@/server/demo/season';
import { setUpDemoShop } from '@/server/demo/setUpDemo';
import { devices } from '@/server/house/devices';
import { Events } from '@/server/house/events';
import { ShareFiles } from '@/server/house/shareFiles';

/** The demo's year before the live week: always the same. */
const SEASON = { shares: 300, seed: 0.41207 } as const;

/** Makes the demo shop with its finished year, once for each build: every start begins with a copy of it. */
const [file] = process.argv.slice(2);
if (!file) throw new Error('Say where to: season.ts FILE');
const unfinished = `${file}.part`;
for (const rest of ['', '-wal', '-shm']) rmSync(`${unfinished}${rest}`, { force: true });
const db = openDatabase(unfinished);
const setUps = new SetUps(readCatalogue());
const place = { db, setUps, events: new Events(), files: new ShareFiles(setUps) };
await migrate(db);
await setUpDemoShop(db, process.env.FRACTUM_UNIT === 'kg' ? 'kg' : 'lb');
const shares = await seedSeason({ ...place, now: new Date(), devices: devices() }, SEASON);
await db.destroy();
renameSync(unfinished, file);
process.stdout.write(`A season of ${shares} finished orders is made.\n`);
