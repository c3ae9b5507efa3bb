import type { Catalogue } from '../catalogue/catalogue';
import { workKeys } from '../charges/keys';
import { forecast } from '../forecast/forecast';
import { odditiesOf } from '../forecast/oddities';
import { failure, type Failure } from '../quantity/result';
import { weight } from '../quantity/weight';
import { formOf, houseSheet, withAnswer } from '../sheet/houseSheet';
import type { Species } from '../species/types';
import { longest, piecesAt, SIZE_OF_SHAPE } from './ownCut';
import { TRIED_SIDES, triedSituation } from './speciesTrial';
import { takenBy } from './takenBy';
import type { OwnCut } from './types';

type Refused = Failure<'invalid'>;

/** Where a cut of the shop's own is described: the species as it is and as it ships, and what can be charged. */
export type CutGround = {
  readonly before: Species;
  readonly shipped: Species;
  readonly catalogue: Catalogue;
};

/** What is wrong with the description of a cut; undefined when it can be tried. */
export function ownCutProblem(cut: OwnCut, { before, shipped, catalogue }: CutGround): Refused | undefined {
  const decision = shipped.decisions.find(({ id }) => id === cut.decision);
  if (!decision)
    return failure('invalid', `A ${before.name.toLowerCase()} has no such place.`, 'change.cut.decision');
  const elsewhere = shipped.decisions.some(({ options }) => options.some(({ id }) => id === cut.id));
  if (elsewhere) return failure('invalid', `"${cut.id}" is a cut already.`, 'change.cut.id');
  const old = before.decisions.flatMap(({ options }) => options).find(({ id }) => id === cut.id);
  const taken = takenBy(cut.name, old?.label ?? '', before);
  if (taken) return failure('invalid', `${cut.name} is a cut already. Take another name.`, 'change.cut.name');
  const known = piecesAt(shipped, decision);
  const stranger = cut.pieces.find((id) => !known.some((piece) => piece.id === id));
  if (stranger) {
    const name = shipped.atlas.atoms.find(({ id }) => id === stranger)?.name ?? stranger;
    return failure('invalid', `${name} is not of ${decision.title.toLowerCase()}.`, 'change.cut.pieces');
  }
  const pieces = known.filter(({ id }) => cut.pieces.includes(id));
  if (cut.netted && pieces.length < 2) {
    return failure(
      'invalid',
      'A net holds two muscles or more. Choose another piece, or no net.',
      'change.cut.netted',
    );
  }
  if (cut.shape === 'slices' && !longest(pieces)) {
    return failure(
      'invalid',
      'None of these pieces has a length to slice along. Take another shape.',
      'change.cut.shape',
    );
  }
  const { label, unit, least, most } = SIZE_OF_SHAPE[cut.shape];
  if (unit !== '' && (cut.size < least || cut.size > most)) {
    return failure('invalid', `${label}: ${least} to ${most} ${unit}, not ${cut.size}.`, 'change.cut.size');
  }
  const charges = workKeys(catalogue);
  const strange = cut.charges.find((key) => !charges.has(key));
  if (strange) return failure('invalid', `Nothing is charged as "${strange}".`, 'change.cut.charges');
  if (!pieces.some(({ composition }) => composition.lean > 0) && cut.bone === 'out') {
    return failure('invalid', 'Without its bone nothing is left of these pieces.', 'change.cut.bone');
  }
  return undefined;
}

/** Tries a cut on house sheets: it must give something, and nothing may be made, lost or laughed at. */
export function trialProblem(species: Species, cut: OwnCut): Refused | undefined {
  const decision = species.decisions.find(({ id }) => id === cut.decision)!;
  const situation = triedSituation(species);
  for (const times of TRIED_SIDES) {
    const side = weight(species.atlas.reference.sideLb * times);
    const sheet = withAnswer(houseSheet(situation), decision.id, {
      forms: [formOf(decision, cut.id, situation)],
    });
    const expected = forecast(situation, sheet, [side]);
    const line = expected.lines.find((each) => each.ownCut === cut.name && each.decision === decision.id);
    if (!line || line.packaged <= 0) {
      return failure(
        'invalid',
        `Nothing would be left for ${cut.name}: other cuts take these pieces first.`,
        'change.cut.pieces',
      );
    }
    const [odd] = odditiesOf({ ...expected, lines: [line] }, 'lb').filter((each) =>
      each.startsWith(line.cut),
    );
    if (odd) return failure('invalid', `On a side of ${side / 1000} lb ${odd}.`, 'change.cut.size');
  }
  return undefined;
}
