import { checkCure, isPumped, type CureRecipe } from '@/core/curing/cureRecipe';
import { cureStanding, type CureFile } from '@/core/curing/inCure';
import { isBaconClass } from '@/core/curing/limits';
import { standingOf } from '@/core/grindroom/batch';
import { heldWords } from '@/core/grindroom/batchRules';
import type { ForecastLine } from '@/core/forecast/types';
import type { ShareId } from '@/core/order/animal';
import { cutName, partName } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { packsMade, planOf } from '@/core/order/standing';
import type { Weighing, WeighingId } from '@/core/order/work';
import { convertUnits, inUnits, type Weight } from '@/core/quantity/weight';
import type { ToSmoke } from '@/core/smokehouse/load';
import { loadOf, passagesOf, whyInCure } from '@/core/smokehouse/throughSmoke';
import { cureFormOf } from '@/core/species/cureForm';
import { dayIn, daysBetween, type Day } from '@/core/time/shopTime';
import { cureGround } from '../house/cureGround';
import type { House } from '../house/useCase';

/** What somebody does next with a piece. */
export type PieceNext =
  'begin' | 'pump' | 'lie' | 'drain' | 'out' | 'load' | 'smoke' | 'weigh' | 'pack' | 'held';

/** One piece that is cured or smoked: a green weight of a share. */
export type PieceAtSmoke = {
  readonly id: WeighingId;
  readonly shareId: ShareId;
  readonly name: string;
  readonly part: string;
  readonly tag: string;
  readonly species: string;
  readonly farm: string;
  readonly cut: string;
  /** Where it is cut from, as the map of the side calls it; empty for what was ground. */
  readonly zone: string;
  readonly isBacon: boolean;
  readonly isGround: boolean;
  readonly hasNitrite: boolean;
  readonly green: Weight;
  readonly pumped: Weight | null;
  readonly drained: Weight | null;
  readonly smoked: Weight | null;
  /** What it weighed last, and what is expected of it when it is finished. */
  readonly weight: Weight;
  readonly finished: Weight;
  readonly usualThicknessIn: number;
  readonly cure: CureAtSmoke | null;
  /** Null where it hangs in none. */
  readonly load: { readonly id: string; readonly lot: string } | null;
  readonly next: PieceNext;
  /** Why nothing of it is packed yet; empty where it may be. */
  readonly waits: string;
  /** Cures that it may get. */
  readonly recipes: readonly string[];
};

export type CureAtSmoke = {
  readonly id: string;
  readonly lot: string;
  readonly mixId: string;
  readonly mixLot: string;
  readonly recipe: string;
  readonly method: CureRecipe['method'];
  readonly ppm: number;
  readonly limit: number;
  readonly verdict: 'none' | 'low' | 'good' | 'over';
  /** Brine that the recipe wants in, percent. */
  readonly takesPct: number;
  readonly pumpPct: number | null;
  readonly retainedPct: number | null;
  readonly begun: Day;
  readonly due: Day;
  /** Days it has lain, and shall lie. */
  readonly day: number;
  readonly days: number;
  readonly out: Day | null;
  readonly place: string;
  readonly turned: number;
  readonly thicknessIn: number;
  readonly skinOn: boolean;
  readonly held: string;
  readonly notes: readonly string[];
};

/** Charges of what hangs in smoke or dries; what has none of them is done when its cure is. */
const SMOKED_BY: readonly string[] = ['smoking', 'smoking-sausage', 'drying-sausage', 'jerky'];

/** Pieces of a share that are on their way through cure and smoke: none of a line whose packs are all made. */
export function piecesOf(house: House, file: ShareFile): PieceAtSmoke[] {
  const lines = planOf(file).expected.lines.filter(({ cure }) => cure !== null);
  return lines.flatMap((line) => {
    if (packsMade(file.weighings, line.key) >= line.packs) return [];
    return file.weighings
      .filter(({ kind, lineKey }) => kind === 'green' && lineKey === line.key)
      .map((piece) => pieceOf(house, file, { line, piece }));
  });
}

type On = { readonly line: ForecastLine; readonly piece: Weighing };

export function pieceOf(house: House, file: ShareFile, { line, piece }: On): PieceAtSmoke {
  const { share, animal, situation, shop } = file;
  const ground = cureGround(house);
  const own = file.cures.find(({ cure }) => cure.weighingId === piece.id);
  const load = loadOf(file.smokes, piece);
  const passage = passagesOf(file, line.key, ground).find((each) => each.piece.id === piece.id)!;
  const cure = own ? cureAtSmoke(house, file, own) : null;
  const standing = own && cureStanding(own.cure, own.events, ground);
  const lb = convertUnits(inUnits(piece.net), shop.unit, 'lb');
  const form = cureFormOf(situation.species, line);
  const isBacon = form?.bacon === true;
  const decision = situation.species.decisions.find(({ id }) => id === line.decision);
  const smoked = load?.standing.pieces.find(({ weighingId }) => weighingId === piece.id)?.smoked ?? null;
  const whole = line.packaged + line.cureLoss;
  return {
    id: piece.id,
    shareId: share.id,
    name: cutName(file),
    part: partName({ part: share.part, sharePct: 100 }),
    tag: animal.tag,
    species: situation.species.id,
    farm: animal.farm.name,
    cut: line.cut,
    zone: line.kind === 'grind' ? '' : (decision?.zone ?? ''),
    isBacon,
    isGround: line.kind === 'grind',
    hasNitrite: hasNitrite(house, file, { line, piece }, own),
    green: piece.net,
    pumped: standing?.pumped ?? null,
    drained: standing?.drained ?? null,
    smoked,
    weight: passage.weight,
    finished: (whole > 0 ? Math.round((piece.net * line.packaged) / whole) : piece.net) as Weight,
    usualThicknessIn: usualThickness(isBacon, lb),
    cure,
    load: load ? { id: load.file.load.id, lot: load.file.load.lot } : null,
    next: nextOf({
      line,
      cure,
      load,
      passage,
      smoked,
      pumps: own !== undefined && isPumped(own.cure.recipe),
    }),
    waits: passage.waits,
    recipes: house.setUp.curing.recipes
      .filter((recipe) => line.cure !== null && recipe.for.includes(line.cure))
      .filter((recipe) => isBaconClass(recipe.of) === isBacon)
      .filter((recipe) => checkCure(recipe, ground).refused.length === 0)
      .map(({ id }) => id),
  };
}

/** Of a compact piece about two thirds of the edge of its cube; a belly is as thick as bellies are. Inches, by quarters. */
function usualThickness(isBacon: boolean, lb: number): number {
  if (isBacon) return 1.75;
  const [cubicInchesPerLb, share] = [26.6, 0.65];
  const inches = share * Math.cbrt(lb * cubicInchesPerLb);
  return Math.min(6, Math.max(1, Math.round(inches * 4) / 4));
}

function cureAtSmoke(house: House, file: ShareFile, { cure, events, mixHeld }: CureFile): CureAtSmoke {
  const standing = cureStanding(cure, events, cureGround(house));
  const today = dayIn(file.shop.zone, house.now);
  const { ppm, limit, verdict, pumpPct, retainedPct, due, out, place, turned, held } = standing;
  return {
    ...{ ppm, limit, verdict, pumpPct, retainedPct, due, out, place, turned },
    id: cure.id,
    lot: cure.lot,
    mixId: cure.mixId,
    mixLot: cure.mixLot,
    recipe: cure.recipe.name,
    method: cure.recipe.method,
    takesPct: cure.recipe.takesPct,
    begun: cure.begun,
    day: daysBetween(cure.begun, out ?? today),
    days: daysBetween(cure.begun, due),
    thicknessIn: cure.thicknessIn,
    skinOn: cure.skinOn,
    held: held === '' ? mixHeld : held,
    notes: events.flatMap((event) => (event.kind === 'noted' ? [event.words] : [])),
  };
}

/** Whether nitrite is in a piece: by its cure, by its batch, else by what its sheet asks. */
function hasNitrite(house: House, file: ShareFile, { line }: On, own: CureFile | undefined): boolean {
  const { pantry, rules } = cureGround(house);
  if (own)
    return (
      cureStanding(own.cure, own.events, cureGround(house)).verdict !== 'none' && line.cure !== 'natural'
    );
  const batch = file.batches.find((each) => each.batch.lineKey === line.key);
  if (!batch) return line.cure !== 'none' && line.cure !== 'natural' && line.cure !== 'jerky';
  const { ppm } = standingOf(batch.batch, batch.events, {
    unit: file.shop.unit,
    pantry,
    nitrite: rules,
    packed: 0 as Weight,
  });
  return (ppm ?? 0) > 0;
}

type Stands = {
  readonly line: ForecastLine;
  readonly cure: CureAtSmoke | null;
  readonly load: ReturnType<typeof loadOf>;
  readonly passage: { readonly waits: string };
  readonly smoked: Weight | null;
  readonly pumps: boolean;
};

function nextOf({ line, cure, load, passage, smoked, pumps }: Stands): PieceNext {
  if (!cure && line.kind !== 'grind' && !load) return 'begin';
  if (cure?.held || cure?.verdict === 'over' || (load?.standing.held.length ?? 0) > 0) return 'held';
  if (cure && cure.out === null) {
    if (pumps && cure.pumpPct === null) return 'pump';
    if (cure.day < cure.days) return 'lie';
    return pumps && cure.retainedPct === null ? 'drain' : 'out';
  }
  if (!load) return line.charges.some((charge) => SMOKED_BY.includes(charge)) ? 'load' : 'pack';
  if (load.standing.ended === null) return 'smoke';
  return passage.waits === '' && smoked === null ? 'weigh' : 'pack';
}

/** A green weight of a share with the line it is of; undefined where the share has no such. */
function greenOf(file: ShareFile, weighingId: WeighingId): On | undefined {
  const piece = file.weighings.find(({ id, kind }) => id === weighingId && kind === 'green');
  const line = piece && planOf(file).expected.lines.find(({ key }) => key === piece.lineKey);
  return piece && line && { piece, line };
}

/** A piece by the green weight that it is. */
export function pieceWithId(house: House, file: ShareFile, weighingId: WeighingId): PieceAtSmoke | undefined {
  const on = greenOf(file, weighingId);
  return on && pieceOf(house, file, on);
}

/** A piece as it goes into a load; undefined where the share has no such green weight. */
export function toSmoke(house: House, file: ShareFile, weighingId: WeighingId): ToSmoke | undefined {
  const on = greenOf(file, weighingId);
  if (!on) return undefined;
  const { piece, line } = on;
  const own = file.cures.find(({ cure }) => cure.weighingId === weighingId);
  const load = loadOf(file.smokes, piece);
  const { drained, pumped, isGround, hasNitrite: has } = pieceOf(house, file, { line, piece });
  const batch = file.batches.find((each) => each.batch.lineKey === line.key);
  const isElsewhere = load !== undefined && load.standing.ended === null;
  return {
    ...{ weighingId, isGround },
    weight: drained ?? pumped ?? piece.net,
    hasNitrite: has,
    waits:
      (own ? whyInCure(own, cureGround(house)) : '') ||
      (!own && line.kind !== 'grind' ? 'It was never put into its cure here. Begin its cure first.' : '') ||
      (batch ? heldWords(batch.events) : '') ||
      (isElsewhere ? `It hangs in load ${load.file.load.lot} already.` : ''),
  };
}
