import { forecastDocument } from '@/core/order/forecastDocument';
import { readOrder } from '@/core/order/readOrder';
import { planOf } from '@/core/order/standing';
import { answered, form, house } from '@/core/tests/halfHog';
import { hogDocument, TestShop } from '../tests/testShop';

let shop: TestShop;
beforeEach(async () => {
  shop = await TestShop.open();
});
afterEach(() => shop.close());

describe('the order file of an animal', () => {
  it.each(['hog', 'beef', 'lamb', 'bison', 'goat'])(
    'of a %s, read again, is expected to give what stands on the screen',
    async (species) => {
      const light = species === 'lamb' || species === 'goat' ? 28 : species === 'hog' ? 91 : 330;
      const weights = { left: { hot: light * 1.03, cold: light } };
      const animal = { ...hogDocument().animal, species, tag: 'X1' };
      const [left, right] = await shop.book(hogDocument({ animal, weights }));
      if (species === 'hog') {
        const sheet = answered(house, 'butt', form('butt', 'steaks'));
        await shop.get('saveSheet', { shareId: right!.share.id, baseVersion: 0, sheet });
      }
      const file = await shop.get('orderFileView', { shareId: left!.share.id });
      const reading = { unit: 'lb' as const, tools: ['band-saw'], catalogue: shop.catalogue };
      const read = readOrder(JSON.parse(JSON.stringify(file)), reading);
      expect(read).toMatchObject({ ok: true });
      if (!read.ok) return;
      const { shares } = forecastDocument(reading, read.value);
      for (const [at, booked] of [left!, right!].entries()) {
        const own = await shop.file(booked.share.id);
        const { expected } = planOf(own);
        const said = shares[at]!;
        if (!own.sheet) {
          expect(said.answered).toBe(false);
          continue;
        }
        expect([said.cold, said.takeHome]).toEqual([expected.coldWeight / 1000, expected.takeHome / 1000]);
        expect(said.lines.map(({ cut, packaged, packs }) => [cut, packaged, packs])).toEqual(
          expected.lines.map(({ cut, packaged, packs }) => [cut, packaged / 1000, packs]),
        );
      }
    },
  );
});
