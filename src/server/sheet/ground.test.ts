import type { ShareDocument } from '@/core/order/document';
import { estimateOf, planOf } from '@/core/order/standing';
import { evaluate } from '@/core/questions/evaluate';
import { groundOf } from '@/core/questions/groundOf';
import { hogDocument, TestShop } from '../tests/testShop';

let shop: TestShop;
beforeEach(async () => {
  shop = await TestShop.open();
});
afterEach(() => shop.close());

const sheet = { houseForTheRest: true };
const share = (part: ShareDocument['part'], name: string, sharePct?: number): ShareDocument => ({
  part,
  ...(sharePct ? { sharePct } : {}),
  owner: { name },
  sheet,
});

it.each<[string, ShareDocument[]]>([
  ['a half', [share('left', 'Isolde Wray')]],
  ['a whole one', [share('whole', 'Isolde Wray')]],
  ['a fore and a hind quarter', [share('left-fore', 'Isolde Wray'), share('left-hind', 'Tobit Lane')]],
  ['a mixed quarter of a side', [share('left', 'Isolde Wray', 50), share('left', 'Tobit Lane', 50)]],
  ['percentages of the whole', [share('whole', 'Isolde Wray', 62.5), share('whole', 'Tobit Lane', 37.5)]],
])('the figures on the sheet are the ones of the house: %s', async (_, shares) => {
  const files = await shop.book(
    hogDocument({
      farm: { name: 'Saltgate' },
      animal: { tag: 'B048', species: 'beef', killDate: '2026-11-09', inspection: 'custom-exempt' },
      shares,
      weights: { left: { hot: 390, cold: 366 }, right: { hot: 388, cold: 364 } },
    }),
  );
  const lead = await shop.file(files[0]!.share.id);
  for (const { share } of files.filter((file) => file.share.part !== lead.share.part).concat(lead)) {
    const file = await shop.file(share.id);
    const view = await shop.get('sheetView', { shareId: share.id });
    const { forecast, bill } = evaluate(groundOf(view, file.situation.species), view.sheet);
    expect(forecast).toEqual(planOf(file).expected);
    expect(bill).toEqual(estimateOf(file));
  }
});

it('the sheet knows what the others of the animal keep', async () => {
  const [whole] = await shop.book(hogDocument({ shares: [{ ...share('whole', 'Isolde Wray') }] }));
  expect(await shop.get('sheetView', { shareId: whole!.share.id })).toMatchObject({ others: [] });
  const [left] = await shop.book(
    hogDocument({
      farm: { name: 'Saltgate' },
      animal: { tag: 'B048', species: 'beef', killDate: '2026-11-09', inspection: 'custom-exempt' },
      shares: [
        share('left', 'Isolde Wray', 50),
        share('left', 'Tobit Lane', 50),
        share('right', 'Petrok Hale'),
      ],
    }),
  );
  expect(await shop.get('sheetView', { shareId: left!.share.id })).toMatchObject({
    others: [{ owner: 'Petrok Hale', ones: expect.arrayContaining(['Oxtail']) }],
  });
});
