import { randomUUID } from 'node:crypto';
import { hogDocument } from '../tests/testShop';
import { WrapTable } from '../tests/wrapTable';

const table = new WrapTable();

describe('a word about a line', () => {
  const note = (lineKey: string, shareId = table.shareId) =>
    table.shop.ask('noteLine', { clientId: randomUUID(), shareId, lineKey, note: 'taken fresh' });

  it('is for lines of the plan, from the block on', async () => {
    expect(await note('center-loin.0.0')).toMatchObject({ ok: true });
    expect(await note('constructor')).toMatchObject({ reason: 'not-on-the-sheet' });
    const [waiting] = await table.shop.book(
      hogDocument({ animal: { ...hogDocument().animal, tag: 'H901' } }),
    );
    expect(await note('center-loin.0.0', waiting!.share.id)).toMatchObject({ reason: 'not-on-the-block' });
  });
});
