import { defaultParams } from '../sheet/params';
import { emptySheet } from '../sheet/houseSheet';
import type { Situation } from '../sheet/situation';
import type { Sheet } from '../sheet/types';
import type {
  Claim,
  Decision,
  Option,
  PackRule,
  ParamSpec,
  PieceRule,
  Product,
  Species,
} from '../species/types';

/** A line of a worked example: one cut with the rules that the example states for it. */
export type WorkedCut = {
  readonly cut: string;
  readonly claims: readonly Claim[];
  readonly trim: Product['trim'];
  readonly boned?: boolean;
  readonly saw?: Product['saw'];
  readonly pieces?: PieceRule;
  readonly packs?: PackRule;
  readonly params?: readonly ParamSpec[];
};

function decisionOf(worked: WorkedCut, index: number): Decision {
  const product: Product = {
    cut: worked.cut,
    destination: 'steaks',
    claims: worked.claims,
    trim: worked.trim,
    pieces: worked.pieces ?? { kind: 'fixed', count: 1 },
    packs: worked.packs ?? { kind: 'single' },
    finishedYield: 1,
    charges: [],
    ...(worked.boned ? { boned: true } : {}),
    ...(worked.saw ? { saw: worked.saw } : {}),
  };
  const option: Option = {
    id: 'as-worked',
    label: worked.cut,
    products: [product],
    params: worked.params ?? [],
  };
  return {
    id: `line-${index}`,
    title: worked.cut,
    zone: 'any',
    step: 1,
    options: [option],
    house: { option: option.id, reason: 'As the worked example has it.' },
  };
}

/** A situation and a sheet in which every line of a worked example is a decision of its own, answered. */
export function workedSheet(
  species: Species,
  cuts: readonly WorkedCut[],
  sides: 1 | 2,
): { situation: Situation; sheet: Sheet } {
  const decisions = cuts.map(decisionOf);
  const situation: Situation = {
    species: { ...species, decisions, watches: [], poolKeeps: [] },
    unit: 'lb',
    sides,
    addOns: [],
    tools: ['band-saw'],
  };
  const answers = Object.fromEntries(
    decisions.map((decision) => [
      decision.id,
      {
        forms: [
          {
            option: 'as-worked',
            amount: { kind: 'rest' as const },
            params: defaultParams(decision.options[0]!, 'lb'),
          },
        ],
      },
    ]),
  );
  return { situation, sheet: { ...emptySheet(situation), answers } };
}

/** Half a percent of a line, and never finer than the hundredth the worked examples are rounded to. */
export function expectNear(actual: number, expected: number): void {
  expect(Math.abs(actual - expected)).toBeLessThanOrEqual(Math.max(Math.abs(expected) * 0.005, 0.0051));
}
