import type { Forecast } from '../forecast/types';
import { balanceOfKind, lineOfCure, type PackSource, type Posting } from '../ledger/ledger';
import {
  formatWeight,
  inUnits,
  sumWeights,
  ZERO_WEIGHT,
  type Weight,
  type WeighingUnit,
} from '../quantity/weight';
import type { HouseRules } from '../shop/houseRules';
import type { Destination } from '../species/types';
import type { Working } from '../working/working';

/** A package or a green weighing as reconciliation sees it; voided ones are left out before. */
export type Weighed = {
  readonly kind: 'package' | 'green';
  readonly lineKey: string;
  readonly cut: string;
  readonly destination: Destination;
  readonly net: Weight;
  readonly pieces: number | null;
  readonly from: PackSource;
};

/** Forecast beside actual, for one line of the sheet. */
export type LineComparison = {
  readonly lineKey: string;
  readonly cut: string;
  readonly destination: Destination;
  readonly cured: boolean;
  /** Water is dried out of it: about half of its green weight comes home. */
  readonly dried?: true;
  readonly expected: Weight;
  readonly actual: Weight;
  /** Green weight that went into the cure; zero for fresh. */
  readonly green: Weight;
  readonly packsAsked: number;
  readonly packsMade: number;
  /** Actual against expected, hundredths of a percent; null while nothing is packed. */
  readonly offBp: number | null;
  readonly state: 'to come' | 'short' | 'in cure' | 'packed' | 'over' | 'not asked';
  /** Outside what is usual for a line: someone should say why. */
  readonly unusual: boolean;
};

/** The steps of the bridge, in the trade's words. */
export const STEP_LABELS = {
  cold: 'cold weight',
  bone: 'bone',
  fat: 'fat',
  skin: 'skin',
  inedible: 'glands, condemned',
  grinder: 'left in the grinder',
  pooled: 'in others’ packs of a pool',
  cure: 'cure and smoke',
  added: 'seasoning and water added',
  unaccounted: 'unaccounted',
  inTub: 'still in the tub',
  inCure: 'still in cure',
  boxes: 'in the boxes',
} as const;

export type StepKind = keyof typeof STEP_LABELS;

/** One step of the bridge from the cold weight to the boxes. Losses are positive; what was added is below zero. */
export type BridgeStep = {
  readonly kind: StepKind;
  readonly label: string;
  readonly weight: Weight;
  readonly lost: boolean;
};

export type Verdict = 'open' | 'usual' | 'ask' | 'investigate';

export type Reconciliation = {
  readonly cold: Weight;
  readonly lines: readonly LineComparison[];
  readonly bridge: readonly BridgeStep[];
  /** What is on the rail's side of the ledger and has reached no account that explains it. */
  readonly unaccounted: Weight;
  /** Of the cold weight, hundredths of a percent. */
  readonly unaccountedBp: number;
  readonly verdict: Verdict;
  readonly boxes: Weight;
  readonly yieldBp: number;
  readonly inTub: Weight;
  readonly inCure: Weight;
  readonly working: Working;
};

/**
 * Where the cold weight of a share went, from its postings, and how the packs compare with the sheet.
 * Cured goods count green in the balance and finished in the boxes; what cure and smoke took is its own step.
 *
 * @param postings - every posting of the share's accounts and of its packages
 */
export function reconcile(input: {
  readonly cold: Weight;
  readonly expected: Forecast;
  readonly postings: readonly Posting[];
  readonly weighed: readonly Weighed[];
  /** Whether nothing of the sheet is still waited for; before that the balance is open. */
  readonly packed: boolean;
  readonly lineTolerance: number;
  /** Lines that were mixed with seasoning and water, with how many times heavier that made them. */
  readonly grown?: ReadonlyMap<string, number>;
  /** From which gap somebody asks, and from which it is investigated. */
  readonly limits: HouseRules['unaccounted'];
  readonly unit: WeighingUnit;
}): Reconciliation {
  const { cold, postings } = input;
  const held = (kind: Posting['kind']) => balanceOfKind(postings, kind);
  const lines = compareLines(input);
  const smoked = changedInCure(lines, postings);
  const unaccounted = sumWeights([held('share'), held('unaccounted')]);
  const boxes = held('package');
  const unaccountedBp = cold > 0 ? Math.round((10_000 * unaccounted) / cold) : 0;
  const inTub = sumWeights([held('tub'), held('batch')]);
  const inCure = (held('cure') - smoked) as Weight;
  const losses = [
    step('bone', held('bone')),
    step('fat', held('fat')),
    step('skin', held('skin')),
    step('inedible', held('inedible')),
    step('grinder', held('grinder')),
    step('pooled', held('pooled')),
    step('cure', sumWeights([held('cure-change'), smoked])),
    step('added', held('added')),
    step('unaccounted', unaccounted),
    step('inTub', inTub),
    step('inCure', inCure),
  ];
  return {
    cold,
    lines,
    bridge: [
      step('cold', cold, false),
      ...losses.filter(({ weight }) => weight !== 0),
      step('boxes', boxes, false),
    ],
    unaccounted,
    unaccountedBp,
    verdict: input.packed ? verdictOn(unaccountedBp, input.limits) : 'open',
    boxes,
    yieldBp: cold > 0 ? Math.round((10_000 * boxes) / cold) : 0,
    inTub,
    inCure,
    working: unaccountedWorking(input, { unaccounted, held, smoked }),
  };
}

function step(kind: StepKind, weight: Weight, lost = true): BridgeStep {
  return { kind, label: STEP_LABELS[kind], weight, lost };
}

/** What a share of unaccounted weight asks of the shop; hundredths of a percent of the cold weight. */
export function verdictOn(
  unaccountedBp: number,
  { askBp, investigateBp }: HouseRules['unaccounted'],
): Exclude<Verdict, 'open'> {
  if (unaccountedBp < 0 || unaccountedBp > investigateBp) return 'investigate';
  return unaccountedBp > askBp ? 'ask' : 'usual';
}

/** Of cuts that have come out of the smoke, what their cure still holds: cure and smoke took it, or added it. */
function changedInCure(lines: readonly LineComparison[], postings: readonly Posting[]): Weight {
  const out = new Set(
    lines.filter((line) => line.state === 'packed' || line.state === 'over').map((line) => line.lineKey),
  );
  return sumWeights(
    postings
      .filter((posting) => posting.kind === 'cure' && out.has(lineOfCure(posting)))
      .map((posting) => posting.weight),
  );
}

function compareLines(input: Parameters<typeof reconcile>[0]): LineComparison[] {
  const asked = input.expected.lines.map((line) => {
    const mine = input.weighed.filter((each) => each.lineKey === line.key);
    const packs = mine.filter((each) => each.kind === 'package');
    // What slicing left over is weight of the line, and none of the packs that were asked for.
    const made = packs.filter(({ from }) => from !== 'ends').length;
    const actual = sumWeights(packs.map((each) => each.net));
    const green = sumWeights(mine.filter((each) => each.kind === 'green').map((each) => each.net));
    const expected = Math.round(line.packaged * (input.grown?.get(line.key) ?? 1)) as Weight;
    const off = made > 0 && expected > 0 ? (actual - expected) / expected : null;
    return {
      lineKey: line.key,
      cut: line.cut,
      destination: line.destination,
      cured: line.cure !== null,
      ...(line.cure !== null && DRIED.includes(line.cure) ? { dried: true as const } : {}),
      expected,
      actual,
      green,
      packsAsked: line.packs,
      packsMade: made,
      offBp: off === null ? null : Math.round(off * 10_000),
      state: stateOf(made, line.packs, green),
      unusual: off !== null && made >= line.packs && Math.abs(off) > input.lineTolerance,
    };
  });
  return [...asked, ...notAsked(input)];
}

/** Cures that dry, as sheets and recipes call them. */
const DRIED: readonly string[] = ['jerky', 'dried'];

function stateOf(made: number, wanted: number, green: Weight): LineComparison['state'] {
  if (made === 0) return green > 0 ? 'in cure' : 'to come';
  if (made < wanted) return 'short';
  return made > wanted ? 'over' : 'packed';
}

function notAsked({ expected, weighed }: Parameters<typeof reconcile>[0]): LineComparison[] {
  const known = new Set(expected.lines.map((line) => line.key));
  const extra = weighed.filter((each) => !known.has(each.lineKey) && each.kind === 'package');
  return [...new Set(extra.map((each) => each.lineKey))].map((lineKey) => {
    const mine = extra.filter((each) => each.lineKey === lineKey);
    return {
      lineKey,
      cut: mine[0]!.cut,
      destination: mine[0]!.destination,
      cured: false,
      expected: ZERO_WEIGHT,
      actual: sumWeights(mine.map((each) => each.net)),
      green: ZERO_WEIGHT,
      packsAsked: 0,
      packsMade: mine.length,
      offBp: null,
      state: 'not asked' as const,
      unusual: true,
    };
  });
}

function unaccountedWorking(
  { cold, unit }: Parameters<typeof reconcile>[0],
  {
    unaccounted,
    held,
    smoked,
  }: { unaccounted: Weight; held: (kind: Posting['kind']) => Weight; smoked: Weight },
): Working {
  const show = (w: Weight) => `${formatWeight(w, 3)} ${unit}`;
  const accounted: [string, Weight][] = [
    ['packages, fresh and ground and finished', held('package')],
    ['still in the tub', sumWeights([held('tub'), held('batch')])],
    ['still in cure, green', (held('cure') - smoked) as Weight],
    ['changed by cure and smoke', sumWeights([held('cure-change'), smoked])],
    ['seasoning and water added, which is none of the cold weight', held('added')],
    ['left in the grinder', held('grinder')],
    ['in others’ packs of a pooled batch', held('pooled')],
    ['bone', held('bone')],
    ['fat', held('fat')],
    ['skin', held('skin')],
    ['glands, condemned', held('inedible')],
  ];
  return {
    title: 'Unaccounted',
    formula:
      'Cold weight less everything that was weighed into an account. It holds drip, saw dust, evaporation while cutting and scale error.',
    inputs: [
      { label: 'cold weight', value: show(cold) },
      ...accounted.filter(([, w]) => w !== 0).map(([label, w]) => ({ label, value: `− ${show(w)}` })),
      { label: 'unaccounted', value: show(unaccounted) },
      {
        label: 'of the cold weight',
        value: `${cold > 0 ? ((100 * inUnits(unaccounted)) / inUnits(cold)).toFixed(2) : '0'} %`,
      },
    ],
    source: 'Usual 1 to 3 %; ask above 3 %; investigate above 5 % or below zero. docs/figures.md.',
  };
}
