import { FLOOR_PAGES, isFloorPage } from './floorPages';
import { forgetSeen, keepView, keptView } from './keptViews';

/** A browser's store that holds so many letters. */
class Store {
  private readonly kept: Record<string, string> = {};
  room = Infinity;

  static of(store: Store): Storage {
    const methods = {
      getItem: (key: string) => store.kept[key] ?? null,
      removeItem: (key: string) => delete store.kept[key],
      setItem: (key: string, text: string) => {
        if (text.length > store.room) throw new DOMException('full', 'QuotaExceededError');
        store.kept[key] = text;
      },
    };
    return new Proxy(methods as unknown as Storage, {
      ownKeys: () => Object.keys(store.kept),
      getOwnPropertyDescriptor: (_, key) =>
        typeof key === 'string' && key in store.kept ? { enumerable: true, configurable: true } : undefined,
    });
  }
}

let store: Store;
const deleted: string[] = [];

beforeEach(() => {
  store = new Store();
  deleted.length = 0;
  Object.assign(globalThis, {
    window: { localStorage: Store.of(store) },
    caches: { delete: async (name: string) => deleted.push(name) },
  });
});
afterAll(() => {
  Reflect.deleteProperty(globalThis, 'window');
  Reflect.deleteProperty(globalThis, 'caches');
});

const view = (minute: number) => ({ readAt: `2026-11-27T08:${String(minute).padStart(2, '0')}:00Z`, minute });

describe('what a device keeps of the floor', () => {
  it('is the last it has seen of each view', () => {
    keepView('wrap a', view(1));
    keepView('wrap a', view(2));
    expect([keptView('wrap a'), keptView('wrap b')]).toEqual([view(2), undefined]);
  });

  it('is so many views, and the oldest goes first', () => {
    for (let minute = 0; minute < 30; minute += 1) keepView(`wrap ${minute}`, view(minute));
    expect(keptView('wrap 5')).toBeUndefined();
    expect(keptView('wrap 6')).toEqual(view(6));
    expect(keptView('wrap 29')).toEqual(view(29));
  });

  it('is less where there is no room, and nothing stops for it', () => {
    keepView('wrap a', view(1));
    store.room = 5;
    keepView('wrap b', view(2));
    expect([keptView('wrap a'), keptView('wrap b')]).toEqual([undefined, undefined]);
  });

  it('is nothing once somebody has signed out', async () => {
    keepView('wrap a', view(1));
    await forgetSeen();
    expect([keptView('wrap a'), deleted]).toEqual([undefined, [FLOOR_PAGES]]);
  });

  it('are pages of rail, block and wrap table, and no others', () => {
    expect(['/hang', '/block/1', '/wrap/1', '/wrap'].map(isFloorPage)).toEqual([true, true, true, true]);
    expect(['/settle', '/ticket/1', '/wraps', '/'].map(isFloorPage)).toEqual([false, false, false, false]);
  });
});
