import fc from 'fast-check';
import { forecast } from '../forecast/forecast';
import { weight, type Weight } from '../quantity/weight';
import { COLD, half, house } from '../tests/halfHog';
import {
  checkDigit,
  elementString,
  GROUP_SEPARATOR,
  humanReadable,
  parseElementString,
  tradeItem,
  tradeItemOf,
  type PackageCode,
} from './gs1';
import { itemNumber } from './itemNumber';
import { keepUntil, labelFor, type LabelFacts } from './label';
import { layOut, type LabelMeasures } from './layOut';
import { SMALL_TYPE } from './sizes';

const code: PackageCode = {
  tradeItem: '90614141123455',
  net: weight(3.27),
  unit: 'lb',
  lot: 'K1184',
  serial: '000417',
};

describe('the bars of a package', () => {
  it('carry item, weight, lot and serial by the open scheme', () => {
    expect(checkDigit('9061414112345')).toBe(5);
    expect(humanReadable(code)).toBe('(01)90614141123455(3202)000327(10)K1184(21)000417');
    expect(elementString(code)).toBe(`0190614141123455320200032710K1184${GROUP_SEPARATOR}21000417`);
  });

  it('carry kilograms with three decimals', () => {
    expect(humanReadable({ ...code, unit: 'kg', net: weight(1.485) })).toContain('(3103)001485');
  });

  it('are read back as they were printed, to the division of the scale', () => {
    const anyCode = fc.record({
      tradeItem: fc.integer({ min: 1, max: 999_999_999 }).map((item) => tradeItem('200', item)),
      net: fc.integer({ min: 1, max: 3000 }).map((hundredths) => (hundredths * 10) as Weight),
      unit: fc.constantFrom('lb' as const, 'kg' as const),
      lot: fc.stringMatching(/^[A-Z0-9-]{1,20}$/),
      serial: fc.integer({ min: 1, max: 999_999 }).map((serial) => String(serial).padStart(6, '0')),
    });
    fc.assert(
      fc.property(anyCode, (printed) => {
        expect(parseElementString(elementString(printed))).toEqual({ ok: true, value: printed });
        const without = elementString(printed).replace(GROUP_SEPARATOR, '');
        expect(parseElementString(without)).toEqual({ ok: true, value: printed });
        expect(tradeItemOf(without)).toBe(printed.tradeItem);
      }),
    );
  });

  it.each(['', 'hello', elementString(code).replace('5320', '6320'), elementString(code).slice(2)])(
    '"%s" is not one of ours',
    (scanned) => {
      expect(parseElementString(scanned)).toMatchObject({ ok: false, reason: 'not-a-package-code' });
    },
  );

  it('start with 9 and the shop’s own range, and refuse an item that does not fit', () => {
    expect(tradeItem('200', 1040)).toMatch(/^9200000001040\d$/);
    expect(() => tradeItem('2000000', 1_000_000)).toThrow(/"item"/);
    expect(() => checkDigit('12')).toThrow(/"digits" expected 13 digits/);
  });
});

describe('the shop’s number of a cut', () => {
  it('is another one smoked than fresh, and another one in links than in bulk', () => {
    const number = (item: string) => itemNumber(half.species, { item });
    expect(number('jowl/Jowl slab/fresh')).not.toBe(number('jowl/Jowl, cured and smoked/cured'));
    expect(number('grind/breakfast/links')).not.toBe(number('grind/breakfast/bulk'));
    expect(() => number('jowl/constructor/fresh')).toThrow(/"item" expected an item of hog/);
  });

  it('is its own for every line of a sheet that keeps everything', () => {
    const keeps = Object.fromEntries(half.species.poolKeeps.map((keep) => [keep.id, true]));
    const { lines } = forecast(half, { ...house, keeps }, COLD);
    const numbers = lines.map((line) => itemNumber(half.species, line));
    expect(new Set(numbers).size).toBe(lines.length);
  });
});

/** Letters that are all half as wide as high, and bars as wide as any. */
const measures: LabelMeasures = {
  widthOf: (text, size) => text.length * size * 0.5,
  lacking: (text) => /[^\u0020-\u024f]/u.exec(text)?.[0] ?? '',
  modulesOf: (barcode) => barcode.length * 6,
};

const facts: LabelFacts = {
  shopName: 'Skerry Sound Cut & Wrap',
  establishment: null,
  inspection: 'custom-exempt',
  owner: 'Ottilie Brandreth',
  tag: 'H112',
  shareLabel: 'left half',
  farm: 'Low Tarn',
  speciesName: 'Hog',
  cut: 'Rib and loin chops, bone-in',
  detail: '1 in, 2 in this pack',
  agedDays: null,
  net: weight(1.29),
  unit: 'lb',
  packedOn: '2026-11-24',
  keepUntil: '2027-08-24',
  dateWords: 'Keep frozen, best by',
  size: '4x3',
  words: [],
  code,
};

describe('a label', () => {
  it('of custom-exempt meat says that it is not for sale, and whose it is', () => {
    const label = labelFor(facts, measures);
    expect(label).toMatchObject({ ok: true, value: { statusWords: 'NOT FOR SALE', weight: '1.29 lb' } });
    expect(label.ok && label.value.lines).toContain('Owner: Ottilie Brandreth');
  });

  it('of inspected meat carries the establishment, pounds and ounces, and safe handling', () => {
    const label = labelFor({ ...facts, inspection: 'inspected', establishment: '4471' }, measures);
    expect(label).toMatchObject({
      ok: true,
      value: { statusWords: 'INSPECTED', weight: '1.29 lb (1 lb 4 oz)' },
    });
    const words = label.ok ? label.value.lines.join(' ') : '';
    expect(words).toContain('Est. 4471');
    expect(words).toContain('Keep frozen. Thaw in the refrigerator. Cook thoroughly.');
  });

  it('carries what must be said of the cut', () => {
    const label = labelFor({ ...facts, words: ['Contains: milk.', 'Raw. Cook before eating.'] }, measures);
    expect(label.ok && label.value.lines).toEqual(
      expect.arrayContaining(['Contains: milk.', 'Raw. Cook before eating.']),
    );
  });

  it('with more words than fit is refused: an allergen is never left out in silence', () => {
    const words = Array.from({ length: 9 }, (_, at) => `Contains: allergen ${at}.`);
    expect(labelFor({ ...facts, words }, measures)).toMatchObject({ ok: false, reason: 'too-many-words' });
  });

  it('on a smaller roll holds fewer words, and says which roll that is', () => {
    const words = Array.from({ length: 6 }, (_, at) => `Contains: allergen ${at}.`);
    expect(labelFor({ ...facts, words }, measures)).toMatchObject({ ok: true, value: { size: '4x3' } });
    expect(labelFor({ ...facts, words, size: '4x6' }, measures)).toMatchObject({ ok: true });
    const refused = labelFor({ ...facts, words, size: '4x2' }, measures);
    expect(refused).toMatchObject({ reason: 'too-many-words', message: expect.stringContaining('4 × 2 in') });
  });

  it('says the date and names the farm as the shop wants it', () => {
    const label = labelFor({ ...facts, farm: '', dateWords: 'Frozen; best before' }, measures);
    expect(label.ok && label.value.lines).toEqual([
      'Hog H112, left half',
      'Owner: Ottilie Brandreth',
      'Packed 2026-11-24. Frozen; best before 2027-08-24.',
    ]);
  });

  it.each<[string, Partial<LabelFacts>]>([
    ['no-establishment', { inspection: 'inspected' }],
    ['no-owner', { owner: ' ' }],
    ['no-weight', { net: 0 as Weight }],
  ])('that lacks what it must carry is not printed: %s', (reason, change) => {
    expect(labelFor({ ...facts, ...change }, measures)).toMatchObject({ ok: false, reason });
  });
});

describe('best by', () => {
  it.each([
    ['vacuum', 'steaks', '2027-08-24'],
    ['vacuum', 'grind', '2027-02-24'],
    ['paper', 'roasts', '2027-03-24'],
    ['paper', 'cured', '2026-12-24'],
  ] as const)('in %s, %s: %s', (wrap, destination, day) => {
    expect(keepUntil('2026-11-24', wrap, destination)).toBe(day);
  });

  it('falls on the last day of a shorter month', () => {
    expect(keepUntil('2026-11-30', 'vacuum', 'grind')).toBe('2027-02-28');
    expect(keepUntil('2027-11-30', 'vacuum', 'grind')).toBe('2028-02-29');
  });
});

describe('a label laid out', () => {
  const words = fc.stringMatching(/^[A-Z][a-z]{0,12}( [a-z]{1,12}){0,40}$/);
  const anyLabel = fc.record({
    cut: fc.stringMatching(/^[A-Z][a-z]{0,12}( [a-z]{1,12}){0,9}$/),
    shopName: fc.stringMatching(/^[A-Z][a-z]{0,12}( [A-Z][a-z]{1,9}){0,5}$/),
    words: fc.array(words, { maxLength: 8 }),
    size: fc.constantFrom('4x3' as const, '4x6' as const, '4x2' as const),
    lot: fc.stringMatching(/^[A-Z0-9-]{1,20}$/),
  });

  it('keeps every word whole, on the label, above the code, never under 8 point; or is refused', () => {
    fc.assert(
      fc.property(anyLabel, ({ lot, ...change }) => {
        const made = labelFor({ ...facts, ...change, code: { ...code, lot } }, measures);
        if (!made.ok) return expect(made.reason).toBe('too-many-words');
        const laidOut = layOut(made.value, measures);
        if (!laidOut.ok) throw new Error(laidOut.message);
        const { texts, code: placed, width, height } = laidOut.value;
        const said = texts.map(({ text }) => text).join(' ');
        for (const word of [change.cut, change.shopName, ...change.words].join(' ').split(' '))
          expect(said).toContain(word);
        for (const { text, x, y, size, bold } of texts) {
          expect(size).toBeGreaterThanOrEqual(SMALL_TYPE);
          expect(x).toBeGreaterThanOrEqual(0);
          expect(x + measures.widthOf(text, size, bold)).toBeLessThanOrEqual(width);
          expect(y).toBeLessThanOrEqual(height);
        }
        expect(placed.x + placed.width).toBeLessThanOrEqual(width);
        return undefined;
      }),
    );
  });

  it('has a square of dots where the bars would be wider than the label', () => {
    const wide = layOut(
      {
        shop: 'Skerry',
        cut: 'Chops',
        detail: '',
        weight: '1 lb',
        lines: [],
        statusWords: '',
        barcode: '(01)',
      },
      { ...measures, modulesOf: () => 399 },
    );
    expect(wide).toMatchObject({ ok: true, value: { code: { kind: 'square' } } });
  });

  it('is refused where the printer has no such letter', () => {
    expect(labelFor({ ...facts, owner: 'Ōtani 大谷' }, measures)).toMatchObject({ reason: 'no-such-letter' });
  });
});
