import { group } from 'd3-array';
import { forecast } from '../forecast/forecast';
import { keptShare, shrinkCurveOf } from '../hang/shrink';
import type { ShareFile } from '../order/shareFile';
import { dryingOf, jobOf, netOf } from '../order/standing';
import { sumWeights, type Weight } from '../quantity/weight';
import { dayIn, daysBetween } from '../time/shopTime';
import { boneStateOf } from '../experience/boneState';
import { kindOf } from './kinds';
import { lessonsOf, type Lesson, type LessonRow } from './lessons';

/** Wrapping and weighing, packs a minute (our labour figures, docs/figures.md). */
const PACKS_PER_MINUTE = 2.5;

/** Somebody who does nothing for longer than this does something else. */
const LONGEST_PAUSE_MINUTES = 20;

/** Fewer moments than this say nothing of how long a task takes. */
const LEAST_MOMENTS = 4;

/** How far single shares scatter in what is no weight of a forecast, as a share. */
const SCATTER = { pieces: 0.1, shrink: 0.25, cure: 0.04, block: 0.3, wrap: 0.35 } as const;

/**
 * What a closed share teaches: its packs against what the reference alone says of its sheet and its cold weight, and what
 * else was measured on the way.
 *
 * @param steps - when its steps at the block were marked
 */
export function lessonRowOf(file: ShareFile, closedAt: Date, steps: readonly Date[]): LessonRow {
  const { situation: known, sheet, coldSides } = jobOf(file);
  const { experience: _own, ...situation } = known;
  const expected = forecast(situation, sheet, coldSides);
  const packages = file.weighings.filter(({ kind }) => kind === 'package');
  const byLine = group(packages, ({ lineKey }) => lineKey);
  const packed = new Map<string, Weight>(
    [...byLine].map(([key, own]) => [key, sumWeights(own.map(({ net }) => net))]),
  );
  const [done, noted] = [
    file.deviations.map(({ decision }) => decision),
    file.notes.map(({ lineKey }) => lineKey),
  ];
  const otherwise = new Set(
    expected.lines
      .filter(({ key, decision }) => done.includes(decision) || noted.includes(key))
      .map(({ key }) => key),
  );
  return {
    ...kindOf(situation),
    shareId: file.share.id,
    boneState: boneStateOf(situation.species, expected),
    closedOn: dayIn(file.shop.zone, closedAt),
    lessons: [
      ...lessonsOf(situation.species, { expected, packed, otherwise }),
      ...expected.lines.flatMap((line) =>
        otherwise.has(line.key) ? [] : [...ofPieces(line, byLine.get(line.key) ?? []), ...ofCure(file, line)],
      ),
      ...ofShrink(file),
      ...ofMinutes('block', {
        steps,
        expected: situation.species.room.minutesPerAnimal * (coldSides.length / 2),
      }),
      ...ofMinutes('wrap', {
        steps: packages.map(({ at }) => new Date(at)),
        expected: packages.length / PACKS_PER_MINUTE,
      }),
    ],
  };
}

/** How long a share took, as its lessons say. */
export function minutesOf({ lessons }: Pick<LessonRow, 'lessons'>): {
  readonly block: number | null;
  readonly wrap: number | null;
} {
  const of = (task: 'block' | 'wrap') => lessons.find((lesson) => lesson.of === task)?.got ?? null;
  return { block: of('block'), wrap: of('wrap') };
}

type Line = ReturnType<typeof forecast>['lines'][number];

/** Pieces of a cut, where all its packs say how many they hold. */
function ofPieces({ pieces, ownCut }: Line, packs: ShareFile['weighings']): Lesson[] {
  if (!pieces || packs.length === 0 || packs.some((pack) => pack.pieces === null)) return [];
  const got = packs.reduce((sum, pack) => sum + pack.pieces!, 0);
  return got > 0 ? [{ of: 'pieces', name: ownCut, expected: pieces, got, relativeSd: SCATTER.pieces }] : [];
}

/** What a cure left of its green weight. */
function ofCure({ weighings }: ShareFile, { key, cure, packaged, cureLoss }: Line): Lesson[] {
  if (cure === null || packaged <= 0) return [];
  const weighed = (kind: 'green' | 'package') =>
    sumWeights(weighings.filter((each) => each.kind === kind && each.lineKey === key).map(({ net }) => net));
  const [green, finished] = [weighed('green'), weighed('package')];
  if (green <= 0 || finished <= 0) return [];
  const expected = green * (packaged / (packaged + cureLoss));
  return [{ of: 'cure', name: cure, expected, got: finished, relativeSd: SCATTER.cure }];
}

/** What each side lost on the rail, by how it hung, against the table. */
function ofShrink({ sides, situation, shop }: ShareFile): Lesson[] {
  return sides.flatMap((side) => {
    const { hot, cold } = side;
    if (!hot || !cold) return [];
    const { learnt: _own, ...drying } = dryingOf(situation, side);
    const curve = shrinkCurveOf(situation.species, drying);
    const days = daysBetween(dayIn(shop.zone, new Date(hot.at)), dayIn(shop.zone, new Date(cold.at)));
    const [before, after] = [netOf(hot), netOf(cold)];
    const expected = before * (1 - keptShare(curve, days));
    const got = before - after;
    if (expected <= 0 || got <= 0) return [];
    return [{ of: 'shrink' as const, name: curve.covering, expected, got, relativeSd: SCATTER.shrink }];
  });
}

/** Minutes from the first to the last moment of a task, longer pauses left out. */
function ofMinutes(
  task: 'block' | 'wrap',
  { steps, expected }: { steps: readonly Date[]; expected: number },
): Lesson[] {
  if (steps.length < LEAST_MOMENTS) return [];
  const sorted = steps.map((at) => at.getTime() / 60_000).sort((a, b) => a - b);
  const got = sorted.slice(1).reduce((sum, at, before) => {
    const passed = at - sorted[before]!;
    return sum + (passed > LONGEST_PAUSE_MINUTES ? 0 : passed);
  }, 0);
  if (got <= 0 || expected <= 0) return [];
  return [{ of: task, name: '', expected, got, relativeSd: SCATTER[task] }];
}
