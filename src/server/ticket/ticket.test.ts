import { randomUUID } from 'node:crypto';
import { sumWeights, type Weight } from '@/core/quantity/weight';
import { TestShop } from '../tests/testShop';

let shop: TestShop;
beforeEach(async () => {
  shop = await TestShop.open();
});
afterEach(() => shop.close());

const ticketOf = (shareId: never) => shop.get('ticketView', { shareId });
const pack = { kind: 'package', from: 'share', lineKey: 'center-loin.0.0' } as const;

describe('the ticket of a share', () => {
  it('shows the whole weight before the block as expected, from there on as weighed; both add up', async () => {
    const [left] = await shop.book();
    const before = await ticketOf(left!.share.id as never);
    expect(sumWeights(before.whole.map((part) => part.weight))).toBe(before.cold);
    expect(before.balance).toBeNull();
    const shareId = await shop.onTheBlock(undefined, {
      animal: { tag: 'H901', species: 'hog', killDate: '2026-11-22', inspection: 'custom-exempt' },
    });
    await shop.get('weigh', shop.weighing(shareId, pack, 1290));
    const after = await ticketOf(shareId as never);
    expect(sumWeights(after.whole.map((part) => part.weight))).toBe(after.cold);
    expect(after.whole.find((part) => part.open)).toMatchObject({ weight: (91_000 - 1290) as Weight });
    const chops = after.packs.find((line) => line.key === pack.lineKey)!;
    expect([chops.packs.length, chops.net, chops.packs[0]!.serial]).toEqual([1, 1290, 1]);
    expect(chops.asked).toBeGreaterThan(1);
  });

  it('has its own line along the rail: what is done, what waits, what is to come', async () => {
    const shareId = await shop.onTheBlock();
    const { line, stage } = await ticketOf(shareId as never);
    expect(stage).toBe('wrap');
    expect(line.map((step) => `${step.stage} ${step.state}`)).toEqual([
      'book done',
      'hang done',
      'sheet done',
      'wrap now',
      'reconcile to come',
      'settle to come',
    ]);
    expect(line.every((step) => step.state === 'to come' || step.at !== '')).toBe(true);
  });

  it('tells what was asked and said in one list, calls and versions by their time', async () => {
    const [left] = await shop.book();
    const shareId = left!.share.id;
    await shop.get('noteCall', { clientId: randomUUID(), shareId, reached: 'nobody', said: '' });
    const { office } = await ticketOf(shareId as never);
    expect(office!.said.map((each) => each.words)).toEqual(['sheet kept', 'called, no answer']);
  });

  it('names the other half of the animal and where it is', async () => {
    const [left] = await shop.book();
    const { others, unsold } = await ticketOf(left!.share.id as never);
    expect(others).toMatchObject([{ name: 'Corwin Aske, right half', stage: 'book' }]);
    expect(unsold).toEqual([]);
  });
});
