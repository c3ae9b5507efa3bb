import type { Pantry } from '../species/recipe';
import { formatWeight, type Weight, type WeighingUnit } from '../quantity/weight';
import type { ShareId } from '../order/animal';
import type { Origin, WeighingId } from '../order/work';
import { daysAfter, type Day, type Instant } from '../time/shopTime';
import { cureDays } from './days';
import { limitOf, verdictOf, type NitriteRules, type NitriteVerdict } from './limits';
import { isPumped, ppmOf, type CureRecipe } from './cureRecipe';
import { pumpOf } from './weights';

/** A piece that goes into its cure. */
export type CuredPiece = {
  readonly recipe: CureRecipe;
  /** Of its thickest part, inches. */
  readonly thicknessIn: number;
  readonly skinOn: boolean;
  readonly green: Weight;
  readonly begun: Day;
};

/** What is done to a piece in its cure, in the order in which it is. */
export type CureDeed =
  | { readonly kind: 'pumped' | 'drained'; readonly net: Weight; readonly on?: OnScale }
  | { readonly kind: 'turned'; readonly day: Day }
  | { readonly kind: 'moved'; readonly place: string }
  | { readonly kind: 'out'; readonly day: Day }
  | { readonly kind: 'held' | 'released'; readonly reason: string }
  | { readonly kind: 'noted'; readonly words: string };

/** What said a weight. */
export type OnScale = {
  readonly scaleId: string;
  readonly loadId: string;
  readonly origin: Origin;
  /** Why it is typed; empty where a scale said it. */
  readonly remark: string;
};

export type CureEvent = CureDeed & { readonly id: string; readonly at: Instant; readonly actorId: string };

/** A piece in its cure: what was weighed green, by which recipe, and the mix it lies in. */
export type Cure = CuredPiece & {
  readonly id: string;
  readonly shareId: ShareId;
  readonly lineKey: string;
  /** The green weight that it is. */
  readonly weighingId: WeighingId;
  readonly mixId: string;
  /** Of the brine or the rub it lies in. */
  readonly mixLot: string;
  readonly lot: string;
  readonly place: string;
  readonly at: Instant;
  readonly actorId: string;
};

/** A piece in its cure with everything that was done to it, in the order in which it was. */
export type CureFile = {
  readonly cure: Cure;
  readonly events: readonly CureEvent[];
  /** Why the brine or rub it lies in is held; empty where it is not. */
  readonly mixHeld: string;
};

/** Where a piece stands in its cure. */
export type CureStanding = {
  readonly pumped: Weight | null;
  readonly drained: Weight | null;
  /** Percent of green, as far as it was weighed. */
  readonly pumpPct: number | null;
  readonly retainedPct: number | null;
  /** Ingoing nitrite: by what went in really, else by its recipe. */
  readonly ppm: number;
  readonly limit: number;
  readonly verdict: NitriteVerdict;
  readonly place: string;
  readonly turned: number;
  /** The day on which its cure is through. */
  readonly due: Day;
  readonly out: Day | null;
  /** Why it is held; empty where it is not. */
  readonly held: string;
};

/** What cures stand on besides what is done to them. */
export type CureGround = { readonly pantry: Pantry; readonly rules: NitriteRules };

/** Where a piece stands after what was done to it. */
export function cureStanding(
  { recipe, thicknessIn, skinOn, green, begun, place = '' }: CuredPiece & { readonly place?: string },
  deeds: readonly CureDeed[],
  { pantry, rules }: CureGround,
): CureStanding {
  const weighedAs = (kind: 'pumped' | 'drained') =>
    deeds.reduce<Weight | null>((known, deed) => (deed.kind === kind ? deed.net : known), null);
  const [pumped, drained] = [weighedAs('pumped'), weighedAs('drained')];
  const { pumpPct, retainedPct } = pumpOf({ green, pumped: pumped ?? green, drained: drained ?? green });
  const ppm = ppmOf(
    recipe,
    pantry,
    isPumped(recipe) && pumped !== null ? Math.max(0, pumpPct) : recipe.takesPct,
  );
  const limit = limitOf(rules, recipe.of, skinOn);
  return {
    pumped,
    drained,
    pumpPct: pumped === null ? null : pumpPct,
    retainedPct: drained === null ? null : retainedPct,
    ppm,
    limit,
    verdict: verdictOf(rules, ppm, limit),
    place: deeds.reduce((known, deed) => (deed.kind === 'moved' ? deed.place : known), place),
    turned: deeds.filter(({ kind }) => kind === 'turned').length,
    due: daysAfter(begun, cureDays(recipe.method, thicknessIn)),
    out: deeds.reduce<Day | null>((known, deed) => (deed.kind === 'out' ? deed.day : known), null),
    held: heldBy(deeds),
  };
}

/** The reason of the last hold that nobody has ended. */
function heldBy(deeds: readonly CureDeed[]): string {
  return deeds.reduce((known, deed) => {
    if (deed.kind === 'held') return deed.reason;
    return deed.kind === 'released' ? '' : known;
  }, '');
}

/**
 * Why a deed cannot be done; empty where it can. What was pumped too much is written down, since it is so, and then
 * nothing leads it to a pack: not its owner's yes, nor the shop's.
 */
export function whyNotInCure(
  { recipe, green }: CuredPiece,
  standing: CureStanding,
  deed: CureDeed,
  { unit }: { readonly unit: WeighingUnit },
): string {
  if (deed.kind === 'held' || deed.kind === 'noted') return '';
  if (deed.kind === 'released') return standing.held === '' ? 'It is not held.' : '';
  if (standing.out) return 'It is out of its cure already.';
  if (deed.kind === 'pumped') {
    if (!isPumped(recipe)) return `${recipe.name} is not pumped.`;
    const least = Math.max(green, standing.drained ?? 0) as Weight;
    const was = standing.drained !== null && standing.drained > green ? 'drained' : 'green';
    return deed.net < least
      ? `It weighed ${formatWeight(least, unit)} ${unit} ${was}; pumped it cannot weigh less.`
      : '';
  }
  if (deed.kind === 'drained') {
    const most = standing.pumped;
    if (isPumped(recipe) && most === null) return 'Weigh it pumped first.';
    return most !== null && deed.net > most ? 'Drained it cannot weigh more than pumped.' : '';
  }
  return deed.kind === 'out' ? whyNotOut(recipe, standing, deed.day) : '';
}

function whyNotOut(
  recipe: CureRecipe,
  { verdict, ppm, limit, held, due, pumped }: CureStanding,
  day: Day,
): string {
  if (verdict === 'over') return `${Math.round(ppm)} ppm, where ${limit} is the limit: it goes to nobody.`;
  if (held !== '') return `It is held: ${held}. The owner releases it.`;
  if (isPumped(recipe) && pumped === null) return 'It was never weighed pumped: nobody knows what is in it.';
  return day < due ? `Its cure is through on ${due}, not before.` : '';
}
