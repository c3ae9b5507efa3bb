import { markPrinted, nextWaitingJob, noteFailure, type WaitingJob } from '@/data/wrap';
import { PrinterAway, UnprintableLabel } from '@/devices/printer/labelPrinter';
import { log } from '../house/log';
import type { Surroundings } from '../house/surroundings';

/** A label that failed this often while others were printed is not tried again until somebody looks at it. */
const TRIES_BESIDE_OTHERS = 3;

/**
 * The one worker that prints. However often it is woken, one label is printed at a time and each once; what the
 * printer refuses waits for the next time it is woken, and does not hold up the others.
 */
export class Printing {
  private running: Promise<void> | undefined;
  private wokenAgain = false;
  /** What the printer could not do when it was last tried; whoever stands at a table is told once. */
  private trouble = '';

  /** @param around - asked for anew each time, so that the clock goes on */
  constructor(private readonly around: () => Surroundings) {}

  /** Prints what waits. @returns when nothing more can be printed now */
  wake(): Promise<void> {
    if (this.running) this.wokenAgain = true;
    this.running ??= this.work().finally(() => {
      this.running = undefined;
    });
    return this.running;
  }

  private async work(): Promise<void> {
    do {
      this.wokenAgain = false;
      await this.printAllWaiting();
    } while (this.wokenAgain);
  }

  /** One pass: every waiting label is tried once, those that failed before come last. */
  private async printAllWaiting(): Promise<void> {
    const tried = new Set<string>();
    let printed = 0;
    for (;;) {
      const { db } = this.around();
      const job = await nextWaitingJob(db, [...tried]);
      if (!job) return;
      tried.add(job.id);
      const outcome = await this.print(job, printed > 0);
      if (outcome === 'done') printed += 1;
      if (outcome === 'away' || (outcome === 'failed' && printed === 0)) return;
    }
  }

  private async print(job: WaitingJob, othersPrinted: boolean): Promise<'done' | 'failed' | 'away'> {
    const { db, devices, now } = this.around();
    try {
      const copy = job.copy === 1 ? '' : `-copy${job.copy}`;
      const file = await devices.printer.print(job.label, `${job.weighingId}${copy}`);
      await markPrinted(db, job.id, file);
      this.tell('');
      return 'done';
    } catch (error) {
      const problem = error instanceof Error ? error.message : String(error);
      const isAway = error instanceof PrinterAway;
      const isPoison =
        error instanceof UnprintableLabel ||
        (!isAway && othersPrinted && job.attempts + 1 >= TRIES_BESIDE_OTHERS);
      log().error({ error, job: job.id, setAside: isPoison }, 'label not printed');
      await noteFailure(db, job, { problem, setAsideAt: isPoison ? now.toISOString() : null });
      this.tell(isPoison ? '' : problem);
      if (isPoison) return 'done';
      return isAway ? 'away' : 'failed';
    }
  }

  private tell(trouble: string): void {
    if (trouble === this.trouble) return;
    this.trouble = trouble;
    this.around().events.publish({ asked: 'printing', shares: [] });
  }
}
