import type { Catalogue } from '@/core/catalogue/catalogue';
import { readCatalogue } from '@/data/catalogue';
import { sharedDatabase, type Database } from '@/data/database';
import { devices, type Devices } from './devices';
import { Events } from './events';
import { ShareFiles } from './shareFiles';

/** Where the house works: its data, the clock, the devices, what can be cut, and who wants to know. */
export type Surroundings = {
  readonly db: Database;
  readonly now: Date;
  readonly devices: Devices;
  readonly catalogue: Catalogue;
  readonly events: Events;
  readonly files: ShareFiles;
};

const holder = globalThis as {
  fractumCatalogue?: Catalogue;
  fractumEvents?: Events;
  fractumFiles?: ShareFiles;
};

/** The shop's own: one database, one catalogue and one list of listeners in a process, and the real clock. */
export function usualSurroundings(): Surroundings {
  holder.fractumCatalogue ??= readCatalogue();
  holder.fractumEvents ??= new Events();
  holder.fractumFiles ??= new ShareFiles(holder.fractumCatalogue);
  return {
    db: sharedDatabase(),
    now: new Date(),
    devices: devices(),
    catalogue: holder.fractumCatalogue,
    events: holder.fractumEvents,
    files: holder.fractumFiles,
  };
}
