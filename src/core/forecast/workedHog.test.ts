import { weight } from '../quantity/weight';
import { answered as answer, COLD, form, half, house } from '../tests/halfHog';
import { forecast } from './forecast';
import { sausageBudget } from './sausageBudget';
import worked from './worked-hog.fixture.json';

/** Half a percent of a line, and never finer than the hundredth the worked example is rounded to. */
const TOLERANCE_SHARE = 0.005;
const PRINTED_STEP = 0.0051;

const commonHalf = answer(
  house,
  'butt',
  form('butt', 'roast', { amount: { kind: 'share', pct: 50 } }),
  form('butt', 'steaks'),
);

const boneless = [
  ['center-loin', 'boneless'],
  ['back-ribs', 'slab'],
  ['tenderloin', 'whole'],
  ['sirloin', 'roast-boneless'],
].reduce((sheet, [decision, option]) => answer(sheet, decision!, form(decision!, option!)), commonHalf);

/** The worked example counts 5 ham steaks; its own length and formula give 6 (docs/figures.md). */
const CORRECTED_PIECES: Record<string, number> = { 'Ham steaks, cured and smoked, 3/4 in': 6 };

/** Seven hundredths of a pound over two are spread over the pack: no pack of their own (docs/figures.md). */
const CORRECTED_PACKS: Record<string, number> = { 'Neck bones': 1 };

function expectNear(actual: number, expected: number) {
  const allowed = Math.max(expected * TOLERANCE_SHARE, PRINTED_STEP);
  expect(Math.abs(actual - expected)).toBeLessThanOrEqual(allowed);
}

describe.each([
  [worked.cases[0]!, commonHalf],
  [worked.cases[1]!, boneless],
])('worked example: $name', (example, sheet) => {
  const result = forecast(half, sheet, COLD);

  it.each(example.output.cuts.map((cut) => [cut.cut, cut] as const))('%s', (name, cut) => {
    const line = result.lines.find((each) => name.startsWith(each.cut))!;
    expectNear(line.gross / 1000, cut.gross_lb);
    expectNear(line.packaged / 1000, cut.packaged_lb);
    expectNear(line.trim.lean / 1000, cut.lean_trim_lb);
    expectNear(line.trim.fat / 1000, cut.fat_trim_lb);
    expectNear(line.kerf / 1000, cut.kerf_lb);
    expectNear(line.cureLoss / 1000, cut.cure_loss_lb);
    expect(line.pieces).toBe(CORRECTED_PIECES[name] ?? cut.pieces);
    expect(line.packs).toBe(CORRECTED_PACKS[name] ?? cut.packs);
  });

  it('loses what the example loses', () => {
    const totals = example.output.totals_lb;
    expectNear(result.losses.fat / 1000, totals.fat);
    expectNear(result.losses.bone / 1000, totals.bone);
    expectNear(result.losses.skin / 1000, totals.skin);
    expectNear(result.losses.inedible / 1000, totals.inedible);
    expectNear(result.losses.cure / 1000, totals.cure_smoke_loss);
    expectNear(result.losses.kerf / 1000, totals.kerf);
    expectNear(result.losses.cuttingShrink / 1000, totals.cutting_shrink);
    expectNear(result.pool.grind / 1000, totals.grind);
    expectNear(result.pool.fatUsed / 1000, example.output.fat_into_grind_lb);
    expectNear(result.takeHome / 1000, example.output.packaged_incl_grind_lb);
  });
});

describe('a half hog', () => {
  it('keeping the tenderloin whole takes it out of the loin chops', () => {
    const whole = forecast(half, answer(commonHalf, 'tenderloin', form('tenderloin', 'whole')), COLD);
    const stays = forecast(half, commonHalf, COLD);
    const chops = (f: typeof whole) => f.lines.find((line) => line.decision === 'center-loin')!.packaged;
    expect(chops(whole)).toBeLessThan(chops(stays) - weight(0.6));
  });

  it('meaty spare ribs come at the expense of the bacon', () => {
    const meaty = forecast(half, answer(commonHalf, 'spare-ribs', form('spare-ribs', 'meaty')), COLD);
    const plain = forecast(half, commonHalf, COLD);
    const of = (f: typeof meaty, decision: string) =>
      f.lines.find((line) => line.decision === decision)!.packaged;
    expect(of(meaty, 'spare-ribs')).toBeGreaterThan(of(plain, 'spare-ribs'));
    expect(of(meaty, 'belly')).toBeLessThan(of(plain, 'belly'));
  });

  it('fills two roasts of three pounds first and makes steaks of the rest', () => {
    const roasts = form('ham', 'roasts', { amount: { kind: 'weight', weight: weight(6) } });
    const result = forecast(half, answer(commonHalf, 'ham', roasts, form('ham', 'center-steaks')), COLD);
    const [first, rest] = result.lines.filter((line) => line.decision === 'ham');
    expectNear(first!.packaged / 1000, 6);
    expect(rest!.packaged).toBeGreaterThan(weight(4));
  });

  it('narrowing the belly and cutting the flank end off makes less bacon and more grind', () => {
    const params = { ...form('belly', 'bacon').params, flankOff: 2, narrow: 1 };
    const narrow = forecast(half, answer(commonHalf, 'belly', form('belly', 'bacon', { params })), COLD);
    const plain = forecast(half, commonHalf, COLD);
    expect(narrow.pool.grind).toBeGreaterThan(plain.pool.grind);
    expect(narrow.takeHome).toBeLessThan(plain.takeHome);
  });

  it('taking all cover off leaves lighter chops', () => {
    const params = { ...form('center-loin', 'chops').params, fatLeft: 0 };
    const bare = forecast(
      half,
      answer(commonHalf, 'center-loin', form('center-loin', 'chops', { params })),
      COLD,
    );
    const chops = (f: typeof bare) => f.lines.find((line) => line.decision === 'center-loin')!.packaged;
    expect(chops(bare)).toBeLessThan(chops(forecast(half, commonHalf, COLD)) - weight(0.8));
  });
});

describe('the sausage budget', () => {
  /** Everything kept: the sheet that the trade's table of sacrifices starts from. */
  const keepAll = answer(
    answer(commonHalf, 'butt', form('butt', 'roast')),
    'picnic',
    form('picnic', 'roast'),
  );
  const budget = sausageBudget(
    { situation: half, sheet: keepAll, coldSides: COLD },
    forecast(half, keepAll, COLD),
  );

  it('says that a half that keeps everything has under four pounds of grind', () => {
    expect(budget.grind / 1000).toBeCloseTo(3.9, 1);
  });

  it.each([
    ['fore-hock', 0.7],
    ['hind-hock', 0.9],
    ['neck', 1.0],
    ['picnic', 5.7],
    ['country', 2.4],
    ['sirloin', 2.9],
    ['butt', 7.2],
    ['belly', 7.0],
    ['loin', 10.8],
  ])('giving up %s adds about %d lb', (id, gained) => {
    const offer = budget.sacrifices.find((each) => each.id === id)!;
    expect(Math.abs(offer.grindGained / 1000 - gained)).toBeLessThanOrEqual(0.12);
  });

  it('offers the smallest regret first and nothing that is ground already', () => {
    expect(budget.sacrifices[0]!.id).toBe('fore-hock');
    const ground = answer(keepAll, 'picnic', form('picnic', 'grind'));
    const after = sausageBudget(
      { situation: half, sheet: ground, coldSides: COLD },
      forecast(half, ground, COLD),
    );
    expect(after.sacrifices.map((each) => each.id)).not.toContain('picnic');
  });
});
