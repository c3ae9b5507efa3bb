import type { Experience } from '@/core/experience/experience';
import { kindKey, kindOf, learnExperience } from '@/core/learning/kinds';
import type { LessonRow } from '@/core/learning/lessons';
import type { Situation } from '@/core/sheet/situation';
import type { Database } from '../database';
import type { SetUps } from '../setUp';
import { learningMark, learntRows } from './lessons';

/** What is known, as of a mark of all lessons. */
type Known = { readonly mark: string; readonly species: Map<string, KnownSpecies> };
type KnownSpecies = {
  readonly rows: readonly LessonRow[];
  /** By kind. */
  readonly experiences: Map<string, Experience>;
};

/** Learnt once for each kind of animal, and kept until another share teaches. */
const known = new WeakMap<SetUps, Known>();

/** What was read may never have been, or something was written that no mark tells of. */
export function forgetExperiences(setUps: SetUps): void {
  known.delete(setUps);
}

/** What the shop has learnt of animals like one; undefined where it has finished none of the species. */
export type Experiences = (situation: Situation) => Experience | undefined;

/** The shop's own figures for these species, as its lessons stand. */
export async function experiencesOf(
  db: Database,
  setUps: SetUps,
  species: readonly string[],
): Promise<Experiences> {
  const mark = await learningMark(db);
  const kept = known.get(setUps);
  const now = kept?.mark === mark ? kept : { mark, species: new Map<string, KnownSpecies>() };
  known.set(setUps, now);
  for (const id of new Set(species)) {
    if (now.species.has(id)) continue;
    now.species.set(id, { rows: await learntRows(db, id), experiences: new Map() });
  }
  return (situation) => {
    const of = now.species.get(situation.species.id);
    if (!of || of.rows.length === 0) return undefined;
    const kind = kindOf(situation);
    const key = kindKey(kind);
    const learnt = of.experiences.get(key) ?? learnExperience(of.rows, kind, situation.species.uncertainty);
    of.experiences.set(key, learnt);
    return learnt;
  };
}
