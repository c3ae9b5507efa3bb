import { randomUUID } from 'node:crypto';
import type { Level } from '@/core/block/levels';
import type { ShareId } from '@/core/order/animal';
import { instant } from '@/core/time/shopTime';
import { writeLevel } from '@/data/people';
import { TestShop } from '../tests/testShop';

let shop: TestShop;
let shareId: ShareId;

beforeEach(async () => {
  shop = await TestShop.open();
  shareId = await shop.onTheBlock();
});
afterEach(() => shop.close());

const view = () => shop.get('blockView', { shareId }, 'cutter');
const mark = (step: string) =>
  shop.ask('markStep', { clientId: randomUUID(), shareId, hand: 'left', step, done: true }, 'cutter');

describe('whoever learns', () => {
  const PERSON = { id: 'id-cutter', name: 'Pim', role: 'cutter', secret: 'x', state: 'here' };
  const give = (level: Level) =>
    writeLevel(shop.db, { personId: PERSON.id, level, at: instant(shop.now), actorId: 'id-owner' });
  beforeEach(async () => {
    await shop.db('users').insert(PERSON);
  });

  it('is not told how a step is done that is not theirs yet, and cannot mark it', async () => {
    await give(2);
    const saw = (await view()).steps.find(({ id }) => id === 'ham-off')!;
    expect(saw).toMatchObject({ mayDo: false, where: '', with: '', line: { saw: [], knife: [] } });
    expect(saw.off.length).toBeGreaterThan(0);
    expect(await mark('ham-off')).toMatchObject({ ok: false, reason: 'not-yet' });
    expect(await mark('jowl-off')).toMatchObject({ ok: true });
    await give(3);
    expect(await mark('ham-off')).toMatchObject({ ok: true });
    const { steps } = await view();
    const marked = (id: string) => steps.find((step) => step.id === id);
    expect(marked('ham-off')).toMatchObject({ mayDo: true, byLearner: false, doneBy: 'Pim' });
    expect(marked('ham-off')!.where).not.toBe('');
  });

  it('an owner may do everything, whatever they once were', async () => {
    const given = { personId: 'id-owner', level: 1 as const, at: instant(shop.now), actorId: 'id-owner' };
    await shop.db('users').insert({ ...PERSON, id: 'id-owner', name: 'Maren', role: 'owner' });
    await writeLevel(shop.db, given);
    const { steps } = await shop.get('blockView', { shareId }, 'owner');
    expect(steps.every(({ mayDo }) => mayDo)).toBe(true);
  });

  it('leaves a mark on the steps they did, however far they have come since', async () => {
    await give(1);
    await mark('inside-out');
    shop.now = new Date(shop.now.getTime() + 60_000);
    await give(3);
    const { steps } = await view();
    expect(steps.find(({ id }) => id === 'inside-out')).toMatchObject({ byLearner: true, doneBy: 'Pim' });
  });

  it('of a side it is said who cut, boned and trimmed; the ticket says it too', async () => {
    await mark('jowl-off');
    expect((await view()).who).toEqual({ cut: 'Pim', boned: '', trimmed: '' });
    const say = (personId: string) =>
      shop.ask(
        'sayWhoDid',
        { clientId: randomUUID(), shareId, hand: 'left', task: 'trimmed', personId },
        'cutter',
      );
    expect(await say(randomUUID())).toMatchObject({ ok: false, reason: 'not-found' });
    const secret = 'fish-on-friday';
    const odda = { clientId: randomUUID(), name: 'Odda', role: 'wrapper', secret } as const;
    await say((await shop.get('takeOn', odda)).personId);
    expect((await view()).who.trimmed).toBe('Odda');
    expect((await shop.get('ticketView', { shareId })).worked).toEqual([
      'left side: cut by Pim, trimmed by Odda',
    ]);
  });
});
