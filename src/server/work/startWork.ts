import { purgeAttempts, purgeSessions } from '@/data/people';
import { log } from '../house/log';
import { usualSurroundings } from '../house/surroundings';
import { Printing } from './printing';
import { SmokeRecording } from './smokeRecording';

/** The logger of the smokehouse is asked this often. */
const RECORD_EVERY_MS = 5_000;
/** A printer that was away is tried again this often. */
const PRINT_EVERY_MS = 5_000;
const TIDY_EVERY_MS = 3_600_000;
/** Tries to sign in are kept a day, so that the owner can be told of them. */
const ATTEMPTS_KEPT_MS = 24 * 3_600_000;

const holder = globalThis as { fractumWork?: () => void };

/** Starts what is done after commits: printing, woken by what was done, at start and by a clock; recording the smokehouse; and tidying up. */
export function startWork(): void {
  if (holder.fractumWork) return;
  const printing = new Printing(usualSurroundings);
  const print = () => void printing.wake().catch((error) => log().error({ error }, 'printing failed'));
  const recording = new SmokeRecording(usualSurroundings);
  const record = () =>
    void recording.wake().catch((error) => log().error({ error }, 'the smokehouse was not recorded'));
  const end = usualSurroundings().events.subscribe(print);
  const clocks = [
    setInterval(print, PRINT_EVERY_MS),
    setInterval(record, RECORD_EVERY_MS),
    setInterval(() => void tidy(), TIDY_EVERY_MS),
  ];
  for (const clock of clocks) clock.unref();
  holder.fractumWork = () => {
    end();
    clocks.forEach(clearInterval);
  };
  print();
  void tidy();
}

async function tidy(): Promise<void> {
  const { db, now } = usualSurroundings();
  try {
    await purgeSessions(db, now.toISOString());
    await purgeAttempts(db, new Date(now.getTime() - ATTEMPTS_KEPT_MS).toISOString());
  } catch (error) {
    log().error({ error }, 'tidying up failed');
  }
}
