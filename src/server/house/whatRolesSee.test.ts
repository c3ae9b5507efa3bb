import { randomUUID } from 'node:crypto';
import type { ShareId } from '@/core/order/animal';
import type { Role } from '@/data/people';
import { hogDocument, TestShop } from '../tests/testShop';
import type { InputOf, OutputOf, UseCaseName } from '../useCases';

let shop: TestShop;
let packing: ShareId;
let closed: ShareId;

const PHONE = '555 0170';

beforeAll(async () => {
  shop = await TestShop.open();
  const weights = { left: { hot: 92.5, cold: 91 }, right: { hot: 91, cold: 89.6 } };
  const share = (tag: string, name: string) =>
    hogDocument({
      animal: { ...hogDocument().animal, tag, killDate: '2026-11-20' },
      farm: { name: 'Low Tarn', phone: PHONE },
      shares: [
        {
          part: 'left',
          owner: { name, phone: PHONE },
          payer: { name: `${name} and Son`, phone: PHONE },
          deposit: 50,
          sheet: { houseForTheRest: true },
        },
        { part: 'right', owner: { name: 'Corwin Aske', phone: PHONE } },
      ],
      weights,
    });
  const [first] = await shop.book(share('H901', 'Isolde Marsh'));
  packing = first!.share.id;
  await shop.approveAndStart(packing);
  const purpose = { kind: 'package', from: 'share', lineKey: 'center-loin.0.0' } as const;
  await shop.get('weigh', shop.weighing(packing, purpose, 1290));
  const [second] = await shop.book(share('H902', 'Rurik Vell'));
  closed = second!.share.id;
  await shop.approveAndStart(closed);
  for (const line of (await shop.get('wrapView', { shareId: closed })).lines) {
    const note = 'All of it went otherwise';
    await shop.get('noteLine', { clientId: randomUUID(), shareId: closed, lineKey: line.key, note });
  }
  const note = 'Nothing of it was ever weighed';
  await shop.get('closeShare', { clientId: randomUUID(), shareId: closed, note });
});
afterAll(() => shop.close());

/** What each page of the shop asks for, with the data that would give most away. */
const PAGES: readonly [UseCaseName, () => object][] = [
  ['railView', () => ({})],
  ['todayView', () => ({})],
  ['hangView', () => ({})],
  ['stageView', () => ({ stage: 'settle', page: 0 })],
  ['stageView', () => ({ stage: 'wrap', page: 0 })],
  ['stageView', () => ({ stage: 'sheet', page: 0 })],
  ['findView', () => ({ words: 'vell' })],
  ['wrapView', () => ({ shareId: packing })],
  ['ticketView', () => ({ shareId: packing })],
  ['ticketView', () => ({ shareId: closed })],
];
const OF_THE_OFFICE: readonly [UseCaseName, () => object][] = [
  ['sheetView', () => ({ shareId: packing })],
  ['balanceView', () => ({ shareId: packing })],
  ['settleView', () => ({ shareId: packing })],
  ['bookingView', () => ({})],
];

const ask = (name: UseCaseName, input: object, role: Role) =>
  shop.ask(name, input as InputOf<UseCaseName>, role) as Promise<{
    ok: boolean;
    value?: OutputOf<UseCaseName>;
  }>;

/** Amounts in words, and the names of what holds them. */
const MONEY = /\$\d|"(estimate|deposit|paid|money|bill|priceList|facts)":(?!null)/;

describe.each(['cutter', 'wrapper', 'smoker'] as const)('the %s', (role) => {
  it.each(PAGES)('is sent no price, bill, telephone or booking by %s', async (name, input) => {
    const { ok, value } = await ask(name, input(), role);
    expect(ok).toBe(true);
    const sent = JSON.stringify(value);
    expect(sent).not.toMatch(MONEY);
    expect(sent).not.toContain(PHONE);
  });

  it.each(OF_THE_OFFICE)('may not ask for %s', async (name, input) => {
    expect(await ask(name, input(), role)).toMatchObject({ ok: false, reason: 'not-allowed' });
  });
});

describe('the counter', () => {
  it('is sent them, so that the test above looks for what is there', async () => {
    const sent = await Promise.all(
      [...PAGES, ...OF_THE_OFFICE].map(async ([name, input]) =>
        JSON.stringify((await ask(name, input(), 'counter')).value),
      ),
    );
    expect(sent.join()).toContain(PHONE);
    expect(sent.join()).toMatch(/\$\d/);
    expect(sent.join()).toMatch(/"deposit":5000/);
  });
});
