import { randomUUID } from 'node:crypto';
import type { ShareId } from '@/core/order/animal';
import { DAY_SECTIONS } from '@/core/dayBook/dayBook';
import type { Day } from '@/core/time/shopTime';
import { dayBookPdf } from '@/papers';
import { TestShop } from '../tests/testShop';

const TODAY = '2026-11-24' as Day;

let shop: TestShop;
let shareId: ShareId;

beforeEach(async () => {
  shop = await TestShop.open();
  shareId = await shop.onTheBlock();
});
afterEach(() => shop.close());

const wordsOf = async (section: (typeof DAY_SECTIONS)[number]) =>
  (await shop.get('dayBookView', { day: TODAY })).entries
    .filter((entry) => entry.section === section)
    .map(({ words, by }) => `${words} (${by.join(' and ')})`);

describe('the book of a day', () => {
  it('has what came in, what was measured, washed, held and taken back, each with who did it', async () => {
    const salt = { ingredient: 'curing salt', lot: 'PK-3', supplier: 'Saltgate', tenths: 200_000 };
    await shop.get('receiveIngredient', { clientId: randomUUID(), ...salt, bestBy: null }, 'wrapper');
    await shop.get('noteWash', { clientId: randomUUID(), wash: 'species' }, 'smoker');
    await shop.get('beginLoad', { clientId: randomUUID(), planId: 'cold' }, 'smoker');
    const [load] = (await shop.get('smokeView', {})).loads;
    const held = { kind: 'held' as const, reason: 'the door stood open' };
    await shop.get('doLoad', { clientId: randomUUID(), loadId: load!.id, said: held }, 'smoker');
    const pack = await shop.get(
      'weigh',
      shop.weighing(shareId, { kind: 'package', from: 'share', lineKey: 'center-loin.0.0' }, 1290),
    );
    const back = { clientId: randomUUID(), weighingId: pack.id, reason: 'wrong cut' };
    await shop.get('voidWeighing', back);
    expect(await wordsOf('receiving')).toContainEqual(
      'curing salt 20000.0 g, lot PK-3, from Saltgate (somebody)',
    );
    expect((await wordsOf('receiving')).filter((words) => /side hot/.test(words))).toHaveLength(2);
    expect(await wordsOf('cleaning')).toEqual(['Grinder: cleaned between species, 18 min (somebody)']);
    expect(await wordsOf('holds')).toEqual([
      expect.stringMatching(/^S2026-11-24-1 held: the door stood open/),
    ]);
    expect(await wordsOf('corrections')).toEqual([
      expect.stringMatching(/^taken back: .* 1\.29 lb, wrong cut/),
    ]);
    const { text } = await shop.get('dayBookFileView', { day: TODAY });
    expect(text.split('\n')[0]).toBe('part,at,what,by');
    expect(text).toContain('PK-3');
    // Nothing of it happened on another day.
    expect((await shop.get('dayBookView', { day: '2026-11-23' as Day })).entries).toEqual([]);
    const said = { clientId: randomUUID(), day: TODAY, words: 'looked through' };
    expect(await shop.ask('signDay', said, 'counter')).toMatchObject({ reason: 'not-allowed' });
    await shop.get('signDay', said);
    const book = await shop.get('dayBookView', {});
    expect(book.signed).toMatchObject([{ words: 'looked through' }]);
    const tomorrow = { clientId: randomUUID(), day: '2026-11-25' as Day, words: 'looked through' };
    expect(await shop.ask('signDay', tomorrow)).toMatchObject({ reason: 'not-yet' });
    expect(
      Buffer.from(await dayBookPdf(book))
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-');
  }, 60_000);
});

describe('a drill of a recall', () => {
  it('counts its minutes from the press of a button to the last household, and stands in the book', async () => {
    await shop.get(
      'weigh',
      shop.weighing(shareId, { kind: 'package', from: 'share', lineKey: 'center-loin.0.0' }, 1290),
    );
    const begin = { clientId: randomUUID(), words: 'H900' };
    const { id: drillId } = await shop.get('beginDrill', begin);
    expect(await shop.ask('beginDrill', { ...begin, clientId: randomUUID() })).toMatchObject({
      reason: 'already-taken',
    });
    expect(await shop.ask('beginDrill', { clientId: randomUUID(), words: 'Z-99' })).toMatchObject({
      reason: 'not-found',
    });
    await shop.get('reachInDrill', { clientId: randomUUID(), drillId, shareId });
    const { drill } = await shop.get('traceView', { words: 'h900' });
    expect(drill).toMatchObject({ id: drillId, reached: [shareId] });
    shop.now = new Date(shop.now.getTime() + 7 * 60_000);
    await shop.get('endDrill', { clientId: randomUUID(), drillId });
    expect(await shop.ask('endDrill', { clientId: randomUUID(), drillId })).toMatchObject({
      reason: 'closed',
    });
    expect((await shop.get('traceView', { words: 'H900' })).drill).toBeNull();
    expect(await wordsOf('holds')).toEqual(['drill of a recall of H900: 1 household, 7 min (somebody)']);
  }, 60_000);
});
