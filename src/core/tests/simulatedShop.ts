import { forecast } from '../forecast/forecast';
import type { Forecast } from '../forecast/types';
import { weight, type Weight } from '../quantity/weight';
import { drawerOf, type Drawer, type DrawnAnimal, type Hand } from '../ranges/drawAnimal';
import { houseSheet } from '../sheet/houseSheet';
import type { Sheet } from '../sheet/types';
import type { Situation } from '../sheet/situation';
import type { Species } from '../species/types';
import { boneStateOf } from '../experience/boneState';
import { kindOf, learnExperience } from '../learning/kinds';
import { lessonsOf, type LessonRow } from '../learning/lessons';

/** What is simulated of a shop; every ratio is a natural logarithm. */
export type SimulatedShop = {
  readonly species: Species;
  /** Standard normal numbers. */
  readonly normal: () => number;
  /** How far the shop's usual lies beside the reference, as a standard deviation over its cuts. */
  readonly differs: number;
  /** How much wider than the reference single orders scatter. */
  readonly wilder?: number;
};

/** One finished order: what was forecast of it by what was known before, and what came out. */
export type SimulatedOrder = {
  readonly forecast: Forecast;
  readonly drawn: DrawnAnimal;
  /** The order of the drawn lines. */
  readonly keys: readonly string[];
  /** What this shop usually packs of each line; thousandths. */
  readonly usual: readonly number[];
};

/** Sides of a season, against the reference side: what a forecast says of one it says of all of its weight. */
const SIDES = [0.88, 0.95, 1, 1.05, 1.12];

/** A side of one weight: what is forecast of it, and animals like it. */
type SideOf = { readonly reference: Forecast; readonly cold: readonly Weight[]; readonly drawer: Drawer };

/**
 * Finished orders of a shop with a hand of its own, one after the other: animals of several weights are forecast by what
 * the shop has learnt until then, come out by `drawerOf`, and teach.
 */
export class Season {
  private readonly usual = new Map<string, number>();
  private readonly lessons: LessonRow[] = [];
  private readonly situation: Situation;
  private readonly sheet: Sheet;
  private readonly sides: readonly SideOf[];
  private turn = 0;

  constructor(private readonly shop: SimulatedShop) {
    const { species, normal } = shop;
    this.situation = { species, unit: 'lb', sides: 1, addOns: [], tools: ['band-saw'] };
    this.sheet = houseSheet(this.situation);
    const hand: Hand = { cut: (cut) => this.usualOf(cut), grind: () => this.usualOf('the grind') };
    const wild = { ...this.situation, species: wilder(species, shop.wilder ?? 1) };
    this.sides = SIDES.map((times) => {
      const cold = [weight(species.atlas.reference.sideLb * times)];
      const job = { situation: wild, sheet: this.sheet, coldSides: cold };
      return {
        cold,
        reference: forecast(this.situation, this.sheet, cold),
        drawer: drawerOf(job, normal, hand),
      };
    });
  }

  /** Finishes so many orders. */
  finish(orders: number): void {
    for (let i = 0; i < orders; i += 1) {
      const { reference, drawer } = this.next();
      this.lessons.push(this.lessonOf(reference, drawer));
    }
  }

  /** So many orders forecast by what is known now; they teach nothing. */
  asked(orders: number): SimulatedOrder[] {
    const { species } = this.shop;
    const experience = learnExperience(this.lessons, kindOf(this.situation), species.uncertainty);
    const known = { ...this.situation, experience };
    const forecasts = new Map(
      this.sides.map((side) => [side, forecast(known, this.sheet, side.cold)] as const),
    );
    return Array.from({ length: orders }, () => {
      const side = this.next();
      const { drawer, reference } = side;
      return {
        forecast: forecasts.get(side)!,
        drawn: drawer.draw(),
        keys: drawer.lines.map(({ key }) => key),
        usual: drawer.lines.map(({ key, ownCut }) => {
          const line = reference.lines.find((each) => each.key === key)!;
          return line.packaged * Math.exp(this.usualOf(ownCut));
        }),
      };
    });
  }

  private next(): SideOf {
    this.turn += 1;
    return this.sides[this.turn % this.sides.length]!;
  }

  private usualOf(what: string): number {
    if (!this.usual.has(what)) this.usual.set(what, this.shop.differs * this.shop.normal());
    return this.usual.get(what)!;
  }

  private lessonOf(expected: Forecast, { lines, draw }: Drawer): LessonRow {
    const { lines: packs, grind: ground } = draw();
    const packed = new Map<string, Weight>(lines.map(({ key }, at) => [key, packs[at]! as Weight]));
    const grind = expected.lines.filter(({ kind }) => kind === 'grind');
    const whole = grind.reduce((sum, line) => sum + line.packaged, 0);
    for (const line of grind) packed.set(line.key, ((ground * line.packaged) / whole) as Weight);
    const at = String(this.lessons.length).padStart(6, '0');
    return {
      ...kindOf(this.situation),
      shareId: at,
      closedOn: at,
      boneState: boneStateOf(this.shop.species, expected),
      lessons: lessonsOf(this.shop.species, { expected, packed, otherwise: new Set() }),
    };
  }
}

function wilder(species: Species, times: number): Species {
  const { atomCv, cutCv, sideSd } = species.uncertainty;
  const scaled = { atomCv: atomCv * times, cutCv: cutCv * times, sideSd: sideSd * times };
  return { ...species, uncertainty: { ...species.uncertainty, ...scaled } };
}
