import fc from 'fast-check';
import twoHalves from '#examples/two-halves.json';
import { ACCOUNT_KINDS } from '../ledger/ledger';
import { forecastDocument } from '../order/forecastDocument';
import { readOrder } from '../order/readOrder';
import { weight, type Weight } from '../quantity/weight';
import { catalogue, allSpecies } from '../tests/catalogue';
import { demoPrices } from '../tests/prices';
import { atlasProblems, readAtlas, writeAtlas } from './atlasCsv';
import { readCsv, writeCsv } from './csv';
import { writeForecastCsv } from './forecastCsv';
import { readLedger, writeLedger, type LedgerRow } from './ledgerCsv';
import { readPriceListCsv, writePriceListCsv } from './priceListCsv';

function valueOf<T>(read: { ok: true; value: T } | { ok: false; message: string }): T {
  if (!read.ok) throw new Error(read.message);
  return read.value;
}

describe('a table', () => {
  it('comes back as it went out, commas, quotes, line breaks and all', () => {
    const field = fc.string({ unit: 'grapheme' }).filter((text) => text === text.replace(/\r/g, ''));
    const row = fc.record({ a: field.filter((text) => text.trim() !== ''), b: field, c: field });
    fc.assert(
      fc.property(fc.array(row, { minLength: 1, maxLength: 8 }), (rows) => {
        expect(valueOf(readCsv(writeCsv(['a', 'b', 'c'], rows), ['a', 'b', 'c']))).toEqual(rows);
      }),
      { numRuns: 1000, seed: 20261125 },
    );
  });

  it('without a column says which', () => {
    expect(readCsv('a,b\n1,2\n', ['a', 'c'])).toMatchObject({
      ok: false,
      field: 'header',
      message: /missing: c/,
    });
  });
});

describe.each(allSpecies().map((species) => [species.id, species] as const))(
  'the atlas of a %s',
  (_, { atlas }) => {
    it('comes back as it went out, and has nothing wrong with it', () => {
      const atoms = valueOf(readAtlas(writeAtlas(atlas.atoms)));
      expect(atoms).toEqual(atlas.atoms.map((atom) => ({ ...atom })));
      expect(atlasProblems(atoms, [atlas.vertebrae])).toEqual([]);
    });
  },
);

describe('an atlas that is wrong', () => {
  const { atlas } = allSpecies()[0]!;
  const { atoms } = atlas;
  const [first, ...rest] = atoms;

  it.each([
    ['a share too much', [{ ...first!, sharePct: 3.6 }, ...rest], 'shares add up to'],
    ['an atom twice', [first!, ...atoms], 'is there twice'],
    [
      'tissues that are not a whole',
      [{ ...first!, composition: { lean: 1, fat: 1, bone: 1, skin: 1 } }, ...rest],
      'tissues add up to 4 %',
    ],
    [
      'less than nothing',
      [{ ...first!, composition: { lean: 110, fat: -10, bone: 0, skin: 0 } }, ...rest],
      'less than nothing',
    ],
    ['a place that no spine has', [{ ...first!, span: ['C99', 'T2'] as const }, ...rest], 'no spine has C99'],
    ['half a place', [{ ...first!, span: ['T2', ''] as const }, ...rest], 'no spine has an empty end'],
    ['a span that runs backwards', [{ ...first!, span: ['T5', 'T2'] as const }, ...rest], 'runs backwards'],
    ['a length below nothing', [{ ...first!, lengthIn: -6 }, ...rest], 'is -6 inches long'],
    ['a share beyond the whole', [{ ...first!, attachedShare: 2 }, ...rest], 'from 0 to 1, not 2'],
    ['an id with blanks', [{ ...first!, id: 'neck bone' }, ...rest], 'small letters, digits and hyphens'],
  ])('names %s', (_, wrong, message) => {
    expect(
      atlasProblems(wrong, [atlas.vertebrae])
        .map((problem) => problem.message)
        .join(),
    ).toContain(message);
  });

  it.each([
    ['a word for a number', 'share_pct', 'much', 'row 2, share_pct'],
    ['an end nobody knows', 'leftover', 'dog', 'row 2, leftover'],
  ])('with %s names the field', (_, column, value, field) => {
    const [header, row] = writeAtlas([first!]).split('\n');
    const at = header!.split(',').indexOf(column);
    const cells = row!.split(',');
    cells[at] = value;
    expect(readAtlas(`${header}\n${cells.join(',')}\n`)).toMatchObject({ ok: false, field });
  });
});

describe('a ledger', () => {
  const anyTransaction = fc
    .record({
      transaction: fc.uuid(),
      at: fc.constant('2026-11-25T09:00:00.000Z'),
      reason: fc.constantFrom('hang', 'package, voided', 'close "the half"'),
      moved: fc.integer({ min: 1, max: 400_000 }),
      kinds: fc.tuple(fc.constantFrom(...ACCOUNT_KINDS), fc.constantFrom(...ACCOUNT_KINDS)),
    })
    .map(({ moved, kinds, ...said }): LedgerRow[] => [
      { ...said, kind: kinds[0], owner: 'a', weight: -moved as Weight },
      { ...said, kind: kinds[1], owner: 'b, left', weight: moved as Weight },
    ]);

  it('comes back as it went out, in either unit', () => {
    fc.assert(
      fc.property(
        fc.array(anyTransaction, { minLength: 1, maxLength: 6 }),
        fc.constantFrom('lb' as const, 'kg' as const),
        (transactions, unit) => {
          const rows = transactions.flat();
          expect(valueOf(readLedger(writeLedger(rows, unit)))).toEqual({ rows, unit });
        },
      ),
      { numRuns: 1000, seed: 20261125 },
    );
  });

  it('that does not add up is refused with the transaction', () => {
    const [row] = fc.sample(anyTransaction, { numRuns: 1, seed: 1 })[0]!;
    const text = writeLedger([{ ...row!, transaction: 'T1', weight: weight(2) }], 'lb');
    expect(readLedger(text)).toMatchObject({
      ok: false,
      message: 'Transaction T1 is off by 2 lb: it must add up to zero.',
    });
  });
});

describe('a price list', () => {
  it.each(demoPrices.map((list) => [list.name, list] as const))('%s comes back as it went out', (_, list) => {
    expect(valueOf(readPriceListCsv(writePriceListCsv(list)))).toEqual(list);
  });

  it('with a basis nobody knows names the field', () => {
    const text = writePriceListCsv(demoPrices[0]!).replace(',head,', ',moon,');
    expect(readPriceListCsv(text)).toMatchObject({ ok: false, field: 'row 2, basis' });
  });

  const written = writePriceListCsv(demoPrices[0]!);

  it.each([
    [
      'dollars for cents',
      ',7200,',
      ',72.50,',
      'row 2, rate_cents',
      'A rate is in whole cents: 98 for 0.98, not 72.50.',
    ],
    [
      'another minimum in a later row',
      '12000,600,cut-and-wrap',
      '9000,600,cut-and-wrap',
      'row 3, minimum_cents',
      'The list says 9000 here and 12000 in row 2.',
    ],
    [
      'a day that is none',
      /2026-03-01/g,
      '2026-13-45',
      'effectiveFrom',
      'Effective from is not a day of the calendar.',
    ],
    [
      'two rules of one id',
      'cut-and-wrap,Cut',
      'slaughter,Cut',
      'rules.1',
      'The id "slaughter" is given to two rules.',
    ],
  ])('with %s says so', (_, said, instead, field, message) => {
    expect(readPriceListCsv(written.replace(said, instead))).toMatchObject({ ok: false, field, message });
  });

  it.each([
    [
      'a tier without a rate',
      'hog,250,',
      'row 2, tiers',
      '"250" is no tier: 250:9800 is 98.00 for an animal above 250.',
    ],
    [
      'tiers that fall',
      'hog,250:100 200:90,',
      'rules.0.tiers',
      'Tiers begin with the lightest, each above another weight.',
    ],
    ['a payer nobody knows', 'hog,250:100,dog', 'row 2, payer', '"dog" is none of eater, farm.'],
  ])('with %s says so', (_, more, field, message) => {
    const text = written.replace(/(,head,7200,,),,,/, `$1,${more}`);
    expect(readPriceListCsv(text)).toMatchObject({ ok: false, field, message });
  });

  it('takes yes and no as spreadsheets write them', () => {
    const text = written.replace(/^(.*,)(\n|$)/m, '$1$2').replace(/,head,7200,,/, ',head,7200,,TRUE');
    expect(valueOf(readPriceListCsv(text)).rules[0]).toMatchObject({ taxable: true });
  });
});

describe('a forecast as a table', () => {
  it('has a row for each line with its weights', () => {
    const shop = { unit: 'lb' as const, tools: ['band-saw'], catalogue };
    const document = forecastDocument(shop, valueOf(readOrder(twoHalves, shop)));
    const rows = valueOf(readCsv(writeForecastCsv(document), ['cut', 'packaged_lb', 'packs']));
    expect(rows).toHaveLength(document.shares.flatMap((share) => share.lines).length);
    const packaged = rows.reduce((sum, row) => sum + Number(row.packaged_lb), 0);
    expect(packaged).toBeCloseTo(
      document.shares.reduce((sum, share) => sum + share.takeHome, 0),
      6,
    );
  });
});
