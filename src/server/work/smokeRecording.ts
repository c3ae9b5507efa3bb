import { litLoads } from '@/data/smoke';
import type { Surroundings } from '../house/surroundings';
import { recordReadings } from '../smoke';

/** The one recorder of the smokehouse: what the logger has read of the loads that are lit is written down, and told. */
export class SmokeRecording {
  private running: Promise<void> | undefined;

  /** @param around - asked for anew each time */
  constructor(private readonly around: () => Surroundings) {}

  /** Asks the logger once. @returns when everything it said is written down */
  wake(): Promise<void> {
    this.running ??= this.record().finally(() => {
      this.running = undefined;
    });
    return this.running;
  }

  private async record(): Promise<void> {
    const { db, devices, events } = this.around();
    let news = 0;
    for (const { load, events: done } of await litLoads(db)) {
      const lit = done.find((event) => event.kind === 'lit');
      if (lit?.kind === 'lit')
        news += await recordReadings({ db, devices }, { id: load.id, channel: lit.channel });
    }
    if (news > 0) events.publish({ asked: 'smokeReadings', shares: [] });
  }
}
