import { driedOf } from '../curing/weights';
import type { LineComparison, StepKind } from '../reconcile/reconcile';
import { formatWeight, type Weight, type WeighingUnit } from '../quantity/weight';
import type { Settlement } from './settlement';

/** One thing that happened to the weight between the rail and the boxes. */
export type StoryStep = {
  readonly kind: StepKind | 'air';
  /** What went, in words for a child. */
  readonly words: string;
  /** Why, in one sentence. */
  readonly why: string;
  /** Below zero where something came to it: a brine that stayed in. */
  readonly weight: Weight;
  /** What was left after it. */
  readonly left: Weight;
};

/** How what hung on the rail became what is in the boxes; hot less all steps is the boxes, to the thousandth. */
export type StatementStory = {
  readonly hot: Weight;
  readonly boxes: Weight;
  readonly steps: readonly StoryStep[];
  /** Why it became so much, as one would say it. */
  readonly sentence: string;
};

type Words = { readonly words: string; readonly why: string };

const STEPS: Readonly<Partial<Record<StepKind | 'air', Words>>> = {
  air: { words: 'water dried away', why: 'It hung in the cold: that makes it tender, and lighter.' },
  bone: { words: 'bone', why: 'Bones of cuts that you asked for without.' },
  fat: { words: 'fat', why: 'Trimmed off, and not asked for.' },
  skin: { words: 'skin', why: 'It was not asked for.' },
  inedible: { words: 'glands and spoilt spots', why: 'Nobody eats those; they are always cut out.' },
  grinder: { words: 'left in the grinder', why: 'A little always sticks to it, and in the casings.' },
  cure: { words: 'water that cure and smoke took', why: 'Bacon and ham are lighter when they are done.' },
  added: { words: 'seasoning and water we added', why: 'Sausage is meat, salt, spices and a little water.' },
  pooled: {
    words: 'in others’ packs',
    why: 'Your meat was ground together with others’, as you agreed; whole packs do not part quite evenly.',
  },
  unaccounted: {
    words: 'not accounted for',
    why: 'Saw dust, drip, drying while we cut: we did not weigh it anywhere, and say so.',
  },
};

const GOT: Words = {
  words: 'of others’ meat in your packs',
  why: 'Your meat was ground together with others’, as you agreed; whole packs do not part quite evenly.',
};

const GAINED: Words = {
  words: 'brine that stayed in',
  why: 'A ham is heavier when it comes out of its brine.',
};

/** Where something came in instead of going out. */
const BELOW: Readonly<Partial<Record<StepKind | 'air', Words>>> = { cure: GAINED, pooled: GOT };

/** Tells a settlement as a story of weight. */
export function storyOf({ hot, reconciliation, unit }: Settlement): StatementStory {
  const { cold, bridge, boxes } = reconciliation;
  const start = Math.max(hot, cold) as Weight;
  const lost = [
    { kind: 'air' as const, weight: (start - cold) as Weight },
    ...bridge.filter((step) => step.lost),
  ].filter(({ weight }) => weight !== 0);
  const dried = reconciliation.lines.flatMap((line) => driedWords(line, unit));
  let left: number = start;
  const steps = lost.map(({ kind, weight }) => {
    left -= weight;
    const said = (weight < 0 && BELOW[kind]) || STEPS[kind];
    const why = [said?.why ?? '', ...(kind === 'cure' ? dried : [])].join(' ').trim();
    return { kind, words: said?.words ?? kind, why, weight, left: left as Weight };
  });
  return { hot: start, boxes, steps, sentence: sentenceOf({ start, boxes, steps, unit }) };
}

/** What drying took from a cut, told honestly: near three quarters of raw lean meat is water. */
function driedWords({ cut, dried, green, actual }: LineComparison, unit: WeighingUnit): string[] {
  if (!dried || actual === 0 || green <= actual) return [];
  const show = (weight: Weight) => `${formatWeight(weight, 1)} ${unit}`;
  const { waterOff } = driedOf({ green, seasoning: 0, finished: actual, moisture: LEAN_WATER });
  return [
    `${cut}: ${show(green)} green became ${show(actual)}; ${show(waterOff as Weight)} of water dried away, and near three quarters of raw lean meat is water.`,
  ];
}

/** Water in raw lean meat, as a share of it (processing figures). */
const LEAN_WATER = 0.72;

type Told = Pick<StatementStory, 'boxes' | 'steps'> & { readonly start: Weight; readonly unit: WeighingUnit };

/** The two largest steps say most of it. */
function sentenceOf({ start, boxes, steps, unit }: Told): string {
  const show = (weight: Weight) => formatWeight(weight, 1);
  const largest = [...steps].sort((a, b) => b.weight - a.weight).slice(0, 2);
  const most = largest.map(({ words, weight }) => `${show(weight)} ${unit} ${words}`).join(' and ');
  const because = most === '' ? '' : `, mostly ${most}`;
  return `${show(start)} ${unit} hung on our rail, and ${show(boxes)} ${unit} are in your boxes${because}.`;
}
