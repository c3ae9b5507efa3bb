import type { FieldProblem } from '../quantity/result';
import type { Species } from '../species/types';
import type { CarcassFacts } from './condition';

/** Everything said of a carcass that its species does not know; fields are paths such as `breaks.shoulder`. */
export function carcassProblems(
  species: Species,
  { school, breaks, condition }: CarcassFacts,
): FieldProblem[] {
  const a = `A ${species.name.toLowerCase()}`;
  const unknown = (field: string, said: string, known: readonly string[]): FieldProblem[] =>
    known.includes(said)
      ? []
      : [{ field, message: `${a} has no "${said}" here. Known: ${known.join(', ') || 'none'}.` }];
  const atoms = species.atlas.atoms.map((atom) => atom.id);
  const places = Object.entries(breaks ?? {}).flatMap(([id, place]) => {
    const broken = species.breaks.find((each) => each.id === id);
    return broken
      ? unknown(
          `breaks.${id}`,
          place,
          broken.places.map((each) => each.id),
        )
      : unknown(
          `breaks.${id}`,
          id,
          species.breaks.map((each) => each.id),
        );
  });
  return [
    ...(school === undefined
      ? []
      : unknown(
          'school',
          school,
          species.schools.map((each) => each.id),
        )),
    ...places,
    ...(condition?.type === undefined
      ? []
      : unknown(
          'condition.type',
          condition.type,
          species.types.map((each) => each.id),
        )),
    ...(condition?.rite === undefined ? [] : unknown('condition.rite', condition.rite, species.rites)),
    ...(condition?.flags ?? []).flatMap((flag) =>
      unknown(
        'condition.flags',
        flag,
        species.flags.map((each) => each.id),
      ),
    ),
    ...(['missing', 'condemned', 'carries'] as const).flatMap((what) =>
      Object.keys(condition?.[what] ?? {}).flatMap((atom) =>
        unknown(`condition.${what}.${atom}`, atom, atoms),
      ),
    ),
    ...fatnessProblem(species, condition?.fatness),
    ...nothingLeftProblem(species, condition),
  ];
}

/** A side of which more than this part is gone or condemned is not cut any more, percent. */
const MOST_MISSING_PCT = 80;

function nothingLeftProblem({ atlas }: Species, condition: CarcassFacts['condition']): FieldProblem[] {
  const shareOf = (id: string) => atlas.atoms.find((atom) => atom.id === id)?.sharePct ?? 0;
  return (['missing', 'condemned'] as const).flatMap((what) => {
    const gone = Object.entries(condition?.[what] ?? {}).reduce(
      (sum, [id, part]) => sum + shareOf(id) * part,
      0,
    );
    if (gone <= MOST_MISSING_PCT) return [];
    const message = `${Math.round(gone)} % of the side is gone: nothing is left to cut.`;
    return [{ field: `condition.${what}`, message }];
  });
}

function fatnessProblem({ shifts }: Species, fatness: number | undefined): FieldProblem[] {
  const { label, unit, min, max } = shifts.fatness;
  if (fatness === undefined || (fatness >= min && fatness <= max)) return [];
  return [{ field: 'condition.fatness', message: `${label}: ${min} to ${max} ${unit}, not ${fatness}.` }];
}
