import { readCatalogue } from '@/data/catalogue';
import { sharedDatabase, type Database } from '@/data/database';
import { SetUps } from '@/data/setUp';
import { devices, type Devices } from './devices';
import { Events } from './events';
import { ShareFiles } from './shareFiles';

/** Where the house works: its data, the clock, the devices, how it is set up, and who wants to know. */
export type Surroundings = {
  readonly db: Database;
  readonly now: Date;
  readonly devices: Devices;
  /** How the shop is set up, now and before. */
  readonly setUps: SetUps;
  readonly events: Events;
  readonly files: ShareFiles;
};

const holder = globalThis as {
  fractumSetUps?: SetUps;
  fractumEvents?: Events;
  fractumFiles?: ShareFiles;
};

/** The shop's own: one database, one set-up and one list of listeners in a process, and the real clock. */
export function usualSurroundings(): Surroundings {
  holder.fractumSetUps ??= new SetUps(readCatalogue());
  holder.fractumEvents ??= new Events();
  holder.fractumFiles ??= new ShareFiles(holder.fractumSetUps);
  return {
    db: sharedDatabase(),
    now: new Date(),
    devices: devices(),
    setUps: holder.fractumSetUps,
    events: holder.fractumEvents,
    files: holder.fractumFiles,
  };
}
