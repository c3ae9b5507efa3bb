import { breakPlan } from '../carcass/breaks';
import type { Situation } from '../sheet/situation';
import type { Uncertainty } from '../species/types';
import { BONE_STATES, type BoneState } from '../experience/boneState';
import {
  learn,
  learnFigures,
  type Experience,
  type Learnt,
  type LearntCuts,
  type LearntFigure,
  type Outcome,
} from '../experience/experience';
import type { LessonRow, Taught } from './lessons';

/** Animals that are compared as they are: of one species, cut by one school at the same places, of one type. */
export type Kind = {
  readonly species: string;
  readonly school: string;
  /** Places of the breaks, by break. */
  readonly breaks: Readonly<Record<string, string>>;
  /** Finish or breed type; empty where nobody said. */
  readonly type: string;
};

/** The kind of animal that a share is of. */
export function kindOf({ species, school, breaks, condition }: Situation): Kind {
  return {
    species: species.id,
    school: school ?? species.usual?.school ?? '',
    breaks: breakPlan(species, school, breaks),
    type: condition?.type ?? '',
  };
}

/** What an order of another kind of the same species says of this one; likewise one of another bone state of its grind. */
const OTHER_KIND_WEIGHT = 0.25;

/** How sure a usual is before anything is finished, where it is no weight of a forecast. */
const PRIOR_SD: Readonly<Record<Exclude<Taught, 'cut' | 'grind' | 'whole'>, number>> = {
  pieces: 0.05,
  shrink: 0.25,
  cure: 0.05,
  block: 0.3,
  wrap: 0.3,
};

/** A kind in a word, to keep things by. */
export function kindKey({ species, school, breaks, type }: Kind): string {
  return JSON.stringify([species, school, type, Object.entries(breaks).sort(([a], [b]) => (a < b ? -1 : 1))]);
}

/**
 * A shop's own figures for one kind of animal, from what its finished shares taught.
 *
 * @param rows - of this species; the order of them does not matter
 */
export function learnExperience(
  rows: readonly LessonRow[],
  kind: Kind,
  uncertainty: Uncertainty,
): Experience {
  const cuts = learn(outcomesOf(rows, 'cut', { kind }), uncertainty);
  const besideCuts = rows.map((row) => besideItsCuts(row, cuts));
  const grind = (boneState: BoneState) => outcomesOf(besideCuts, 'grind', { kind, boneState });
  const one = (outcomes: readonly Outcome[]): Learnt | undefined => learn(outcomes, uncertainty)[''];
  const takeHome = one(outcomesOf(rows, 'whole', { kind }));
  return {
    cuts,
    grind: Object.fromEntries(
      BONE_STATES.flatMap((boneState) => {
        const learnt = one(grind(boneState));
        return learnt ? [[boneState, learnt]] : [];
      }),
    ),
    ...(takeHome ? { takeHome } : {}),
    shrink: learn(outcomesOf(rows, 'shrink', {}), { ...uncertainty, priorSd: PRIOR_SD.shrink }),
  };
}

/** What a shop has learnt of one thing, with what was held back and where its hand has changed; for people to read. */
export function figuresOf(
  rows: readonly LessonRow[],
  taught: Taught,
  uncertainty: Uncertainty,
): LearntFigure[] {
  const priorSd = taught in PRIOR_SD ? PRIOR_SD[taught as keyof typeof PRIOR_SD] : uncertainty.priorSd;
  return learnFigures(outcomesOf(rows, taught, {}), { ...uncertainty, priorSd });
}

/** A share whose grind is expected as the learnt cuts leave it: what a hand leaves on them is missing in the tub. */
function besideItsCuts(row: LessonRow, cuts: LearntCuts): LessonRow {
  const taken = row.lessons.reduce((sum, { of, name, expected, toGrind }) => {
    if (of !== 'cut' || !toGrind) return sum;
    const more = expected * (Math.exp(cuts[name]?.logRatio ?? 0) - 1);
    return sum + more * (more > 0 ? toGrind.on : toGrind.off);
  }, 0);
  const lessons = row.lessons.map((lesson) =>
    lesson.of === 'grind' ? { ...lesson, expected: lesson.expected - taken } : lesson,
  );
  return { ...row, lessons };
}

type Asked = { readonly kind?: Kind; readonly boneState?: BoneState };

function outcomesOf(rows: readonly LessonRow[], taught: Taught, { kind, boneState }: Asked): Outcome[] {
  const key = kind && kindKey(kind);
  return rows.flatMap((row) => {
    const sameKind = key === undefined || kindKey(row) === key;
    const sameBone = boneState === undefined || row.boneState === boneState;
    const weight = (sameKind ? 1 : OTHER_KIND_WEIGHT) * (sameBone ? 1 : OTHER_KIND_WEIGHT);
    return row.lessons
      .filter(({ of }) => of === taught)
      .map(({ name, expected, got, relativeSd }) => ({
        cut: name,
        expected,
        packed: got,
        relativeSd,
        weight,
        at: row.closedOn,
        source: row.shareId,
      }));
  });
}
