import { randomUUID } from 'node:crypto';
import type { ShareId } from '@/core/order/animal';
import { TestShop } from '../tests/testShop';

let shop: TestShop;
beforeEach(async () => {
  shop = await TestShop.open();
});
afterEach(() => shop.close());

const read = (shareId: ShareId, role: 'wrapper' | 'cutter') =>
  shop.ask('readNote', { clientId: randomUUID(), shareId }, role);

describe('words that stop the cutter', () => {
  it('stop each person once, and the ticket says who has read them', async () => {
    const shareId = await shop.onTheBlock({ houseForTheRest: true, instructions: 'Leave the fat on.' });
    const isRead = async (role: 'wrapper' | 'cutter') =>
      (await shop.get('wrapView', { shareId }, role)).noteRead;
    expect(await isRead('wrapper')).toBe(false);
    await read(shareId, 'wrapper');
    await read(shareId, 'wrapper');
    expect([await isRead('wrapper'), await isRead('cutter')]).toEqual([true, false]);
    const { office } = await shop.get('ticketView', { shareId });
    expect(office!.said.filter((each) => each.kind === 'read')).toHaveLength(1);
  });

  it('that are not there cannot have been read', async () => {
    expect(await read(await shop.onTheBlock(), 'cutter')).toMatchObject({ ok: false });
  });
});
