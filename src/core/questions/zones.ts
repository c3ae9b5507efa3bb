import type { Forecast } from '../forecast/types';
import type { Decision, Destination, Species } from '../species/types';
import { optionById } from '../sheet/situation';
import { takenOver } from '../sheet/takenOver';
import type { Sheet } from '../sheet/types';

const heaviest = new WeakMap<Species, Map<string, Decision>>();

/** The decision that most of a zone's weight hangs on: the one a picture of the zone speaks of. */
export function mainDecisionOf(species: Species, zone: string): Decision | undefined {
  let byZone = heaviest.get(species);
  if (!byZone) {
    byZone = new Map();
    for (const each of Object.keys(species.sideMap.zones)) {
      const own = species.decisions.filter((decision) => decision.zone === each);
      const ofMeat = own.filter(isOfMeat);
      const [first] = [...(ofMeat.length > 0 ? ofMeat : own)].sort(
        (a, b) => reach(species, b) - reach(species, a),
      );
      if (first) byZone.set(each, first);
    }
    heaviest.set(species, byZone);
  }
  return byZone.get(zone);
}

/** Kidneys, fat and the like are decided with a zone; they are not what it is. */
function isOfMeat({ options }: Decision): boolean {
  return options.some((option) =>
    option.products.some(({ destination }) => destination !== 'offal' && destination !== 'lost'),
  );
}

/** Percent of the side that any option of a decision can claim, its span aside. */
function reach(species: Species, decision: Decision): number {
  const atoms = new Set(
    decision.options.flatMap((option) =>
      option.products.flatMap((product) => product.claims.map((claim) => claim.atom)),
    ),
  );
  return species.atlas.atoms
    .filter((atom) => atoms.has(atom.id))
    .reduce((sum, atom) => sum + atom.sharePct, 0);
}

/** Where a zone of the side map goes under a sheet; undefined while its main decision is open. */
export function zoneDestination(
  { species, sheet, expected }: { species: Species; sheet: Sheet; expected: Forecast },
  zone: string,
): Destination | undefined {
  const decision = mainDecisionOf(species, zone);
  const taker = decision && takenOver(species, (id) => sheet.answers[id]).get(decision.id);
  if (taker) return taker.option.products[0]?.destination;
  const answer = decision && sheet.answers[decision.id];
  if (!decision || !answer) return undefined;
  const lines = expected.lines.filter((line) => line.decision === decision.id);
  const [largest] = [...lines].sort((a, b) => b.gross - a.gross);
  return largest?.destination ?? optionById(decision, answer.forms[0]!.option).destination ?? 'grind';
}
