import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { caseShop } from '@/core/tests/caseOrder';
import Joi from 'joi';
import { billFor, FOOT_LINES, itemsOfForecast } from '@/core/charges/bill';
import type { PriceList } from '@/core/charges/priceList';
import { priceListSchema } from '@/core/charges/priceListSchema';
import { ZERO_CENTS } from '@/core/quantity/money';
import { sumWeights, weight } from '@/core/quantity/weight';
import everyBasis from './everyBasis.fixture.json';
import type { OrderDocument } from '@/core/order/document';
import { forecastDocument, workOut } from '@/core/order/forecastDocument';
import { readOrder } from '@/core/order/readOrder';

const FOLDER = join(process.cwd(), 'src/cli/cases');

function orderOf(file: string): OrderDocument {
  const read = readOrder(JSON.parse(readFileSync(join(FOLDER, `${file}.json`), 'utf8')), caseShop);
  if (!read.ok) throw new Error(read.message);
  return read.value;
}

type Line = {
  readonly form: string;
  readonly lb: number;
  readonly pieces: number | null;
  readonly packs: number;
};

/** The lines of a decision of a share, by form: pounds, pieces and packs. */
function linesOf(file: string, decision: string, share = 0): Line[] {
  return forecastDocument(caseShop, orderOf(file))
    .shares[share]!.lines.filter((line) => line.key.startsWith(`${decision}.`))
    .map(({ key, packaged, pieces, packs }) => ({ form: key, lb: packaged, pieces, packs }));
}

const share = (file: string) => forecastDocument(caseShop, orderOf(file)).shares[0]!;
const kinds = (file: string) => workOut(caseShop, orderOf(file))[0]!.findings.map((finding) => finding.kind);
const each = ({ lb, pieces }: Line) => lb / pieces!;

/** Pounds a piece of every form lie within a tenth of what the form gives alone. */
function expectPieces(file: string, decision: string, alone: readonly number[]): void {
  const lines = linesOf(file, decision);
  expect(lines).toHaveLength(alone.length);
  lines.forEach((line, at) => {
    if (line.pieces === null) return;
    expect(Math.abs(each(line) / alone[at]! - 1)).toBeLessThanOrEqual(0.1);
  });
}

const CASES: Readonly<Record<string, () => void>> = {
  'bad-weights': () => expect(kinds('bad-weights')).toContain('weight'),
  'beef-750-house': () => {
    expect(linesOf('beef-750-house', 'short-loin')[0]).toMatchObject({ pieces: 26 });
    expect(share('beef-750-house').yieldPct).toBeCloseTo(70.8, 0);
  },
  'break-10-11': () => expectBreak('break-10-11', { rib: 4, loin: 4 }),
  'break-11-12': () => expectBreak('break-11-12', { rib: 2, loin: 2 }),
  'break-chuck67': () => {
    expect(linesOf('break-chuck67', 'rib')[0]!.pieces).toBe(10);
    expect(linesOf('break-chuck67', 'chuck')[0]!.pieces).toBe(12);
  },
  'break-school-uk': () => expect(each(linesOf('break-school-uk', 'short-loin')[0]!)).toBeGreaterThan(0.8),
  chuck4in: () => {
    const [steaks, roasts] = linesOf('chuck4in', 'chuck');
    expect(steaks!.pieces).toBeGreaterThanOrEqual(3);
    expect(steaks!.pieces).toBeLessThanOrEqual(5);
    expect(roasts!.lb).toBeGreaterThan(20);
    expect(kinds('chuck4in')).toEqual([]);
  },
  'cowboy2-steaks': () => {
    const [two, rest] = linesOf('cowboy2-steaks', 'rib');
    expect(two).toMatchObject({ pieces: 2, packs: 2 });
    expect(each(two!)).toBeCloseTo(2.7, 0);
    expect(each(rest!)).toBeCloseTo(1.5, 0);
  },
  'cull-ewe': () => expect(share('cull-ewe').yieldPct).toBeLessThan(70),
  'fat10-vfat': () => expect(kinds('fat10-vfat')).toContain('fat-over'),
  'fatness-daysHung14': () => expect(share('fatness-daysHung14').takeHome).toBeCloseTo(265.5, 1),
  'hock-on-ham': () => expect(kinds('hock-on-ham')).toContain('watch'),
  'kpf-missing': () => expect(share('kpf-missing').yieldPct).toBeGreaterThan(72),
  kpf: () => expect(share('kpf')).toEqual(share('kpf-missing')),
  'mix-beef-rib-boneless-steaks': () => expectPieces('mix-beef-rib-boneless-steaks', 'rib', [1.05, 1.58]),
  'mix-hog-center-loin-boneless-chops': () =>
    expectPieces('mix-hog-center-loin-boneless-chops', 'center-loin', [0.41, 0.71]),
  'mix-hog-center-loin-chops-boneless': () => {
    expectPieces('mix-hog-center-loin-chops-boneless', 'center-loin', [0.71, 0.41]);
    const weights = (file: string) =>
      linesOf(file, 'center-loin')
        .map(({ lb }) => lb)
        .sort();
    expect(weights('mix-hog-center-loin-chops-boneless')).toEqual(
      weights('mix-hog-center-loin-boneless-chops'),
    );
  },
  'mix-lamb-shoulder-rolled-chops': () => {
    const [rolled, ...chops] = linesOf('mix-lamb-shoulder-rolled-chops', 'shoulder');
    expect(rolled!.pieces).toBe(1);
    for (const line of chops) expect(each(line)).toBeLessThan(0.6);
  },
  otm: () => {
    expect(linesOf('otm', 'tenderloin')[0]).toMatchObject({ pieces: 1 });
    expect(kinds('otm')).not.toContain('watch');
  },
  'ribroast70-steaks': () => {
    const [roast, steaks] = linesOf('ribroast70-steaks', 'rib');
    expect(roast!.lb / (roast!.lb + steaks!.lb)).toBeCloseTo(0.7, 1);
  },
  'split-cowboy2': () => {
    const parts = [0, 1].map((at) => linesOf('split-cowboy2', 'rib', at)[0]!);
    expect(parts.map(({ pieces }) => pieces)).toEqual([1, 1]);
  },
  'stew60-blade': () => {
    const [, blade] = linesOf('stew60-blade', 'chuck');
    expect(each(blade!)).toBeLessThan(6);
  },
  'strip50-tbone': () => {
    expectPieces('strip50-tbone', 'short-loin', [0.85, 1.46]);
    expect(kinds('strip50-tbone')).toContain('watch');
  },
  'tbone-pieces2': () =>
    expect(linesOf('tbone-pieces2', 'short-loin')[0]).toMatchObject({ pieces: 2, packs: 1 }),
  'tbone50-strip': () => expect(kinds('tbone50-strip')).toContain('watch'),
  'ten-packs-smoked-whole': () =>
    expect(linesOf('ten-packs-smoked-whole', 'center-loin')[0]).toMatchObject({ pieces: 20, packs: 10 }),
  'two-loin-roasts-whole': () => {
    expect(linesOf('two-loin-roasts-whole', 'butt')[0]).toMatchObject({ lb: 4, pieces: 1 });
    expect(linesOf('two-loin-roasts-whole', 'center-loin')[0]).toMatchObject({ lb: 6, pieces: 2, packs: 2 });
  },
};

/** A rib moved by the quarter break moves a steak or two for each rib. */
function expectBreak(file: string, most: { readonly rib: number; readonly loin: number }): void {
  const pieces = (name: string, decision: string) => linesOf(name, decision)[0]!.pieces!;
  const usual = { rib: 12, loin: 13 };
  expect(usual.rib - pieces(file, 'rib')).toBeGreaterThan(0);
  expect(usual.rib - pieces(file, 'rib')).toBeLessThanOrEqual(most.rib);
  expect(pieces(file, 'short-loin') - usual.loin).toBeGreaterThan(0);
  expect(pieces(file, 'short-loin') - usual.loin).toBeLessThanOrEqual(most.loin);
}

describe('an order that a practitioner has looked at', () => {
  it.each(Object.entries(CASES))('%s', (_, check) => check());

  it('is there for every file of the folder', () => {
    const files = readdirSync(FOLDER).map((file) => file.replace('.json', ''));
    expect(files.sort()).toEqual(Object.keys(CASES).sort());
  });
});

describe('a price list that charges on every basis', () => {
  const list = Joi.attempt(everyBasis[0], priceListSchema) as PriceList;
  const { forecast } = workOut(caseShop, orderOf('ten-packs-smoked-whole'))[0]!;
  const items = itemsOfForecast(forecast, 'vacuum');
  const hot = weight(240);
  const bill = billFor(list, {
    animal: { species: 'hog', hot },
    hot,
    cold: forecast.coldWeight,
    headSplit: { parts: [1, 1], index: 0, sheets: 2 },
    items,
    deposit: ZERO_CENTS,
  });

  /** Thousandths at a rate, half a cent up. */
  const byWeight = (thousandths: number, rate: number) => Math.floor((thousandths * rate) / 1000 + 0.5);
  const ofKey = (key?: string) => items.filter((item) => key === undefined || item.charges.includes(key));
  const sum = (own: typeof items, measure: (item: (typeof items)[number]) => number) =>
    own.reduce((total, item) => total + measure(item), 0);

  it.each(list.rules.map((rule) => [rule.basis, rule.id, rule] as const))(
    '%s: %s',
    (basis, id, { rateCents, key }) => {
      const own = ofKey(key);
      const expected = {
        head: Math.ceil(rateCents / 2),
        hot: byWeight(240_000, rateCents),
        cold: byWeight(sumWeights([forecast.coldWeight]), rateCents),
        packaged: byWeight(
          sum(own, (item) => item.finished),
          rateCents,
        ),
        finished: byWeight(
          sum(own, (item) => item.finished),
          rateCents,
        ),
        green: byWeight(
          sum(own, (item) => item.green),
          rateCents,
        ),
        package: sum(own, (item) => item.packages) * rateCents,
        piece: sum(own, (item) => item.pieces) * rateCents,
        rack: sum(own, (item) => item.racks) * rateCents,
        'extra-sheet': Math.ceil(rateCents / 2),
        flat: rateCents as number,
        percent: byWeight(
          bill.lines
            .filter((line) => line.rule !== id && !FOOT_LINES.has(line.rule))
            .reduce((total, line) => total + line.amount, 0),
          rateCents / 10,
        ),
      }[basis];
      const line = bill.lines.find((each) => each.rule === id);
      expect(line?.amount ?? 0).toBe(key !== undefined && own.length === 0 ? 0 : expected);
    },
  );
});
