import type { ShareId } from '@/core/order/animal';
import type { Found, Ticket } from '@/server/rail';
import { KEYS } from '../kit/keys/keys';
import { nextAct } from '../ticket/nextAct';
import { entriesFor, placesFor } from './entries';
import { hooksFor, pageOf, shareInHand } from './stages';

const ticket = (stage: Ticket['stage']): Ticket => ({
  shareId: 's1' as ShareId,
  animalId: 'a1' as never,
  number: 12,
  name: 'Isolde Marsh, left half',
  tag: 'H900',
  species: 'Hog',
  farm: 'Low Tarn',
  stage,
  fact: '',
  flag: '',
  broken: false,
});
const found: Found = {
  tickets: [ticket('sheet')],
  cuts: {
    hits: [{ cut: 'Flat iron', decision: 'flat-iron', option: 'kept', said: 'feather blade', dish: false }],
  },
};

describe('the rail of a role', () => {
  it('begins with today and holds the stages of its work', () => {
    expect(hooksFor('counter').map((hook) => hook.word)).toEqual([
      'Today',
      'Week',
      'Book',
      'Hang',
      'Sheet',
      'Block',
      'Wrap',
      'Grind',
      'Smoke',
      'Reconcile',
      'Settle',
      'Yields',
    ]);
    expect(hooksFor('cutter').map((hook) => hook.word)).toEqual([
      'Today',
      'Week',
      'Hang',
      'Block',
      'Wrap',
      'Grind',
      'Smoke',
    ]);
    expect(hooksFor('wrapper').map((hook) => hook.word)).toEqual(['Today', 'Wrap', 'Grind', 'Smoke']);
  });

  it('goes to each hook by a letter of its own', () => {
    const keys = hooksFor('owner').map((hook) => hook.key);
    expect(new Set(keys).size).toBe(keys.length);
  });

  it('leads nobody to a page that is not theirs', () => {
    expect(pageOf('sheet', 's1', 'counter')).toBe('/sheet/s1');
    expect(pageOf('sheet', 's1', 'wrapper')).toBe('/ticket/s1');
    expect(pageOf('hang', 's1', 'cutter')).toBe('/ticket/s1');
    expect(pageOf('wrap', 's1', 'smoker')).toBe('/wrap/s1');
    expect(pageOf('wrap', 's1', 'cutter')).toBe('/block/s1');
    expect(pageOf(null, 's1', 'owner')).toBe('/ticket/s1');
    expect(nextAct('settle', 's1', 'wrapper')).toBeUndefined();
    expect(nextAct('settle', 's1', 'counter')).toEqual({ does: 'Settle it', page: '/settle/s1' });
    expect(nextAct('cancelled', 's1', 'owner')).toBeUndefined();
  });

  it('knows the share in hand on whichever of its pages', () => {
    expect(['/sheet/s1', '/wrap/s1', '/ticket/s1', '/settle/s1'].map(shareInHand)).toEqual(
      Array.from({ length: 4 }, () => 's1'),
    );
    expect(shareInHand('/sheet')).toBeUndefined();
  });
});

describe('the palette', () => {
  const asked = (said: string, role = 'counter', shareId?: string) => ({ said, role, shareId });

  it('lists shares, then places, then cuts of the sheet in hand', () => {
    const entries = entriesFor(asked('sheet', 'counter', 's1'), found);
    expect(entries.map((entry) => entry.page)).toEqual([
      '/sheet/s1',
      '/sheet',
      '/sheet/s1',
      '/sheet/s1?row=flat-iron',
    ]);
    expect(entries.at(-1)!.detail).toContain('feather blade');
  });

  it('finds what can be done by any of its words, where a share is in hand', () => {
    expect(placesFor(asked('correct telephone', 'counter', 's1')).map((entry) => entry.label)).toEqual([
      'Correct a fact',
    ]);
    expect(placesFor(asked('correct telephone'))).toEqual([]);
    expect(placesFor(asked('new order')).map((entry) => entry.page)).toEqual(['/book']);
  });

  it('offers the floor neither bills nor booking', () => {
    for (const said of ['bill', 'book', 'correct', 'sheet', 'cancel', 'settle']) {
      expect(placesFor(asked(said, 'wrapper', 's1'))).toEqual([]);
    }
    expect(placesFor(asked('ticket', 'wrapper', 's1')).map((entry) => entry.page)).toEqual(['/ticket/s1']);
  });

  it('says nothing while nothing is said', () => {
    expect(placesFor(asked(' '))).toEqual([]);
  });
});

describe('the keys', () => {
  it('mean one thing each where they hold', () => {
    for (const scope of Object.values(KEYS)) {
      const keys = Object.values(scope).flatMap(({ keys: each }) => each.split(',').filter(Boolean));
      const everywhere = Object.values(KEYS.anywhere).map(({ keys: each }) => each);
      expect(new Set(keys).size).toBe(keys.length);
      if (scope === KEYS.anywhere) continue;
      expect(keys.filter((key) => (everywhere as string[]).includes(key))).toEqual([]);
    }
  });
});
