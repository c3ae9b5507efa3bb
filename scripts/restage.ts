import { readCatalogue } from '@/data/catalogue';
import { SetUps } from '@/data/setUp';
import { openDatabase } from '@/data/database';
import { restageAll } from '@/server/rail';

/** `npm run restage`: works out anew where every share stands. The app may go on meanwhile. */
const db = openDatabase();
const shares = await restageAll(db, new SetUps(readCatalogue()));
process.stdout.write(`${shares} shares worked out anew.\n`);
await db.destroy();
