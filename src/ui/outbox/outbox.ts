import { failure, type Result } from '@/core/quantity/result';
import type { InputOf, OutputOf } from '@/server/useCases';
import { isUnanswered } from '../kit/act';
import { Signal } from '../kit/signal';
import type { Who } from '../kit/Who';

/** What the floor writes without waiting for the house. */
export const FLOOR_WRITES = [
  'weigh',
  'voidWeighing',
  'givePack',
  'noteLine',
  'reprintLabel',
  'markStep',
  'sayWhoDid',
  'readNote',
  'weighPiece',
  'takePieceBack',
  'doOtherwise',
  'doOnRail',
  'weighSide',
  'weighQuarter',
  'noteLiveWeight',
  'noteFound',
  'withdrawFound',
] as const;
export type FloorName = (typeof FLOOR_WRITES)[number];

export type WeighInput = InputOf<'weigh'>;
export type Taken = OutputOf<'weigh'>;

/** Something the floor has done, as it is told to the house. */
export type FloorWrite = {
  [Name in FloorName]: { readonly name: Name; readonly input: InputOf<Name> & { readonly clientId: string } };
}[FloorName];

/** What the house said to it. */
export type FloorAnswer = Result<{ [Name in FloorName]: OutputOf<Name> }[FloorName], string>;

/** Something on its way: it is the person's who did it, whoever is signed in when the network comes back. */
export type Waiting = FloorWrite & {
  readonly actor: Pick<Who, 'id' | 'name'>;
  /** How often the house failed at it. */
  readonly failures: number;
  /** Why it is not sent any more; empty while it is. Somebody has to look at it. */
  readonly setAside: string;
};

/** Where the queue is kept; what cannot be kept there stays in memory. */
export type Store = { read(): string | null; write(text: string): void };

type Send = (write: FloorWrite) => Promise<FloorAnswer>;
type Listener = (write: FloorWrite, answer: FloorAnswer) => boolean;

const KEPT = 'The network is away: it is kept here, and goes to the house when it is back.';

/** What the house fails at so often does not hold up what is behind it. */
const MOST_FAILURES = 3;

/**
 * What the floor has done, on its way to the house, one queue for the whole device: written down before they are sent and kept until
 * the house has answered, so that neither a reload, a lost network nor another page loses one. Each carries its id, so
 * none is taken twice.
 */
export class Outbox {
  readonly waiting = new Signal<readonly Waiting[]>([]);
  /** Whether the last try reached nobody. */
  readonly away = new Signal(false);
  /** Whether the device keeps it: a full store leaves it in memory only, and that is said. */
  readonly kept = new Signal(true);
  private readonly listeners = new Set<Listener>();
  private sending: Promise<void> | undefined;

  constructor(
    private readonly store: Store,
    private readonly send: Send,
  ) {}

  /** Reads what the device kept, as another page may have changed it. */
  load(): void {
    try {
      const kept = JSON.parse(this.store.read() ?? '[]') as (Waiting & { name?: FloorName })[];
      // What an earlier version kept were weighings alone, and it did not say so.
      this.waiting.set(kept.map((each) => ({ ...each, name: each.name ?? 'weigh' }) as Waiting));
    } catch {
      this.waiting.set([]);
    }
  }

  /**
   * Hears the answers of the house.
   *
   * @param listener - returns whether it has told somebody: a refusal that nobody was told is set aside
   */
  onAnswer(listener: Listener): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** The same id again is the same thing: it is kept once. */
  add(write: FloorWrite, { id, name }: Pick<Who, 'id' | 'name'>): void {
    this.reload();
    if (this.waiting.get().some(({ input }) => input.clientId === write.input.clientId)) return;
    this.keep([...this.waiting.get(), { ...write, actor: { id, name }, failures: 0, setAside: '' }]);
  }

  /** Somebody has seen why it was set aside; it is not sent any more. */
  dismiss(clientId: string): void {
    this.reload();
    this.keep(this.waiting.get().filter((each) => each.input.clientId !== clientId));
  }

  /**
   * Adds something and waits for what the house says to it.
   *
   * @returns the answer; a failure `kept` when the house cannot be reached: it is sent as soon as it can
   */
  async ask(write: FloorWrite, who: Pick<Who, 'id' | 'name'>): Promise<FloorAnswer> {
    let answer: FloorAnswer | undefined;
    const stop = this.onAnswer(({ input }, said) => {
      if (input.clientId !== write.input.clientId) return false;
      answer = said;
      return true;
    });
    this.add(write, who);
    // What was on its way before may be done with only now, or the house may be away.
    do await this.flush(who.id);
    while (!answer && !this.away.get() && this.isSent(write.input.clientId));
    stop();
    const aside = this.waiting.get().find(({ input }) => input.clientId === write.input.clientId)?.setAside;
    return answer ?? (aside ? failure('unexpected', aside) : failure('kept', KEPT));
  }

  private isSent(clientId: string): boolean {
    return this.waiting.get().some(({ input, setAside }) => input.clientId === clientId && setAside === '');
  }

  /** Sends what waits of one person, in its order, until something is not answered. */
  flush(actorId: string): Promise<void> {
    this.sending ??= this.sendAll(actorId).finally(() => {
      this.sending = undefined;
    });
    return this.sending;
  }

  private async sendAll(actorId: string): Promise<void> {
    for (let next = this.nextOf(actorId); next; next = this.nextOf(actorId)) {
      const answer = await this.send(next);
      const lost = !answer.ok && (isUnanswered(answer.reason) || answer.reason === 'not-signed-in');
      this.away.set(lost);
      if (lost) break;
      this.settle(next, answer);
      if (!answer.ok && answer.reason === 'unexpected') break;
    }
  }

  private nextOf(actorId: string): Waiting | undefined {
    this.reload();
    return this.waiting.get().find(({ actor, setAside }) => actor.id === actorId && setAside === '');
  }

  private settle(sent: Waiting, answer: FloorAnswer): void {
    this.reload();
    const others = this.waiting.get().filter((each) => each.input.clientId !== sent.input.clientId);
    const changed = this.after(sent, answer);
    const at = this.waiting.get().findIndex((each) => each.input.clientId === sent.input.clientId);
    this.keep(changed ? [...others.slice(0, at), changed, ...others.slice(at)] : others);
  }

  /** What is left of it after an answer; undefined when it is done with. */
  private after(sent: Waiting, answer: FloorAnswer): Waiting | undefined {
    if (!answer.ok && answer.reason === 'unexpected') {
      const failures = sent.failures + 1;
      return { ...sent, failures, setAside: failures < MOST_FAILURES ? '' : answer.message };
    }
    const told = [...this.listeners].map((listener) => listener(sent, answer)).includes(true);
    return answer.ok || told ? undefined : { ...sent, setAside: answer.message };
  }

  /** Other pages of the device write too; while the device keeps nothing, only memory is believed. */
  private reload(): void {
    if (this.kept.get()) this.load();
  }

  private keep(waiting: readonly Waiting[]): void {
    this.waiting.set(waiting);
    try {
      this.store.write(JSON.stringify(waiting));
      this.kept.set(true);
    } catch {
      this.kept.set(false);
    }
  }
}

/** What lies on the scale is on its way already: pressing again would only be refused. */
export function isOnItsWay(waiting: readonly Waiting[], input: WeighInput): boolean {
  if (!('reading' in input)) return false;
  const { scaleId, loadId } = input.reading;
  return waiting.some(
    ({ name, input: other, setAside }) =>
      name === 'weigh' &&
      setAside === '' &&
      'reading' in other &&
      other.reading.scaleId === scaleId &&
      other.reading.loadId === loadId,
  );
}
