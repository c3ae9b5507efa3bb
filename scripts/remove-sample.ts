import { dataFolder, openDatabase } from '@/data/database';
import { lockFolder } from '@/data/folderLock';
import { removeSample } from '@/data/setUp';

/** `npm run remove-sample`: takes the sample orders out again; the shop's own stay as they are. The app must be stopped. */
const lock = lockFolder(dataFolder());
if (!lock) {
  process.stderr.write(`The app works on ${dataFolder()}. Stop it first; nothing was changed.\n`);
  process.exitCode = 1;
} else {
  const db = openDatabase();
  const animals = await removeSample(db);
  process.stdout.write(`${animals} sample animals are taken out.\n`);
  await db.destroy();
  lock.release();
}
