import { openDatabase, migrate } from '@/data/database';
import { devices } from '@/server/devices';
import { seedDemoOrders, setUpDemoShop } from '@/server/demo/seed';

/** Fills an empty data folder with the demo shop; a folder that holds a shop already is left alone. */
async function main(): Promise<void> {
  const db = openDatabase();
  try {
    await migrate(db);
    if (await db('shop').first()) {
      process.stdout.write('The demo shop is set up already; its data is kept.\n');
      return;
    }
    await setUpDemoShop(db, process.env.FRACTUM_UNIT === 'kg' ? 'kg' : 'lb');
    await seedDemoOrders(db, devices(), new Date());
    process.stdout.write('The demo shop is filled.\n');
  } finally {
    await db.destroy();
  }
}

await main();
