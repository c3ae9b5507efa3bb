import dayjs from 'dayjs';
import { catalogue } from '@/core/tests/catalogue';
import type { Failure } from '@/core/quantity/result';
import { readOrder } from '@/core/order/readOrder';
import { documentOf, emptyBooking, type BookingFields } from './booking';

const shop = { unit: 'lb' as const, tools: ['band-saw'], catalogue };

function booking(change: Partial<BookingFields> = {}): BookingFields {
  return {
    ...emptyBooking('hog'),
    animal: { ...emptyBooking('hog').animal, tag: ' H200 ', killDate: dayjs('2026-11-23') },
    farm: { name: 'Oxter Hill' },
    shares: [
      {
        owner: { name: 'Isolde Marsh', phone: '555 0170' },
        deposit: '50',
        sheet: { houseForTheRest: true },
      },
      { owner: { name: 'Rurik Vell' }, payer: { name: 'Vell and Son' } },
    ],
    ...change,
  };
}

describe('what stands in the booking form', () => {
  it('is an order that the house reads', () => {
    const order = documentOf(booking(), 'lb');
    expect(readOrder(order, shop)).toMatchObject({ ok: true });
    expect(order.animal).toMatchObject({ tag: 'H200', killDate: '2026-11-23' });
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

  it('sold whole has one share', () => {
    expect(documentOf(booking({ split: 'whole' }), 'lb').shares.map((share) => share.part)).toEqual([
      'whole',
    ]);
  });

  it('says what is true of the carcass, and nothing when nothing is', () => {
    expect(documentOf(booking(), 'lb').animal).not.toHaveProperty('carcass');
    const carcass = { school: '', condition: { type: 'overfat', flags: [] } };
    const { animal } = documentOf(booking({ animal: { ...booking().animal, carcass } }), 'lb');
    expect(animal.carcass).toEqual({ condition: { type: 'overfat' } });
  });

  it('left empty is refused field by field, by the names of the form', () => {
    const read = readOrder(documentOf(emptyBooking('hog'), 'lb'), shop);
    expect(read).toMatchObject({ ok: false, reason: 'invalid' });
    const fields = (read as Failure).problems!.map((problem) => problem.field);
    expect(fields).toEqual(
      expect.arrayContaining(['animal.tag', 'animal.killDate', 'farm.name', 'shares.0.owner.name']),
    );
  });

  it('a deposit that is no number is refused on its field, in words', () => {
    const [first] = booking().shares;
    const read = readOrder(documentOf(booking({ shares: [{ ...first, deposit: 'fifty' }, {}] }), 'lb'), shop);
    const problems = (read as Failure).problems;
    expect(problems).toContainEqual({
      field: 'shares.0.deposit',
      message: expect.stringMatching(/^Deposit .*number/),
    });
  });
});
