import type { GuideStep, Species } from './types';

/**
 * What a species' guide says of the species and is not true: decisions, schools, breaks, edges and flags that
 * nothing is called, pieces that are not the whole side once.
 */
export function guideProblems(species: Species): string[] {
  const { guide } = species;
  if (!guide) return [];
  const primals = species.atlas.atoms.map((atom) => atom.primal);
  const weighed = guide.pieces.flatMap((piece) => piece.primals);
  return [
    ...[...new Set(primals)]
      .filter((primal) => weighed.filter((each) => each === primal).length !== 1)
      .map((primal) => `${primal} is not in one piece`),
    ...weighed.filter((primal) => !primals.includes(primal)).map((primal) => `no primal ${primal}`),
    ...guide.steps.flatMap((step) => stepProblems(species, step).map((each) => `step ${step.id}: ${each}`)),
  ];
}

function stepProblems(species: Species, step: GuideStep): string[] {
  const { guide, decisions, schools, breaks, sideMap, flags } = species;
  const { line = {}, stops = [] } = step;
  // Options are not looked at: a variant may not have all of them, and what cannot be wished stops nothing.
  const wished = [step.needs, ...stops.map(({ wishes }) => wishes)].flatMap((each) =>
    Object.keys(each ?? {}),
  );
  const unknown = (what: string, known: readonly { id: string }[], said: readonly (string | undefined)[]) =>
    said
      .filter((id) => id !== undefined && !known.some((each) => each.id === id))
      .map((id) => `no ${what} ${id}`);
  return [
    ...unknown('decision', decisions, [...(step.stays ?? []), ...step.opens, ...wished]),
    ...unknown('school', schools, [...(step.schools ?? []), ...(step.except ?? [])]),
    ...unknown('break', breaks, [step.break]),
    ...unknown('piece', guide!.pieces, step.weigh ?? []),
    ...unknown(
      'edge',
      Object.keys(sideMap.edges).map((id) => ({ id })),
      [...(line.saw ?? []), ...(line.knife ?? [])],
    ),
    ...unknown(
      'flag',
      flags,
      stops.map(({ flag }) => flag),
    ),
  ];
}
