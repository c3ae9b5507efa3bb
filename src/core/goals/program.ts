import { grindOf, lipidOf } from '../forecast/forecast';
import { separablePct } from '../forecast/grind';
import type { Ground } from '../questions/evaluate';
import { solve } from '../solver/solve';
import type { Sheet } from '../sheet/types';
import type { Choices, Column, Gives } from './columns';
import type { AmountOf, Goal, Wish } from './goals';
import { weightOfCuFt, WORTH } from './score';

/** A linear sum: coefficients by the name of the variable, and what is there anyway. */
type Sum = { readonly terms: ReadonlyMap<string, number>; readonly constant: number };

/** What is asked of the search beside its wishes. */
export type Aim = {
  /** What is made as great as possible. */
  readonly score: Sum;
  /** What must hold, each at most so much. */
  readonly limits: readonly { readonly sum: Sum; readonly most: number }[];
};

export type Picked = { readonly columns: readonly Column[]; readonly score: number };

/** Thousandths to units: the program is solved in pounds or kilograms. */
const UNIT = 1000;
/** A solution is not searched further that is nearer to the best than this, units of the score. */
export const GAP = 0.02;
/** Beyond any weight, unit. */
const BIG = 5000;

/**
 * The choice of one column for each group as a mixed-integer program, exact but for rounding: what is cut adds up over
 * groups, and the grind is the lean with the fat that the sheet asks, as far as there is some.
 */
export class Program {
  private readonly names: readonly (readonly string[])[];

  constructor(
    private readonly ground: Ground,
    private readonly sheet: Sheet,
    private readonly choices: Choices,
    /** What a unit of grind costs, cents. */
    private readonly grindRate: number,
  ) {
    this.names = choices.groups.map(({ columns }, group) => columns.map((_, at) => `y${group}_${at}`));
  }

  /**
   * How far a sheet meets the wishes that may be given up, in units of weight, and what must hold.
   *
   * @param spare - so much is left under a limit of the bill, since its lines are rounded
   */
  aimOf(goals: readonly Goal[], spare = 0): Aim {
    const limits = goals.flatMap(({ wish, must }) => (must ? this.limitOf(wish, spare) : []));
    const soft = goals.flatMap(({ wish, must, weight }, at) =>
      must ? [] : [{ wish, weight, slack: `s${at}` }],
    );
    const scores = soft.map(({ wish, weight, slack }) => scaled(this.scoreOf(wish, slack), weight));
    const eased = soft.flatMap(({ wish, slack }) =>
      this.limitOf(wish, 0).map(({ sum, most }) => ({ sum: plus(sum, { [slack]: -1 }), most })),
    );
    return {
      score: added([...scores, this.gives(({ gives }) => -WORTH.against * gives.against)]),
      limits: [...limits, ...eased],
    };
  }

  /** How many rows change. */
  changes(): Sum {
    return this.gives(({ changes }) => changes);
  }

  amount(of: AmountOf): Sum {
    const cuts = (name: keyof Gives['cuts']) =>
      this.gives(({ gives }) => gives.cuts[name] / UNIT, this.choices.base.cuts[name] / UNIT);
    const grind: Sum = { terms: new Map([['G', 1]]), constant: 0 };
    if (of === 'grind') return grind;
    const steaks = this.gives(({ gives }) => gives.wholeSteaks / UNIT, this.choices.base.wholeSteaks / UNIT);
    if (of === 'steaks') return steaks;
    if (of === 'quick') return added([steaks, grind]);
    if (of !== 'home') return cuts(of);
    return added([...(['steaks', 'roasts', 'grind', 'cured', 'bones', 'offal'] as const).map(cuts), grind]);
  }

  bill(): Sum {
    const cut = this.gives(({ gives }) => gives.bill / 100, this.choices.base.bill / 100);
    return plus(cut, { G: (this.grindRate * UNIT) / 100 });
  }

  private limitOf(wish: Wish, spare: number): Aim['limits'] {
    switch (wish.kind) {
      case 'billAtMost':
        return [{ sum: this.bill(), most: wish.cents / 100 - spare }];
      case 'freezerAtMost': {
        return [{ sum: this.amount('home'), most: weightOfCuFt(wish.cuFt, this.ground.situation) }];
      }
      case 'roastsAtLeast': {
        const packs = this.gives(({ gives }) => -gives.roastPacks, -this.choices.base.roastPacks);
        return [{ sum: packs, most: -wish.count }];
      }
      case 'fatAtMost': {
        const share = separablePct(wish.pct, this.fatCount()) / 100;
        return [
          {
            sum: {
              terms: new Map([
                ['U', 1 - share],
                ['L', -share],
              ]),
              constant: 0,
            },
            most: 0,
          },
        ];
      }
      default:
        return [];
    }
  }

  /** What a wish that may be given up is worth, in units of weight. */
  private scoreOf(wish: Wish, slack: string): Sum {
    switch (wish.kind) {
      case 'most':
        return this.amount(wish.of);
      case 'least':
        return scaled(
          wish.of === 'bill' ? this.bill() : this.amount('home'),
          wish.of === 'bill' ? -WORTH.cheap : -1,
        );
      case 'billAtMost':
      case 'freezerAtMost':
      case 'fatAtMost':
      case 'roastsAtLeast':
        return { terms: new Map([[slack, -this.slackWorth(wish.kind)]]), constant: 0 };
      default:
        return { terms: new Map(), constant: 0 };
    }
  }

  /** A slack of the freezer and of the fat is a weight, not a cubic foot or a point. */
  private slackWorth(kind: 'billAtMost' | 'freezerAtMost' | 'fatAtMost' | 'roastsAtLeast'): number {
    if (kind !== 'freezerAtMost') return WORTH[kind];
    return WORTH.freezerAtMost / weightOfCuFt(1, this.ground.situation);
  }

  private fatCount() {
    const { situation } = this.ground;
    return { fatBasis: situation.species.grind.fatBasis, lipid: lipidOf(situation) };
  }

  private gives(of: (column: Column) => number, constant = 0): Sum {
    const terms = new Map<string, number>();
    this.choices.groups.forEach(({ columns }, group) =>
      columns.forEach((column, at) => {
        const value = of(column);
        if (Math.abs(value) > 1e-9) terms.set(this.names[group]![at]!, value);
      }),
    );
    return { terms, constant };
  }

  /** What the grind comes to for each unit in the grinder, and what the casings of fixed lines take. */
  private grindLine(): { slope: number; constant: number } {
    const packed = (lean: number) =>
      grindOf(this.ground.situation, this.sheet, { lean, looseFat: 0, attachedFat: 0 }).parts.reduce(
        (sum, part) => sum + part.packaged,
        0,
      ) / UNIT;
    const [low, high] = [1000, 2000];
    const slope = (packed(high * UNIT) - packed(low * UNIT)) / (high - low);
    return { slope, constant: packed(low * UNIT) - slope * low };
  }

  /**
   * @param gap - nearer to the best than this, in units of the score, it is good enough
   * @returns undefined when nothing meets the limits
   */
  async best({ score, limits }: Aim, gap = GAP): Promise<Picked | undefined> {
    if (this.choices.groups.some(({ columns }) => columns.length === 0)) return undefined;
    const { base } = this.choices;
    const pool = (name: 'lean' | 'attachedFat' | 'looseFat', as: string) =>
      equals(
        this.gives(({ gives }) => gives[name] / UNIT, base[name] / UNIT),
        as,
      );
    const share = Math.min(99, separablePct(this.sheet.grind.fatPct, this.fatCount())) / 100;
    const asked = share / (1 - share);
    const { slope, constant } = this.grindLine();
    const slacks = [...score.terms.keys(), ...limits.flatMap(({ sum }) => [...sum.terms.keys()])].filter(
      (name) => name.startsWith('s'),
    );
    const binaries = [...this.names.flat(), 'b', 'c'];
    const model = [
      'Maximize',
      ` obj: ${written(score.terms)}`,
      'Subject To',
      ...this.names.map((columns, at) => ` one${at}: ${columns.join(' + ')}${this.onceFor(at)}`),
      ` lean: ${pool('lean', 'L')}`,
      ` attached: ${pool('attachedFat', 'A')}`,
      ` loose: ${pool('looseFat', 'F')}`,
      // The fat used is what is asked, but never less than what cannot be culled and never more than there is.
      ' fat1: U - A - F <= 0',
      ' fat2: U - A >= 0',
      ` fat3: U - A - ${BIG} b <= 0`,
      ` fat4: U - ${asked} L + ${BIG} b <= ${BIG}`,
      ` fat5: U - ${asked} L + ${BIG} c >= 0`,
      ` fat6: U - A - F - ${BIG} c >= -${BIG}`,
      ` grind: G - ${slope} L - ${slope} U = ${constant}`,
      ...limits.map(({ sum, most }, at) => ` limit${at}: ${written(sum.terms)} <= ${most - sum.constant}`),
      'Bounds',
      ...['L', 'A', 'F', 'U', 'G', ...new Set(slacks)].map((name) => ` 0 <= ${name} <= ${BIG}`),
      'Binary',
      ` ${binaries.join(' ')}`,
      'End',
    ].join('\n');
    const found = await solve(model, { gap });
    if (!found.optimal) return undefined;
    const columns = this.choices.groups.flatMap(({ columns }, group) =>
      columns.filter((_, at) => (found.values[this.names[group]![at]!] ?? 0) > 0.5),
    );
    return { columns, score: found.objective + score.constant };
  }

  /** One column is taken of a group; of one that stands under a column of another, with that one alone. */
  private onceFor(group: number): string {
    const { under } = this.choices.groups[group]!;
    return under ? ` - ${this.names[under.group]![under.column]!} = 0` : ' = 1';
  }
}

function scaled({ terms, constant }: Sum, by: number): Sum {
  return { terms: new Map([...terms].map(([name, value]) => [name, value * by])), constant: constant * by };
}

function plus({ terms, constant }: Sum, more: Readonly<Record<string, number>>): Sum {
  const all = new Map(terms);
  for (const [name, value] of Object.entries(more)) all.set(name, (all.get(name) ?? 0) + value);
  return { terms: all, constant };
}

function added(sums: readonly Sum[]): Sum {
  return sums.reduce((sum, each) => ({
    ...plus(sum, Object.fromEntries(each.terms)),
    constant: sum.constant + each.constant,
  }));
}

/** The first sum and so much of the second. */
export function plusScaled(sum: Sum, more: Sum, by: number): Sum {
  return added([sum, scaled(more, by)]);
}

export function negative(sum: Sum): Sum {
  return scaled(sum, -1);
}

function equals({ terms, constant }: Sum, name: string): string {
  return `${written(plus({ terms, constant }, { [name]: -1 }).terms)} = ${-constant}`;
}

function written(terms: ReadonlyMap<string, number>): string {
  const said = [...terms].map(
    ([name, value]) => `${value < 0 ? '-' : '+'} ${Math.abs(value).toFixed(9)} ${name}`,
  );
  return said.length === 0 ? '0 L' : said.join(' ');
}
