import { randomUUID } from 'node:crypto';
import { openQuestions, planOf } from '@/core/order/standing';
import type { ShareFile } from '@/core/order/shareFile';
import { weight } from '@/core/quantity/weight';
import type { InputOf } from '../useCases';
import { hogDocument, TestShop } from '../tests/testShop';

let shop: TestShop;
let left: ShareFile;
let right: ShareFile;

beforeEach(async () => {
  shop = await TestShop.open();
  const weights = { left: { hot: 92.5, cold: 91 }, right: { hot: 91, cold: 89.6 } };
  const sheet = { houseForTheRest: true };
  [left, right] = (await shop.book(
    hogDocument({
      weights,
      shares: [
        { part: 'left', owner: { name: 'Sunniva Holt' }, sheet },
        { part: 'right', owner: { name: 'Perran Vane' }, sheet },
      ],
    }),
  )) as [ShareFile, ShareFile];
});
afterEach(() => shop.close());

const PHOTO = `data:image/jpeg;base64,${Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3]).toString('base64')}`;

const note = (change: Partial<InputOf<'noteFound'>> = {}) => {
  const usual = {
    kind: 'bruise',
    decision: 'ham',
    weight: 3_000,
    measure: null,
    note: '',
    photo: '',
  } as const;
  const sideId = left.sides[0]!.side.id;
  return shop.ask('noteFound', { clientId: randomUUID(), sideId, ...usual, ...change }, 'cutter');
};
const ham = async ({ share }: ShareFile) => {
  const { expected } = planOf(await shop.file(share.id));
  return expected.lines
    .filter(({ decision }) => decision === 'ham')
    .reduce((sum, line) => sum + line.gross, 0);
};

describe('a finding on a side', () => {
  it('lowers the forecast of that side at once, by about what it weighs, and of no other', async () => {
    const [before, other] = [await ham(left), await ham(right)];
    await note();
    const lost = before - (await ham(left));
    expect(lost).toBeGreaterThan(1_500);
    expect(lost).toBeLessThan(4_500);
    expect(await ham(right)).toBe(other);
    const asked = openQuestions(await shop.file(left.share.id)).filter(({ kind }) => kind === 'found');
    expect(asked).toEqual([
      expect.objectContaining({
        decision: 'ham',
        sentence: expect.stringMatching(/^Ham: \d+ % of it .* Still “/),
      }),
    ]);
    const board = await shop.get('hangView', {});
    const side = board.animals[0]!.sides.find(({ position }) => position === 'left')!;
    expect(side.found).toEqual([expect.objectContaining({ words: 'bruise, ham, 3.0 lb', zone: 'ham' })]);
  });

  it('is told on ticket and statement in a polite sentence', async () => {
    await note({ note: 'hock side', photo: PHOTO });
    const { found } = await shop.get('ticketView', { shareId: left.share.id });
    expect(found).toEqual([
      { what: 'left side', words: 'bruise, ham, 3.0 lb, hock side', photoId: expect.any(String) },
    ]);
    const { notes } = await shop.get('settleView', { shareId: left.share.id });
    expect(notes[0]!.note).toBe(
      'A bruise at the ham, 3.0 lb, was cut away. It was there when the side came.',
    );
    const jpeg = await shop.get('photoView', { photoId: found[0]!.photoId! });
    expect(Buffer.from(jpeg).subarray(0, 2)).toEqual(Buffer.from([0xff, 0xd8]));
  });

  it('withdrawn with a reason leaves the forecast as it was, and both stay in the book', async () => {
    const before = await ham(left);
    const noted = await note();
    if (!noted.ok) throw new Error(noted.message);
    const withdraw = { clientId: randomUUID(), foundId: noted.value.foundId };
    expect(await shop.ask('withdrawFound', { ...withdraw, reason: '' })).toMatchObject({ reason: 'invalid' });
    await shop.get('withdrawFound', { ...withdraw, reason: 'it was the other side' });
    expect(await ham(left)).toBe(before);
    expect(await shop.db('found').count({ all: '*' })).toEqual([{ all: 1 }]);
    const again = await shop.ask('withdrawFound', {
      ...withdraw,
      clientId: randomUUID(),
      reason: 'again and again',
    });
    expect(again).toMatchObject({ ok: false, reason: 'voided' });
  });

  it('all of a piece missing: nothing of it is expected, and the rest of the side has its weight', async () => {
    await note({ kind: 'missing', decision: 'jowl', weight: null });
    const { expected } = planOf(await shop.file(left.share.id));
    const jowl = expected.lines.filter(({ decision }) => decision === 'jowl');
    expect(jowl.reduce((sum, line) => sum + line.gross, 0)).toBeLessThan(50);
    expect(expected.coldWeight).toBe(weight(91));
  });

  it('a measured eye makes chops lighter or heavier', async () => {
    const chops = async () =>
      planOf(await shop.file(left.share.id))
        .expected.lines.filter(({ decision }) => decision === 'center-loin')
        .reduce((sum, line) => sum + line.packaged, 0);
    const before = await chops();
    await note({ kind: 'small-eye', decision: '', weight: null, measure: 5.2 });
    expect(await chops()).toBeLessThan(before);
  });

  it('that cannot be is refused in words: no place, no measure, more than the side, no photograph', async () => {
    expect(await note({ decision: 'wing' })).toMatchObject({ reason: 'invalid', field: 'decision' });
    expect(await note({ kind: 'split', weight: null })).toMatchObject({
      reason: 'invalid',
      field: 'measure',
    });
    expect(await note({ weight: 95_000 })).toMatchObject({ reason: 'more-than-there-is', field: 'weight' });
    const gif = `data:image/jpeg;base64,${Buffer.from('GIF89a').toString('base64')}`;
    expect(await note({ photo: gif })).toMatchObject({ reason: 'invalid', field: 'photo' });
    const nothing = await note({ photo: 'data:image/jpeg;base64,' });
    expect(nothing).toMatchObject({ reason: 'invalid', field: 'photo' });
  });

  it('while it is being cut, makes what is to be made anew, and back again when it is withdrawn', async () => {
    const shareId = left.share.id;
    await shop.approveAndStart(shareId);
    const [before, other] = [await ham(left), await ham(right)];
    const noted = await note();
    if (!noted.ok) throw new Error(noted.message);
    const { foundId } = noted.value;
    expect(await ham(left)).toBeLessThan(before - 1_500);
    expect(await ham(right)).toBe(other);
    const lines = (await shop.get('wrapView', { shareId })).lines.filter(
      ({ decision }) => decision === 'ham',
    );
    expect(lines.reduce((sum, { gross }) => sum + gross, 0)).toBe(await ham(left));
    await shop.get('withdrawFound', { clientId: randomUUID(), foundId, reason: 'it was the other hog' });
    expect(await ham(left)).toBe(before);
  });

  it('cannot be all of what is packed already', async () => {
    const shareId = left.share.id;
    await shop.approveAndStart(shareId);
    const line = planOf(await shop.file(shareId)).expected.lines.find(
      ({ decision }) => decision === 'center-loin',
    )!;
    const purpose = { kind: 'package', from: 'share', lineKey: line.key } as const;
    await shop.get(
      'weigh',
      shop.weighing(shareId, purpose, Math.round(line.packaged / line.packs!)),
      'wrapper',
    );
    const all = await note({ kind: 'missing', decision: 'center-loin', weight: null });
    expect(all).toMatchObject({ ok: false, reason: 'packed-already' });
    expect(await note({ kind: 'missing', decision: 'center-loin', weight: 300 })).toMatchObject({ ok: true });
  });
});
