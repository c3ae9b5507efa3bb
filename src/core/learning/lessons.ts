import { group } from 'd3-array';
import { leanOf } from '../forecast/shareSpread';
import type { Forecast } from '../forecast/types';
import { sumWeights, type Weight } from '../quantity/weight';
import type { Species } from '../species/types';
import type { BoneState } from '../experience/boneState';
import type { Kind } from './kinds';

/**
 * What a finished share can teach of: what it packed of a cut, of its grind and of the whole; pieces of a cut; how it
 * dried on the rail; what a cure left; minutes on the block and at the table.
 */
export const TAUGHT = ['cut', 'grind', 'whole', 'pieces', 'shrink', 'cure', 'block', 'wrap'] as const;
export type Taught = (typeof TAUGHT)[number];

/** One figure as it was expected by the reference alone, and as it came. */
export type Lesson = {
  readonly of: Taught;
  /** The cut's own name, the cure, how a side hung; empty where there is only one. */
  readonly name: string;
  /** Both above 0, in one unit: thousandths of the shop's unit, pieces, or minutes. */
  readonly expected: number;
  readonly got: number;
  /** How far single orders scatter, as a share. */
  readonly relativeSd: number;
  /** Of a cut: what the grind gains of a pound trimmed off it more, and what it lacks of one left on; 0 to 1. */
  readonly toGrind?: { readonly off: number; readonly on: number };
};

/** What one finished share taught. */
export type LessonRow = Kind & {
  readonly shareId: string;
  readonly boneState: BoneState;
  readonly closedOn: string;
  readonly lessons: readonly Lesson[];
};

/** What was packed of a share, by line, against the reference's forecast for its sheet and its cold weight. */
export type PackedShare = {
  readonly expected: Forecast;
  /** Thousandths; a line that is not there was not packed. */
  readonly packed: ReadonlyMap<string, Weight>;
  /** Lines that were cut otherwise than asked: they say nothing of the hand. */
  readonly otherwise: ReadonlySet<string>;
};

/** Cuts are so lean, about: of what a hand takes off one, this reaches the tub. */
const LEAN_OF_CUTS = 0.75;

/**
 * What a share's packs teach: cut by cut, both forms of one name together; the grind; the whole. A share in which
 * anything was cut otherwise teaches nothing of its grind and its whole.
 */
export function lessonsOf(
  { uncertainty }: Pick<Species, 'uncertainty'>,
  { expected, packed, otherwise }: PackedShare,
): Lesson[] {
  const of = (taught: Taught, name: string, forecast: number, got: number, relativeSd: number): Lesson[] =>
    forecast > 0 && got > 0 ? [{ of: taught, name, expected: forecast, got, relativeSd }] : [];
  const beside = (sd: number) => Math.sqrt(Math.max(1e-6, sd ** 2 - uncertainty.priorSd ** 2));
  const got = (lines: Forecast['lines']) => lines.reduce((sum, { key }) => sum + (packed.get(key) ?? 0), 0);
  const cuts = expected.lines.filter(({ kind }) => kind === 'cut');
  const grind = expected.lines.filter(({ kind }) => kind === 'grind');
  const ground = sumWeights(grind.map(({ packaged }) => packaged));
  const slope = expected.pool.lean > 0 ? ground / expected.pool.lean : 0;
  const byName = group(cuts, ({ ownCut }) => ownCut);
  const ofCuts = [...byName].flatMap(([name, lines]) => {
    if (lines.some(({ key }) => otherwise.has(key))) return [];
    const forecast = sumWeights(lines.map(({ packaged }) => packaged));
    const sd = lines.reduce((sum, line) => sum + line.relativeSd * line.packaged, 0) / forecast;
    const toGrind = toGrindOf(lines, slope);
    return of('cut', name, forecast, got(lines), beside(sd)).map((lesson) => ({ ...lesson, toGrind }));
  });
  if (otherwise.size > 0) return ofCuts;
  const whole = sumWeights([...cuts, ...grind].map(({ packaged }) => packaged));
  return [
    ...ofCuts,
    ...of('grind', '', ground, got(grind), expected.scatter.grind),
    ...of('whole', '', whole, got([...cuts, ...grind]), expected.scatter.takeHome),
  ];
}

/** @param slope - grind from a pound of lean in the tub */
function toGrindOf(lines: Forecast['lines'], slope: number): NonNullable<Lesson['toGrind']> {
  const trimmed = (tissue: 'lean' | 'fat') => sumWeights(lines.map(({ trim }) => trim[tissue]));
  const on = leanOf({ lean: trimmed('lean'), fat: trimmed('fat') });
  const part = (of: number) => Math.round(1000 * Math.min(1, of * slope)) / 1000;
  return { off: part(LEAN_OF_CUTS), on: part(on) };
}
