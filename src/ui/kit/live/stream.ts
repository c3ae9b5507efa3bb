/** What a stream of the house carries: what was done in it, or what one of its scales says. */
export type Topic = 'events' | 'scale' | 'rail-scale' | 'spice-scale';

export type Heard =
  | { readonly topic: Topic; readonly kind: 'there' }
  | { readonly topic: Topic; readonly kind: 'away' }
  | { readonly topic: Topic; readonly kind: 'said'; readonly data: string };

/** How long after a stream was refused or cut off it is tried again. */
const TRY_AGAIN_MS = 3000;

type Source = Pick<EventSource, 'close' | 'addEventListener' | 'readyState'> & {
  onopen: (() => void) | null;
  onmessage: ((event: MessageEvent<string>) => void) | null;
  onerror: (() => void) | null;
};

type Around = {
  readonly open: (address: string) => Source;
  readonly later: (work: () => void, ms: number) => () => void;
};

const browser: Around = {
  open: (address) => new EventSource(address) as unknown as Source,
  later: (work, ms) => {
    const timer = setTimeout(work, ms);
    return () => clearTimeout(timer);
  },
};

/** One open stream of server-sent events. It is tried again for as long as somebody wants it. */
export class Stream {
  private source: Source | undefined;
  private stopWaiting: () => void = () => undefined;

  constructor(
    private readonly topic: Topic,
    private readonly hear: (heard: Heard) => void,
    private readonly around: Around = browser,
  ) {
    this.open();
  }

  close(): void {
    this.stopWaiting();
    this.source?.close();
  }

  private open(): void {
    const { topic, hear } = this;
    const source = this.around.open(`/api/${topic}`);
    this.source = source;
    source.onopen = () => hear({ topic, kind: 'there' });
    source.onmessage = ({ data }) => hear({ topic, kind: 'said', data });
    source.addEventListener('away', () => hear({ topic, kind: 'away' }));
    source.onerror = () => {
      // By itself the browser tries again only what was cut off, never what was refused.
      source.close();
      hear({ topic, kind: 'away' });
      this.stopWaiting = this.around.later(() => this.open(), TRY_AGAIN_MS);
    };
  }
}
