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
  ];
}

function fatnessProblem({ shifts }: Species, fatness: number | undefined): FieldProblem[] {
  const { label, unit, min, max } = shifts.fatness;
  if (fatness === undefined || (fatness >= min && fatness <= max)) return [];
  return [{ field: 'condition.fatness', message: `${label}: ${min} to ${max} ${unit}, not ${fatness}.` }];
}
