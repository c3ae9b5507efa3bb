import { inUnits, weight, type Weight } from '../quantity/weight';
import type { Amount } from '../sheet/types';
import { answered, COLD, form, half, house, whole } from '../tests/halfHog';
import { forecast } from './forecast';

/** The lines of the center loin when the first form takes this much and the rest becomes a roast. */
function loin(amount: Amount) {
  const chops = form('center-loin', 'chops', { amount });
  const sheet = answered(house, 'center-loin', chops, form('center-loin', 'roast'));
  return forecast(half, sheet, COLD).lines.filter((line) => line.decision === 'center-loin');
}

const all = forecast(half, house, COLD).lines.find((line) => line.decision === 'center-loin')!;

describe('one zone in several forms', () => {
  it('a share of it', () => {
    const [chops, roast] = loin({ kind: 'share', pct: 40 });
    expect(inUnits(chops!.packaged)).toBeCloseTo(inUnits(all.packaged) * 0.4, 1);
    expect(roast!.packaged).toBeGreaterThan(chops!.packaged);
  });

  it('so many pounds packed', () => {
    const [chops] = loin({ kind: 'weight', weight: weight(5) });
    expect(inUnits(chops!.packaged)).toBeCloseTo(5, 2);
  });

  it('the first four inches', () => {
    const [chops] = loin({ kind: 'length', inches: 4 });
    expect(inUnits(chops!.packaged)).toBeCloseTo((inUnits(all.packaged) * 4) / 18.3, 1);
    expect(chops!.pieces).toBe(3);
  });

  it('so many pieces, so many packs', () => {
    expect(loin({ kind: 'packs', count: 3 })[0]!.packs).toBe(3);
    expect(Math.abs(loin({ kind: 'pieces', count: 8 })[0]!.pieces! - 8)).toBeLessThanOrEqual(1);
  });

  it('more than there is takes all of it, and the rest is nothing', () => {
    const lines = loin({ kind: 'weight', weight: weight(50) });
    expect(lines).toHaveLength(1);
    expect(lines[0]!.packaged).toBe(all.packaged);
  });
});

describe('smoked chops', () => {
  it('the first four packs are smoked, the rest stays fresh', () => {
    const smoked = form('center-loin', 'chops', {
      amount: { kind: 'packs', count: 4 },
      params: { ...form('center-loin', 'chops').params, cure: 'cured' },
    });
    const sheet = answered(house, 'center-loin', smoked, form('center-loin', 'chops'));
    const [first, rest] = forecast(half, sheet, COLD).lines.filter((line) => line.decision === 'center-loin');
    expect(first).toMatchObject({ cure: 'cured', destination: 'cured', packs: 4 });
    expect(first!.cureLoss).toBeGreaterThan(0);
    expect(rest).toMatchObject({ cure: null, cureLoss: 0 });
    expect(rest!.packaged).toBeGreaterThan(first!.packaged / 4);
  });
});

describe('a whole hog', () => {
  const cold = [weight(91), weight(90)];

  it('is twice its half when both sides are alike', () => {
    const one = forecast(half, house, [weight(91)]);
    const both = forecast(whole, house, [weight(91), weight(91)]);
    expect(Math.abs(both.takeHome - 2 * one.takeHome)).toBeLessThan(10);
    const pieces = (f: typeof one) => f.lines.find((line) => line.decision === 'center-loin')!.pieces!;
    expect(pieces(both)).toBe(2 * pieces(one));
  });

  it('one ham smoked, one ground: each side has its own', () => {
    const sheet = { ...house, secondSide: { ham: { forms: [form('ham', 'grind')] } } };
    const mixed = forecast(whole, sheet, cold);
    const alike = forecast(whole, house, cold);
    const hams = (f: typeof mixed) => f.lines.filter((line) => line.decision === 'ham');
    const sum = (lines: { packaged: Weight }[]) => lines.reduce((total, line) => total + line.packaged, 0);
    expect(sum(hams(mixed)) / sum(hams(alike))).toBeCloseTo(0.5, 1);
    expect(mixed.pool.grind).toBeGreaterThan(alike.pool.grind + weight(14));
  });

  it('different thickness on the second side is a line of its own', () => {
    const thick = { ...form('center-loin', 'chops').params, thickness: 1.5 };
    const secondSide = { 'center-loin': { forms: [form('center-loin', 'chops', { params: thick })] } };
    const lines = forecast(whole, { ...house, secondSide }, cold).lines.filter(
      (line) => line.decision === 'center-loin',
    );
    expect(lines.map((line) => line.thicknessIn)).toEqual([1, 1.5]);
    expect(new Set(lines.map((line) => line.key)).size).toBe(2);
  });

  it('wants a weight for each side', () => {
    expect(() => forecast(whole, house, COLD)).toThrow(/"coldSides" expected 2 weights, got 1/);
  });
});

describe('what the customer keeps of the pools', () => {
  it('bones, fat and skin go from the losses to the boxes', () => {
    const keeps = Object.fromEntries(half.species.poolKeeps.map((keep) => [keep.id, true]));
    const kept = forecast(half, { ...house, keeps }, COLD);
    const plain = forecast(half, { ...house, keeps: {} }, COLD);
    expect(kept.losses.fat).toBe(0);
    expect(kept.losses.skin).toBe(0);
    expect(kept.losses.bone).toBeLessThan(plain.losses.bone);
    expect(kept.takeHome - plain.takeHome).toBe(
      plain.losses.fat + plain.losses.skin + plain.losses.bone - kept.losses.bone,
    );
  });
});

describe('add-ons that were weighed in', () => {
  it('take their part of the same side, and can be claimed', () => {
    const situation = { ...half, addOns: ['head-half'] };
    const sheet = answered(house, 'head', { option: 'kept', amount: { kind: 'rest' }, params: {} });
    const withHead = forecast(situation, sheet, COLD);
    const head = withHead.lines.find((line) => line.decision === 'head')!;
    expect(inUnits(head.packaged)).toBeCloseTo((91 * 0.994 * 4.2) / 104.2, 1);
    expect(withHead.lines.find((line) => line.decision === 'butt')!.packaged).toBeLessThan(
      forecast(half, house, COLD).lines.find((line) => line.decision === 'butt')!.packaged,
    );
  });
});
