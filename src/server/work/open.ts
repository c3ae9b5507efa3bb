import { dataFolder } from '@/data/database';
import { lockFolder, type FolderLock } from '@/data/folderLock';
import { log } from '../house/log';
import { usualSurroundings } from '../house/surroundings';
import { prepareShop } from '../setUp';
import { startWork } from './startWork';

const holder = globalThis as { fractumLock?: FolderLock };

/**
 * Opens the shop in this process: takes the data folder for itself, brings the data to this version, starts the work
 * that goes on beside. Ends the process when another one has the folder: two would write over each other.
 */
export async function open(): Promise<void> {
  holder.fractumLock ??= lockFolder(dataFolder());
  if (!holder.fractumLock) {
    log().fatal({ folder: dataFolder() }, 'another process works on this folder');
    process.stderr.write(`Another Fractum works on ${dataFolder()}. Stop it first, or set FRACTUM_DATA.\n`);
    process.exit(IN_USE);
  }
  const { db, setUps } = usualSurroundings();
  await prepareShop(db, setUps);
  startWork();
}

/** The exit code that says: do not start me again, somebody else has the folder. */
const IN_USE = 75;
