import type { Forecast } from '../forecast/types';
import type { Decision, Destination, Species } from '../species/types';
import { optionById } from '../sheet/situation';
import { takenOver } from '../sheet/takenOver';
import { answerOn } from '../sheet/wishes';
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

/** A sheet of a species with what is expected of it. */
type Answered = { readonly species: Species; readonly sheet: Sheet; readonly expected: Forecast };

/** Where a zone of the side map goes under a sheet; undefined while its main decision is open. */
export function zoneDestination(answered: Answered, zone: string): Destination | undefined {
  const decision = mainDecisionOf(answered.species, zone);
  return decision && decisionDestination(answered, decision);
}

/** Where every zone of the side map goes under a sheet; null while its main decision is open. */
export function zoneDestinations(answered: Answered): Record<string, Destination | null> {
  const zones = Object.keys(answered.species.sideMap.zones);
  return Object.fromEntries(zones.map((zone) => [zone, zoneDestination(answered, zone) ?? null]));
}

/**
 * Where most of what a decision is about goes under a sheet; undefined while it is open.
 *
 * @param side - which side of a whole animal, where the two differ
 */
export function decisionDestination(
  { species, sheet, expected }: Answered,
  decision: Decision,
  side: 1 | 2 = 1,
): Destination | undefined {
  const taker = takenOver(species, (id) => answerOn(sheet, id, side)).get(decision.id);
  if (taker) return taker.option.products[0]?.destination;
  const answer = answerOn(sheet, decision.id, side);
  if (!answer) return undefined;
  const option = optionById(decision, answer.forms[0]!.option);
  // Lines are of both sides together.
  const lines =
    decision.id in sheet.secondSide ? [] : expected.lines.filter((line) => line.decision === decision.id);
  const [largest] = [...lines].sort((a, b) => b.gross - a.gross);
  return (largest ?? option.products[0])?.destination ?? option.destination ?? 'grind';
}

/** A part of a zone that is decided apart, and what of the zone it is. */
export type ZonePart = { readonly decision: Decision; readonly share: number };

/** Parts smaller than this share of their zone are not drawn. */
const LEAST_DRAWN = 0.07;

const parts = new WeakMap<Species, Map<string, readonly ZonePart[]>>();

/**
 * The parts of a zone that are decided apart, in the cutter's order; shares add up to 1. They are the species', not the
 * sheet's: what is chosen changes where a part goes and never how large it is drawn.
 */
export function zoneParts(species: Species, zone: string): readonly ZonePart[] {
  const known = parts.get(species) ?? new Map<string, readonly ZonePart[]>();
  parts.set(species, known);
  const found = known.get(zone) ?? partsOf(species, zone);
  known.set(zone, found);
  return found;
}

function partsOf(species: Species, zone: string): ZonePart[] {
  const own = species.decisions.filter((decision) => decision.zone === zone && isOfMeat(decision));
  const whole = own.reduce((sum, decision) => sum + reach(species, decision), 0);
  const drawn = own.filter((decision) => reach(species, decision) >= LEAST_DRAWN * whole);
  const all = drawn.reduce((sum, decision) => sum + reach(species, decision), 0);
  return drawn.map((decision) => ({ decision, share: reach(species, decision) / all }));
}
