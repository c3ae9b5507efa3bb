import { randomUUID } from 'node:crypto';
import type { ShareId } from '@/core/order/animal';
import { sumWeights, weight, type Weight } from '@/core/quantity/weight';
import type { InputOf } from '../useCases';
import { hogDocument, TestShop } from '../tests/testShop';

let shop: TestShop;
let shareId: ShareId;

beforeEach(async () => {
  shop = await TestShop.open();
  shareId = await shop.onTheBlock();
});
afterEach(() => shop.close());

const view = (hand?: 'left' | 'right' | 'both') =>
  shop.get('blockView', hand ? { shareId, hand } : { shareId }, 'cutter');
const mark = (step: string, change: Partial<InputOf<'markStep'>> = {}) =>
  shop.ask(
    'markStep',
    { clientId: randomUUID(), shareId, hand: 'left', step, done: true, ...change },
    'cutter',
  );
const put = (piece: string, net: number, change: { sure?: boolean } = {}) =>
  shop.ask(
    'weighPiece',
    { clientId: randomUUID(), shareId, hand: 'left', piece, reading: shop.reading(net as Weight), ...change },
    'cutter',
  );
const otherwise = (change: Partial<InputOf<'doOtherwise'>>) => {
  const usual = { hand: 'left', decision: 'butt', reason: 'tough', doneAs: 'grind', weight: null } as const;
  return shop.ask('doOtherwise', { clientId: randomUUID(), shareId, ...usual, ...change }, 'cutter');
};

describe('the break of a share at the block', () => {
  it('is what its sheet makes of the guide; a step is done and not done again, with who did it', async () => {
    const before = await view();
    expect(before).toMatchObject({ hand: 'left', hands: [{ words: 'left side', done: 0 }], words: '' });
    expect(before.steps.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['ham-off', 'scribe', 'line-up']),
    );
    await mark('ham-off');
    const after = await view();
    expect(after.steps.find(({ id }) => id === 'ham-off')).toMatchObject({ doneBy: '', doneAt: '12:00' });
    expect(after.hands[0]!.done).toBe(1);
    await mark('ham-off', { done: false });
    expect((await view()).hands[0]!.done).toBe(0);
  });

  it('stands at the moment it was done, however long it waited for the network; a clock gone wrong is not believed', async () => {
    const doneAtOf = async (step: string) => (await view()).steps.find(({ id }) => id === step)!.doneAt;
    await mark('ham-off', { takenAt: '2026-11-24T09:30:00.000Z' });
    expect(await doneAtOf('ham-off')).toBe('9:30');
    await mark('scribe', { takenAt: '2026-11-24T17:00:00.000Z' });
    expect(await doneAtOf('scribe')).toBe('12:00');
    await mark('line-up', { takenAt: '2026-10-01T09:00:00.000Z' });
    expect(await doneAtOf('line-up')).toBe('12:00');
  });

  it('front done, hind not, stays: the first step that is to come is found again', async () => {
    const { steps } = await view();
    for (const { id } of steps.slice(0, 3)) await mark(id);
    const later = await view();
    expect(later.steps.filter(({ doneAt }) => doneAt !== '').map(({ id }) => id)).toEqual(
      steps.slice(0, 3).map(({ id }) => id),
    );
  });

  it('has no step that is not of it, and none before it is on the block', async () => {
    expect(await mark('chuck-from-rib')).toMatchObject({ ok: false, reason: 'not-found' });
    const [waiting] = await shop.book(hogDocument({ animal: { ...hogDocument().animal, tag: 'H901' } }));
    const early = await shop.ask('markStep', {
      ...{ clientId: randomUUID(), shareId: waiting!.share.id, hand: 'left' },
      ...{ step: 'ham-off', done: true },
    });
    expect(early).toMatchObject({ ok: false, reason: 'not-on-the-block' });
  });

  it('is stopped once by words for the cutter, and knows who has read them', async () => {
    shareId = await shop.onTheBlock(
      { houseForTheRest: true, instructions: 'Hams for the church: keep them whole.' },
      { animal: { ...hogDocument().animal, tag: 'H905' } },
    );
    expect(await mark('ham-off')).toMatchObject({ ok: false, reason: 'words-not-read' });
    await shop.get('readNote', { clientId: randomUUID(), shareId }, 'cutter');
    expect(await mark('ham-off')).toMatchObject({ ok: true });
    expect((await view()).readBy).toEqual([' 12:00']);
  });

  it('says at each step what the other half of the animal wants where it is another thing', async () => {
    const ham = { ham: [{ option: 'whole' }] };
    const [left, right] = await shop.book(
      hogDocument({
        animal: { ...hogDocument().animal, tag: 'H906' },
        shares: [
          { part: 'left', owner: { name: 'Sunniva Holt' }, sheet: { houseForTheRest: true } },
          { part: 'right', owner: { name: 'Perran Vane' }, sheet: { houseForTheRest: true, answers: ham } },
        ],
        weights: { left: { hot: 92.5, cold: 91 }, right: { hot: 91, cold: 89.6 } },
      }),
    );
    const both = await shop.get('blockView', { shareId: left!.share.id }, 'cutter');
    const cut = both.steps.find(({ id }) => id === 'ham-cut')!;
    expect(cut.off[0]!.others).toEqual([expect.objectContaining({ name: 'Perran Vane, right half' })]);
    const theirs = await shop.get('blockView', { shareId: right!.share.id }, 'cutter');
    expect(theirs.steps.find(({ id }) => id === 'ham-cut')!.stops[0]!.says).toBe('No cut');
  });
});

describe('a whole animal', () => {
  it('has in each hand what was found and done at that side, and nothing of the other', async () => {
    const sheet = { houseForTheRest: true };
    const [file] = await shop.book(
      hogDocument({
        animal: { ...hogDocument().animal, tag: 'H908' },
        shares: [{ part: 'whole', owner: { name: 'Edda Wrathall' }, sheet }],
        weights: { left: { hot: 92.5, cold: 91 }, right: { hot: 92.5, cold: 91 } },
      }),
    );
    shareId = file!.share.id;
    const right = file!.sides.find(({ side }) => side.position === 'right')!.side.id;
    const bruise = {
      kind: 'bruise',
      decision: 'belly',
      weight: 3_000,
      measure: null,
      note: '',
      photo: '',
    } as const;
    await shop.get('noteFound', { clientId: randomUUID(), sideId: right, ...bruise });
    await shop.approveAndStart(shareId);
    await otherwise({ hand: 'left' });
    const rows = async (hand: 'left' | 'right', row: string) =>
      (await view(hand)).steps
        .flatMap(({ off }) => off)
        .find(({ decision }) => decision === row)!
        .cuts.reduce((sum, { weight: each }) => sum + each, 0);
    expect(await rows('left', 'butt')).toBe(0);
    expect(await rows('right', 'butt')).toBeGreaterThan(weight(5));
    expect((await rows('left', 'belly')) - (await rows('right', 'belly'))).toBeGreaterThan(weight(1.5));
  });
});

describe('what can be done otherwise', () => {
  it('is any way of the row, but none that had to be decided before the first cut', async () => {
    const ham = (await view()).otherWays.find(({ decision }) => decision === 'ham')!;
    expect(ham.ways.map(({ id }) => id)).toContain('grind');
    expect(ham.ways.map(({ id }) => id)).not.toContain('pit');
  });
});

describe('who looks on', () => {
  it('is told so, and is offered nothing that is the cutter’s', async () => {
    expect((await view()).mayCut).toBe(true);
    expect((await shop.get('blockView', { shareId }, 'wrapper')).mayCut).toBe(false);
  });
});

describe('pieces weighed as they come off', () => {
  it('leave less and less, and never more than there is', async () => {
    const { pieces, left } = await view();
    expect(left).toBe(weight(91));
    expect(sumWeights(pieces.map(({ expected }) => expected))).toBe(weight(91));
    expect(await put('ham', 24_500)).toMatchObject({ ok: true, value: { left: weight(66.5) } });
    expect(await put('loin', 90_000, { sure: true })).toMatchObject({
      ok: false,
      reason: 'more-than-there-is',
      message: '90.0 is more than the 66.5 lb left: tare, or another quarter?',
    });
    expect((await view()).left).toBe(weight(66.5));
  });

  it('far beside what is expected are asked about, and taken at the second yes', async () => {
    expect(await put('jowl', 9_000)).toMatchObject({ ok: false, reason: 'unusual' });
    expect(await put('jowl', 9_000, { sure: true })).toMatchObject({ ok: true });
  });

  it('weighed again count once; taken back they count no more, and both stay in the book', async () => {
    await put('ham', 24_500);
    await put('ham', 24_100);
    expect((await view()).left).toBe(weight(66.9));
    const back = { clientId: randomUUID(), shareId, hand: 'left', piece: 'ham' } as const;
    expect(await shop.get('takePieceBack', back, 'cutter')).toEqual({ left: weight(91) });
    expect((await view()).pieces.find(({ id }) => id === 'ham')!.weighed).toBeNull();
    expect(await shop.db('pieceWeights').count({ all: '*' })).toEqual([{ all: 3 }]);
  });

  it('one load is taken once, whatever it is taken for; a typed weight is marked', async () => {
    const reading = shop.reading(24_500 as Weight);
    const input = { shareId, hand: 'left', piece: 'ham', reading } as const;
    expect(await shop.ask('weighPiece', { ...input, clientId: randomUUID() }, 'cutter')).toMatchObject({
      ok: true,
    });
    const again = await shop.ask('weighPiece', { ...input, piece: 'butt', clientId: randomUUID() }, 'cutter');
    expect(again).toMatchObject({ ok: false, reason: 'already-taken' });
    const typed = { gross: 7_300, tare: 300, why: 'the scale is away' };
    await shop.get(
      'weighPiece',
      { clientId: randomUUID(), shareId, hand: 'left', piece: 'butt', typed },
      'cutter',
    );
    expect((await view()).pieces.find(({ id }) => id === 'butt')).toMatchObject({
      weighed: 7000,
      typed: true,
    });
  });

  it('are not taken from a reading that no scale of the shop has signed', async () => {
    const forged = { ...shop.reading(24_500 as Weight), net: 20_000 };
    const input = { clientId: randomUUID(), shareId, hand: 'left', piece: 'ham', reading: forged } as const;
    expect(await shop.ask('weighPiece', input, 'cutter')).toMatchObject({
      ok: false,
      reason: 'not-the-scale',
    });
  });
});

describe('done otherwise than the sheet says', () => {
  it('keeps what was asked and what was done, forecasts the rest anew, and tells it politely', async () => {
    const before = await shop.get('wrapView', { shareId }, 'cutter');
    expect(await otherwise({})).toMatchObject({ ok: true, value: { done: 'Butt to grind' } });
    const after = await shop.get('wrapView', { shareId }, 'cutter');
    const butts = (of: typeof after) => of.lines.filter(({ decision }) => decision === 'butt');
    expect(butts(before).length).toBeGreaterThan(0);
    expect(butts(after)).toEqual([]);
    expect(after.expectedTub).toBeGreaterThan(before.expectedTub);
    const lines = (of: typeof after) => sumWeights(of.lines.map(({ packaged }) => packaged));
    const lost = (of: typeof after) => sumWeights(Object.values(of.losses));
    expect(lines(after) + lost(after)).toBe(weight(91));
    expect((await view()).otherwise[0]).toMatch(/: Butt to grind, tough\./);
    const { notes } = await shop.get('settleView', { shareId });
    expect(notes).toEqual([
      { cut: 'Butt', note: expect.stringMatching(/^The butt was coarse on this animal/) },
    ]);
  });

  it('says what of it was cut away, and no more than there is', async () => {
    const bruise = { decision: 'center-loin', reason: 'bruise', doneAs: 'out' } as const;
    expect(await otherwise({ ...bruise, weight: 90_000 })).toMatchObject({
      ok: false,
      reason: 'more-than-there-is',
    });
    const before = await shop.get('wrapView', { shareId }, 'cutter');
    await otherwise({ ...bruise, weight: 1_300 });
    const after = await shop.get('wrapView', { shareId }, 'cutter');
    expect(after.losses.inedible - before.losses.inedible).toBeGreaterThan(1_000);
    const { notes } = await shop.get('settleView', { shareId });
    expect(notes[0]!.note).toMatch(/^There was a bruise at the center loin: 1\.3 lb had to be cut away\./);
  });

  it('twice in a row stands on what was done before', async () => {
    await otherwise({});
    await otherwise({ decision: 'ham', reason: 'called', doneAs: 'whole' });
    const lines = (await shop.get('wrapView', { shareId }, 'cutter')).lines;
    expect(lines.filter(({ decision }) => decision === 'butt')).toEqual([]);
    expect(lines.filter(({ decision }) => decision === 'ham').map(({ packs }) => packs)).toEqual([1]);
  });

  it('of a row that is packed already is refused, except a part of it', async () => {
    const [line] = (await shop.get('wrapView', { shareId }, 'cutter')).lines.filter(
      ({ decision }) => decision === 'center-loin',
    );
    const purpose = { kind: 'package', from: 'share', lineKey: line!.key } as const;
    await shop.get('weigh', { ...shop.weighing(shareId, purpose, 1_290), sure: true });
    const ground = { decision: 'center-loin', doneAs: 'grind' } as const;
    expect(await otherwise(ground)).toMatchObject({ ok: false, reason: 'packed-already' });
    expect(await otherwise({ ...ground, weight: 1_000 })).toMatchObject({ ok: true });
  });

  it('is nothing that a wrapper decides', async () => {
    const input = { clientId: randomUUID(), shareId, hand: 'left', decision: 'butt' } as const;
    const refused = await shop.ask(
      'doOtherwise',
      { ...input, reason: 'tough', doneAs: 'grind', weight: null },
      'wrapper',
    );
    expect(refused).toMatchObject({ ok: false, reason: 'not-allowed' });
  });
});

describe('the counter', () => {
  it('is to tell it at once, in words to be read out, until somebody has spoken with them', async () => {
    const due = async () => (await shop.get('callsView', {})).rows.filter((row) => row.shareId === shareId);
    expect(await due()).toEqual([]);
    await otherwise({});
    expect(await due()).toEqual([
      expect.objectContaining({ why: 'done otherwise on the block', daysLeft: 0 }),
    ]);
    const { asks } = await shop.get('callView', { shareId });
    expect(asks[0]!.words).toMatch(/butt to grind on the block, tough\. Tell them/);
    const call = { shareId, said: 'Grind is fine' } as const;
    await shop.get('noteCall', { clientId: randomUUID(), ...call, reached: 'nobody' });
    expect(await due()).toHaveLength(1);
    await shop.get('noteCall', { clientId: randomUUID(), ...call, reached: 'spoken' });
    expect(await due()).toEqual([]);
  });

  it('has nothing to tell of what the household asked for itself', async () => {
    await otherwise({ reason: 'called' });
    expect((await shop.get('callsView', {})).rows.filter((row) => row.shareId === shareId)).toEqual([]);
  });
});

describe('the wrap table', () => {
  it('says every size that the sheet asks for, the side where they differ, and what goes to the tub', async () => {
    const answers = {
      belly: [{ option: 'bacon', params: { slice: 'thick' } }],
      ham: [{ option: 'grind' }],
      butt: [{ option: 'roast', params: { fatLeft: 0.25 } }],
    };
    shareId = await shop.onTheBlock(
      { houseForTheRest: true, answers },
      { animal: { ...hogDocument().animal, tag: 'H907' } },
    );
    const { lines, asked } = await shop.get('wrapView', { shareId }, 'wrapper');
    const of = (decision: string) => {
      const line = lines.find((each) => each.decision === decision)!;
      return asked.ofLine[line.key];
    };
    expect(of('belly')).toMatch(/3\/16 in slice/);
    expect(of('butt')).toMatch(/1\/4 in fat left on/);
    expect(asked.toTub).toContain('ham');
    // What the name says already is not said again.
    for (const line of lines.filter(({ cut }) => /cured and smoked/.test(cut))) {
      expect(asked.ofLine[line.key]).not.toMatch(/cured and smoked/);
    }
  });
});
