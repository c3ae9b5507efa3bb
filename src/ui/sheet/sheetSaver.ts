import isDeepEqual from 'fast-deep-equal';
import type { Result } from '@/core/quantity/result';
import type { Sheet } from '@/core/sheet/types';
import { isUnanswered } from '../kit/act';
import { Signal } from '../kit/signal';

/** Milliseconds of quiet before a change is sent; the browser keeps it meanwhile. */
const QUIET_BEFORE_SAVING = 400;
/** Milliseconds between tries while the house does not answer. */
const TRY_AGAIN = 3000;

/** Held: what was approved is changed, and goes to the house once somebody has said why. */
export type Saving = {
  readonly state: 'saved' | 'saving' | 'waiting' | 'held' | 'refused';
  readonly message: string;
};
const SAVED: Saving = { state: 'saved', message: '' };
const HELD: Saving = { state: 'held', message: '' };

export type Kept = { readonly baseVersion: number; readonly sheet: Sheet };

type Around = {
  readonly send: (asked: Kept) => Promise<Result<{ readonly version: number }, string>>;
  /** Keeps what is not saved yet in the browser, or nothing any more. */
  readonly keep: (kept: Kept | undefined) => void;
  readonly later: (work: () => void, ms: number) => () => void;
  /** Whether whoever answers may change what was approved, with a reason. */
  readonly reopens: boolean;
  /**
   * Somebody else has changed the sheet meanwhile: fetches theirs and puts both together.
   *
   * @param base - the sheet that was last saved from here
   * @param mine - what is answered here, at the moment of asking
   * @returns undefined when theirs cannot be had now
   */
  readonly meet: (base: Sheet, mine: () => Sheet) => Promise<Met | undefined>;
};

/** Their sheet with its version, and both together. */
export type Met = { readonly version: number; readonly theirs: Sheet; readonly together: Sheet };

/** Others may go on changing it: after so many meetings in a row somebody is told. */
const MOST_MEETINGS = 5;

/**
 * Saves a sheet that is being answered: kept in the browser at once, sent when it is quiet, one request at a time, and
 * again until the house has answered. A change that is refused for good is not kept: nobody else may send it later.
 */
export class SheetSaver {
  readonly saving = new Signal<Saving>(SAVED);
  readonly version: Signal<number>;
  private base: Sheet;
  private latest: Sheet | undefined;
  private sending = false;
  private meetings = 0;
  private stopWaiting: () => void = () => undefined;
  private approved: boolean;

  /** @param from - the version that is answered from, its sheet, and whether it was approved */
  constructor(
    from: { readonly version: number; readonly sheet: Sheet; readonly approved: boolean },
    private readonly around: Around,
  ) {
    this.version = new Signal(from.version);
    this.base = from.sheet;
    this.approved = from.approved && around.reopens;
  }

  change(sheet: Sheet): void {
    this.latest = this.approved && isDeepEqual(sheet, this.base) ? undefined : sheet;
    this.keepLatest();
    if (this.approved) {
      this.saving.set(this.latest ? HELD : SAVED);
      return;
    }
    this.saving.set({ state: 'saving', message: '' });
    this.wait(QUIET_BEFORE_SAVING);
  }

  /** The approved sheet was opened again: what was held goes to the house as a change of that version. */
  reopened(version: number): void {
    this.approved = false;
    this.version.set(version);
    void this.flush();
  }

  /** Sends what waits, at once: the network is back, or somebody leaves. */
  async flush(): Promise<void> {
    this.stopWaiting();
    if (this.sending || this.approved) return;
    this.sending = true;
    while (this.latest && (await this.sendOnce(this.latest)));
    this.sending = false;
  }

  /** @returns whether there may be more to send */
  private async sendOnce(wanted: Sheet): Promise<boolean> {
    this.saving.set({ state: 'saving', message: '' });
    const answer = await this.around.send({ baseVersion: this.version.get(), sheet: wanted });
    if (!answer.ok && answer.reason === 'changed-elsewhere' && this.meetings < MOST_MEETINGS) {
      this.meetings += 1;
      return this.meet(wanted);
    }
    if (!answer.ok && answer.reason === 'approved' && this.around.reopens) {
      if (await this.meet(wanted)) {
        this.approved = true;
        this.saving.set(HELD);
      }
      return false;
    }
    if (!answer.ok) {
      this.refused(answer.reason, answer.message);
      return false;
    }
    this.version.set(answer.value.version);
    this.base = wanted;
    this.meetings = 0;
    if (this.latest !== wanted) {
      this.keepLatest();
      return true;
    }
    this.latest = undefined;
    this.around.keep(undefined);
    this.saving.set(SAVED);
    return false;
  }

  private async meet(wanted: Sheet): Promise<boolean> {
    const met = await this.around.meet(this.base, () => this.latest ?? wanted);
    if (!met) {
      this.refused(
        'offline',
        'Somebody else has changed this sheet; it is sent again when theirs can be fetched.',
      );
      return false;
    }
    this.version.set(met.version);
    this.base = met.theirs;
    this.latest = met.together;
    this.keepLatest();
    return true;
  }

  private refused(reason: string, message: string): void {
    const isWaiting = isUnanswered(reason) || reason === 'unexpected' || reason === 'not-signed-in';
    this.saving.set({ state: isWaiting ? 'waiting' : 'refused', message });
    if (isWaiting) this.wait(TRY_AGAIN);
    else this.around.keep(undefined);
  }

  private keepLatest(): void {
    this.around.keep(this.latest && { baseVersion: this.version.get(), sheet: this.latest });
  }

  private wait(ms: number): void {
    this.stopWaiting();
    this.stopWaiting = this.around.later(() => void this.flush(), ms);
  }
}
