import fc from 'fast-check';
import type { OrderDocument } from '../order/document';
import { readBookingsCsv, writeBookingsCsv } from './bookingsCsv';

const HEADER = 'farm,tag,species,kill_day,part,household,phone,deposit,percent';
const read = (...rows: string[]) => readBookingsCsv([HEADER, ...rows].join('\n'), 'lb');

function value<T>(result: { ok: true; value: T } | { ok: false; message: string }): T {
  if (!result.ok) throw new Error(result.message);
  return result.value;
}

describe('many bookings in a table', () => {
  it('are a row for each share; rows of one tag are one animal, an empty household is not sold', () => {
    const { documents, wrong } = value(
      read(
        'Saltgate,B048,Beef,2026-12-03,left,Isolde Wray,555 0161,75,50',
        'Saltgate,B048,Beef,2026-12-03,left,,,,50',
        'Saltgate,B048,Beef,2026-12-03,right,Merrin Shaw,,,',
        'Low Tarn,H121,hog,2026-12-03,whole,Hesper Lund,,50,',
      ),
    );
    expect(wrong).toEqual([]);
    expect(documents).toHaveLength(2);
    expect(documents[0]).toMatchObject({
      animal: { tag: 'B048', species: 'beef' },
      shares: [
        { part: 'left', sharePct: 50, owner: { name: 'Isolde Wray', phone: '555 0161' }, deposit: 75 },
        { part: 'right' },
      ],
      unsold: [{ part: 'left', sharePct: 50 }],
    });
  });

  it('mark each wrong cell, and find the cell of what the house says', () => {
    const { wrong, cellOf } = value(
      read('Saltgate,B048,Beef,,left,A,,fifty,', 'Low Tarn,B048,Beef,2026-12-03,right,B,,,'),
    );
    expect(wrong.map(({ field }) => field)).toEqual(['0.kill_day', '0.deposit', '1.farm', '1.kill_day']);
    expect(cellOf('documents.0.shares.1.owner.name')).toBe('1.household');
    expect(cellOf('documents.0.animal.tag')).toBe('0.tag');
    expect(cellOf('documents.7.animal.tag')).toBeUndefined();
  });

  it('without a column say which', () => {
    expect(readBookingsCsv('tag\nH1', 'lb')).toMatchObject({ ok: false, field: 'header' });
  });

  it('written and read again are the same', () => {
    const word = fc.constantFrom('Ann Birch', 'O’Hara, "Red"', 'Ødegård', 'A B');
    const share = fc.record({ name: word, deposit: fc.integer({ min: 1, max: 500 }), house: fc.boolean() });
    const anyOrder = fc
      .record({ farm: word, halves: fc.tuple(share, share), sells: fc.boolean() })
      .map(({ farm, halves, sells }): OrderDocument => {
        const shares = halves.map((half, at) => ({
          part: (['left', 'right'] as const)[at]!,
          owner: { name: half.name },
          deposit: half.deposit,
          ...(half.house ? { sheet: { houseForTheRest: true } } : {}),
        }));
        return {
          format: 'fractum.order',
          version: 1,
          unit: 'lb',
          farm: { name: farm },
          animal: { tag: 'H1', species: 'hog', killDate: '2026-12-03', inspection: 'custom-exempt' },
          shares: sells ? shares : shares.slice(0, 1),
          ...(sells ? {} : { unsold: [{ part: 'right' as const }] }),
        };
      });
    fc.assert(
      fc.property(fc.array(anyOrder, { minLength: 1, maxLength: 4 }), (orders) => {
        const documents = orders.map((order, at) => ({
          ...order,
          animal: { ...order.animal, tag: `H${at}` },
        }));
        const again = value(readBookingsCsv(writeBookingsCsv(documents), 'lb'));
        expect(again.documents).toEqual(documents);
        expect(again.wrong).toEqual([]);
      }),
    );
  });
});
