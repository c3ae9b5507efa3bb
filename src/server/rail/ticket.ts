import type { AnimalId, ShareId } from '@/core/order/animal';
import type { Stage } from '@/core/order/stage';
import type { StageRow } from '@/core/order/stageRow';
import { counted } from '@/core/quantity/counted';
import { formatMoney } from '@/core/quantity/money';
import { formatWeight } from '@/core/quantity/weight';
import type { Shop } from '@/core/shop/shop';
import { dayIn, daysBetween } from '@/core/time/shopTime';
import { readShop } from '@/data/setUp';
import { isOffice, type House } from '../house/useCase';

/** One share as it hangs on the rail. */
export type Ticket = {
  readonly shareId: ShareId;
  readonly animalId: AnimalId;
  /** The order's number. */
  readonly number: number;
  readonly name: string;
  readonly tag: string;
  readonly species: string;
  readonly farm: string;
  /** Null when it has been picked up, or called off. */
  readonly stage: Stage | null;
  /** The one figure or fact that matters at its stage. */
  readonly fact: string;
  /** What somebody has to look at; empty when all is well. */
  readonly flag: string;
  /** It cannot be worked out: somebody has to look at it before anything else is done with it. */
  readonly broken: boolean;
};

/** In whose eyes a ticket is shown: money is the office's. */
export type Eyes = { readonly shop: Shop; readonly now: Date; readonly seesMoney: boolean };

export async function eyesOf({ db, now, actor }: House): Promise<Eyes> {
  return { shop: await readShop(db), now, seesMoney: isOffice(actor) };
}

export function ticketOf(row: StageRow, eyes: Eyes): Ticket {
  const { shareId, animalId, number, name, tag, species, farm, stage } = row;
  const broken = row.broken !== '';
  return {
    shareId,
    animalId,
    number,
    name,
    tag,
    species,
    farm,
    stage: stage === 'gone' || stage === 'cancelled' ? null : stage,
    ...(broken ? { fact: '', flag: 'cannot be worked out' } : factOf(row, eyes)),
    broken,
  };
}

type Fact = { readonly fact: string; readonly flag: string };

function factOf(row: StageRow, eyes: Eyes): Fact {
  switch (row.stage) {
    case 'gone':
      return { fact: `picked up by ${row.takenBy}, ${dayIn(eyes.shop.zone, new Date(row.since))}`, flag: '' };
    case 'cancelled':
      return { fact: `called off ${dayIn(eyes.shop.zone, new Date(row.since))}`, flag: '' };
    case 'book':
      return { fact: `kill day ${row.killDate}`, flag: row.hasSheet ? '' : 'no sheet yet' };
    case 'hang':
      return { fact: hung(row, eyes), flag: 'cold weight missing' };
    case 'sheet':
      return { fact: hung(row, eyes), flag: sheetFlag(row) };
    case 'wrap':
      return wrapFact(row, eyes);
    case 'reconcile': {
      const flag = row.inCure ? 'in cure' : row.verdict === 'usual' ? '' : row.verdict;
      return { fact: `${(row.unaccountedBp / 100).toFixed(1)} % unaccounted`, flag };
    }
    case 'settle':
      return settleFact(row, eyes);
  }
}

function hung({ killDate }: StageRow, { shop, now }: Eyes): string {
  return `${counted(Math.max(0, daysBetween(killDate, dayIn(shop.zone, now))), 'day')} hung`;
}

function sheetFlag({ hasSheet, openQuestions }: StageRow): string {
  if (!hasSheet) return 'no sheet yet';
  return openQuestions > 0 ? `${openQuestions} open` : 'to approve';
}

function wrapFact(row: StageRow, { shop }: Eyes): Fact {
  if (!row.onBlock) return { fact: `${formatWeight(row.coldWeight, shop.unit)} ${shop.unit} cold`, flag: '' };
  const fact = `${row.packsMade} of about ${counted(row.packsAsked, 'pack')}`;
  return { fact, flag: row.hasNote ? 'read the note' : '' };
}

function settleFact({ due }: StageRow, { shop, seesMoney }: Eyes): Fact {
  if (due <= 0) return { fact: seesMoney ? 'paid' : '', flag: 'ready to go' };
  return { fact: seesMoney ? `${formatMoney(due, shop.currency)} due` : 'at the counter', flag: '' };
}
