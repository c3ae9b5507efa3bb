import type { ShareFile } from '../order/shareFile';
import { sumWeights, type Weight } from '../quantity/weight';
import type { Barrel } from '../ledger/ledger';
import type { BatchEvent, BatchFile } from './batch';

/** How trim is parted by eye into a share's tubs: lean parts of a hundred, clear fat, or as it comes, which is not parted. */
export const GRADES = ['', '90', '80', '65', '50', 'fat'] as const;
export type Grade = (typeof GRADES)[number];

/** Scales have divisions: a tub may give this much more than was weighed into it, as a share of it. */
export const SCALES_DIFFER = 0.005;

/** Lean left on fat that is cut clear, percent. */
const LEAN_ON_FAT = 10;

/** What is cut off and never ground, whoever asks. */
export const NEVER_GROUND = ['glands', 'crust', 'bloodshot'] as const;
export type NeverGround = (typeof NEVER_GROUND)[number];

type Elsewhere = { readonly words: string; readonly barrel: Barrel; readonly why: string };

/** Where it goes instead, and why. */
export const ELSEWHERE: Readonly<Record<NeverGround, Elsewhere>> = {
  glands: {
    words: 'Glands and lymph nodes',
    barrel: 'inedible',
    why: 'Glands and lymph nodes are never ground.',
  },
  crust: {
    words: 'Dry crust',
    barrel: 'inedible',
    why: 'The dry crust of what hung is dark, hard and full of germs: it is never ground.',
  },
  bloodshot: {
    words: 'Bruised or bloodshot',
    barrel: 'inedible',
    why: 'Bruised and bloodshot meat spoils a whole tub: it is never ground.',
  },
};

const isGrade = (text: string): text is Grade => (GRADES as readonly string[]).includes(text);

/** `Trim, 80 % lean` */
export function gradeWords(grade: Grade): string {
  if (grade === '') return 'Trim for the grind';
  return grade === 'fat' ? 'Clear fat' : `Trim, ${grade} % lean`;
}

/** @param asItComes - lean of the share's trim where nobody has parted it, percent */
export function leanOf(grade: Grade, asItComes: number): number {
  if (grade === '') return asItComes;
  return grade === 'fat' ? LEAN_ON_FAT : Number(grade);
}

/** One tub of a share: what was weighed into it and what is left of it. */
export type Tub = {
  readonly grade: Grade;
  readonly leanPct: number;
  readonly into: Weight;
  /** Into batches. */
  readonly drawn: Weight;
  readonly left: Weight;
};

/**
 * The tubs of a share, the leanest first; together they hold what its account of tubs holds. Packs that were made without
 * a batch came out of what is not parted.
 *
 * @param asItComes - lean of the share's trim where nobody has parted it, percent
 */
export function tubsOf(
  { weighings, batches }: Pick<ShareFile, 'weighings' | 'batches'>,
  asItComes: number,
): Tub[] {
  const net = (grade: Grade, kind: 'tub' | 'out') =>
    sumWeights(
      weighings
        .filter((each) => (kind === 'tub' ? each.kind === 'tub' && each.source === grade : isOutOfTub(each)))
        .map((each) => each.net),
    );
  return GRADES.map((grade): Tub => {
    const into = net(grade, 'tub');
    const packed = grade === '' ? net(grade, 'out') : 0;
    const drawn = drawnFrom(batches, grade);
    return {
      grade,
      leanPct: leanOf(grade, asItComes),
      into,
      drawn,
      left: (into - packed - drawn) as Weight,
    };
  })
    .filter(({ into, left, drawn }) => into !== 0 || left !== 0 || drawn !== 0)
    .sort((a, b) => b.leanPct - a.leanPct);
}

/** What a batch has drawn, tub by tub; what was put back is out again. */
export function drawnByGrade(
  events: readonly BatchEvent[],
): { readonly grade: Grade; readonly net: Weight }[] {
  return GRADES.map((grade) => ({ grade, net: drawnFrom([{ events }], grade) })).filter(({ net }) => net > 0);
}

/** A pack or a load for the smoke that was made of a tub without a batch. */
export function isOutOfTub({ kind, source }: ShareFile['weighings'][number]): boolean {
  return (kind === 'package' || kind === 'green') && source === 'tub';
}

function drawnFrom(batches: readonly Pick<BatchFile, 'events'>[], grade: Grade): Weight {
  return sumWeights(
    batches.flatMap(({ events }) =>
      events.flatMap((event) => (event.kind === 'meat' && gradeOf(event) === grade ? [event.net] : [])),
    ),
  );
}

/** Whether batches have drawn more out of a tub than is in it, beyond what scales differ by. */
export function isOverdrawn(tubs: readonly Tub[], grade: Grade): boolean {
  const tub = tubs.find((each) => each.grade === grade);
  return tub !== undefined && tub.drawn > tub.into * (1 + SCALES_DIFFER);
}

/** The tub that meat came out of; before tubs were parted there was one. */
export function gradeOf(event: Extract<BatchEvent, { kind: 'meat' }>): Grade {
  return event.grade ?? '';
}

/** The tub that a weighing went into, or undefined. */
export function gradeOfWeighing({ kind, source }: ShareFile['weighings'][number]): Grade | undefined {
  return kind === 'tub' && isGrade(source) ? source : undefined;
}
