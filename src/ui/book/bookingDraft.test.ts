import { catalogue } from '@/core/tests/catalogue';
import { readOrder } from '@/core/order/readOrder';
import { documentOf, emptyDraft, type Draft } from './bookingDraft';

const shop = { unit: 'lb' as const, tools: ['band-saw'], catalogue };

function draft(change: Partial<Draft> = {}): Draft {
  const empty = emptyDraft('hog');
  const [first, second] = empty.households;
  return {
    ...empty,
    tag: ' H200 ',
    killDate: '2026-11-23',
    farm: 'Oxter Hill',
    households: [
      { ...first, name: 'Isolde Marsh', phone: '555 0170', deposit: '50', house: true },
      { ...second, name: 'Rurik Vell', payer: 'Vell and Son' },
    ],
    ...change,
  };
}

describe('what stands in the booking form', () => {
  it('is an order that the house reads', () => {
    const order = documentOf(draft(), 'lb');
    expect(readOrder(order, shop)).toMatchObject({ ok: true });
    expect(order.animal.tag).toBe('H200');
    expect(order.shares).toEqual([
      {
        part: 'left',
        owner: { name: 'Isolde Marsh', phone: '555 0170' },
        deposit: 50,
        sheet: { houseForTheRest: true },
      },
      { part: 'right', owner: { name: 'Rurik Vell' }, payer: { name: 'Vell and Son' } },
    ]);
  });

  it('for a whole is one share', () => {
    expect(documentOf(draft({ split: 'whole' }), 'lb').shares.map((share) => share.part)).toEqual(['whole']);
  });

  it.each<[string, Partial<Draft>, string]>([
    ['a tag', { tag: ' ' }, 'animal.tag'],
    ['a day', { killDate: '' }, 'animal.killDate'],
    ['a farm', { farm: '' }, 'farm.name'],
    [
      'a deposit that is money',
      { households: [{ ...draft().households[0], deposit: 'some' }, draft().households[1]] },
      'shares.0.deposit',
    ],
  ])('without %s is refused at that field', (_, change, field) => {
    const read = readOrder(documentOf(draft(change), 'lb'), shop);
    expect(read.ok ? [] : read.problems!.map((problem) => problem.field)).toContain(field);
  });
});
