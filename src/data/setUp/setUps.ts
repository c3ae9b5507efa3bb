import { LRUCache } from 'lru-cache';
import type { Catalogue, Curing } from '@/core/catalogue/catalogue';
import { setUpAfter } from '@/core/setUp/setUp';
import { shopCuring } from '@/core/setUp/shopCuring';
import { shopCatalogue } from '@/core/setUp/shopSpecies';
import type { SetUp, SetUpChange, SetUpStep } from '@/core/setUp/types';
import type { HouseRules } from '@/core/shop/houseRules';
import type { Database } from '../database';
import { readHouseRules } from './shop';

/** How a shop is set up, with what can be cut there. */
export type ShopSetUp = SetUp & { readonly catalogue: Catalogue; readonly curing: Curing };

/** Set-ups of before that orders still stand on. */
const KEPT = 16;

/**
 * The shop's set-up as of any of its steps. What was read once is kept, until a step is written, a transaction is
 * rolled back, or another process has written.
 */
export class SetUps {
  private base: HouseRules | undefined;
  private steps: readonly SetUpStep[] | undefined;
  private readonly made = new LRUCache<number, ShopSetUp>({ max: KEPT });

  /** @param shipped - the catalogue as it ships with the app */
  constructor(readonly shipped: Catalogue) {}

  /** As of now. */
  async now(db: Database): Promise<ShopSetUp> {
    const { steps } = await this.history(db);
    return this.at(db, steps.at(-1)?.number ?? 0);
  }

  /** As of a step of the history; what an order was begun under. */
  async at(db: Database, number: number): Promise<ShopSetUp> {
    const known = this.made.get(number);
    if (known) return known;
    const { base, steps } = await this.history(db);
    const setUp = setUpAfter(
      base,
      steps.filter((step) => step.number <= number),
    );
    const made = {
      ...setUp,
      catalogue: shopCatalogue(this.shipped, setUp),
      curing: shopCuring(this.shipped.curing, setUp),
    };
    this.made.set(number, made);
    return made;
  }

  /** The whole history, and the rules that the shop began with. */
  async history(db: Database): Promise<{ readonly base: HouseRules; readonly steps: readonly SetUpStep[] }> {
    this.base ??= await readHouseRules(db);
    this.steps ??= await readSteps(db);
    return { base: this.base, steps: this.steps };
  }

  /** A step was written, or what was read may never have been. */
  forget(): void {
    this.base = undefined;
    this.steps = undefined;
    this.made.clear();
  }
}

async function readSteps(db: Database): Promise<SetUpStep[]> {
  const rows: (Omit<SetUpStep, 'change'> & { change: string })[] = await db('setUpSteps')
    .orderBy('number')
    .select('number', 'change', 'at', 'actorName');
  return rows.map((row) => ({ ...row, change: JSON.parse(row.change) as SetUpChange }));
}

/** Appends a step. @returns its number */
export async function writeStep(
  db: Database,
  step: {
    readonly change: SetUpChange;
    readonly at: string;
    readonly actorId: string;
    readonly actorName: string;
  },
): Promise<number> {
  const [number] = await db('setUpSteps').insert({ ...step, change: JSON.stringify(step.change) });
  return number!;
}
