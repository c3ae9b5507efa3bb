import type { ShareId } from '@/core/order/animal';
import { concerns } from './concerns';
import { isOurs, weLookAgainAfter } from './own';
import { Stream, type Heard, type Topic } from './stream';
import { Switchboard } from './switchboard';

/** Streams that are opened and closed, and say what they are told. */
function house() {
  const open = new Map<Topic, (heard: Heard) => void>();
  const opened: Topic[] = [];
  const board = new Switchboard((topic, hear) => {
    opened.push(topic);
    open.set(topic, hear);
    return { close: () => open.delete(topic) };
  });
  return { board, opened, open };
}

const listener = () => {
  const heard: Heard[] = [];
  return { heard, hear: (each: Heard) => heard.push(each) };
};

describe('the streams of one browser', () => {
  it('are one for each topic, however many pages listen', () => {
    const { board, opened, open } = house();
    const [first, second] = [listener(), listener()];
    board.wish(first.hear, { kind: 'watch', topic: 'scale' });
    board.wish(second.hear, { kind: 'watch', topic: 'scale' });
    open.get('scale')!({ topic: 'scale', kind: 'said', data: '1' });
    expect(opened).toEqual(['scale']);
    expect([first.heard.length, second.heard.length]).toEqual([1, 1]);
  });

  it('are closed when the last page has gone, and opened anew for the next', () => {
    const { board, opened, open } = house();
    const [first, second] = [listener(), listener()];
    board.wish(first.hear, { kind: 'watch', topic: 'events' });
    board.wish(second.hear, { kind: 'watch', topic: 'events' });
    board.wish(first.hear, { kind: 'leave' });
    expect([...open.keys()]).toEqual(['events']);
    board.wish(second.hear, { kind: 'unwatch', topic: 'events' });
    expect([...open.keys()]).toEqual([]);
    board.wish(first.hear, { kind: 'watch', topic: 'events' });
    expect(opened).toEqual(['events', 'events']);
  });

  it('tell whoever comes late how it stands', () => {
    const { board, open } = house();
    board.wish(listener().hear, { kind: 'watch', topic: 'events' });
    open.get('events')!({ topic: 'events', kind: 'away' });
    const late = listener();
    board.wish(late.hear, { kind: 'watch', topic: 'events' });
    expect(late.heard).toEqual([{ topic: 'events', kind: 'away' }]);
  });
});

describe('one stream', () => {
  it('is tried again after it was cut off or refused, until nobody wants it', () => {
    const sources: { onerror: (() => void) | null; closed: boolean }[] = [];
    const due: (() => void)[] = [];
    const heard: Heard[] = [];
    const stream = new Stream('scale', (each) => heard.push(each), {
      open: () => {
        const source = {
          closed: false,
          readyState: 0,
          onopen: null,
          onmessage: null,
          onerror: null,
          addEventListener: () => undefined,
          close() {
            this.closed = true;
          },
        };
        sources.push(source);
        return source as never;
      },
      later: (work) => {
        due.push(work);
        return () => due.splice(due.indexOf(work), 1);
      },
    });
    sources[0]!.onerror!();
    expect(heard).toEqual([{ topic: 'scale', kind: 'away' }]);
    due.shift()!();
    expect(sources).toHaveLength(2);
    sources[1]!.onerror!();
    stream.close();
    expect([due.length, sources[1]!.closed]).toEqual([0, true]);
  });
});

describe('what an event concerns', () => {
  const event = { asked: 'weigh', shares: ['s1' as ShareId] };
  it.each<[string, unknown, boolean]>([
    ['the view of a share that it touched', { shareId: 's1' }, true],
    ['not the view of another share', { shareId: 's2' }, false],
    ['whatever shows many', { stage: 'wrap', page: 0 }, true],
    ['and what asks for nothing', undefined, true],
  ])('%s', (_, input, isConcerned) => {
    expect(concerns(event, ['view', input])).toBe(isConcerned);
  });
});

describe('what this page asks itself', () => {
  it('is known in the stream of what everybody does, however often it is said', () => {
    const event = (clientId?: string) => ({ asked: 'weigh', shares: [], ...(clientId ? { clientId } : {}) });
    weLookAgainAfter('ours');
    const said = [event('ours'), event('theirs'), event(), event('ours')];
    expect(said.map(isOurs)).toEqual([true, false, false, true]);
  });
});
