import Joi from 'joi';
import type { Share, ShareId } from '@/core/order/animal';
import type { ShareFile } from '@/core/order/shareFile';
import { ifNobodyAnswers, whyNotTheHouse } from '@/core/order/noAnswer';
import { brokenPromise } from '@/core/order/promise';
import { coldSides, openQuestions, sheetInForce } from '@/core/order/standing';
import { answerSummary } from '@/core/sheet/summary';
import { asksOf, readOut, type Ask } from '@/core/questions/asks';
import { houseWhereOpen } from '@/core/questions/houseWhereOpen';
import { titleOf } from '@/core/questions/findings';
import { counted } from '@/core/quantity/counted';
import { listed } from '@/core/quantity/listed';
import { success } from '@/core/quantity/result';
import { callsDue, type CallDue } from '@/core/today/calls';
import { doubtsOf } from '@/core/order/stageRow';
import { deviationsOfShares } from '@/data/block';
import type { Database } from '@/data/database';
import { dayWords, momentWords } from '@/core/time/shopTime';
import { sendsOfShare, unansweredSends } from '@/data/links';
import { liveRows, togetherOf } from '@/data/rail';
import { readShop } from '@/data/setUp';
import { callsOfShares } from '@/data/sheet';
import { defineShareView } from '../house/shareView';
import { defineUseCase, OFFICE, type House } from '../house/useCase';
import { REACHED_PAST } from './noteCall';

/** One household of the call list. */
export type CallRow = {
  readonly shareId: ShareId;
  readonly name: string;
  readonly about: string;
  readonly phone: string;
  /** `26 Nov` */
  readonly by: string;
  /** Whole days until then; below zero it is late. */
  readonly daysLeft: number;
  /** What it is called about, in short. */
  readonly why: string;
  /** How often it was called, and how the last one went; empty when nobody called. */
  readonly last: string;
};

export type Calls = { readonly rows: readonly CallRow[]; readonly hour: string };

/** Everybody who has to be called about a sheet, over all orders. */
export const callsView = defineUseCase<Record<string, never>, Calls>({
  name: 'callsView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({}),
  run: async ({ db, now, setUp }) => {
    const { zone } = await readShop(db);
    const { hours, sheetDays } = setUp.rules;
    const sent = new Set(await unansweredSends(db));
    const all = await untold(db, callsDue(await liveRows(db), { now, zone, sheetDays }, sent));
    const together = await togetherOf(
      db,
      all.map(({ row }) => row.shareId),
    );
    const isCalled = new Set(all.map(({ row }) => row.shareId));
    // Of those who are cut as one the first decides, and is called for all of them.
    const due = all.filter(({ row: { shareId } }) => {
      const first = together.get(shareId)![0]!.id;
      return first === shareId || !isCalled.has(first);
    });
    const calls = await callsOfShares(
      db,
      due.map(({ row }) => row.shareId),
    );
    const rows = due.map(({ row, answerBy, daysLeft, sent: hasSent }): CallRow => {
      const mine = calls.filter(({ shareId }) => shareId === row.shareId);
      const last = mine.at(-1);
      const about: string[] = [
        ...(row.hasSheet ? [] : ['no sheet yet']),
        ...(row.hasSheet && row.openQuestions > 0 ? [`${counted(row.openQuestions, 'question')} open`] : []),
        ...(row.onBlock ? ['done otherwise on the block'] : []),
        ...(!row.onBlock && row.doubts > 0 ? [counted(row.doubts, 'doubt')] : []),
        ...(hasSent ? ['they sent it: read it back'] : []),
        ...decidesFor(together.get(row.shareId)!, row.shareId),
      ];
      return {
        shareId: row.shareId,
        name: row.name,
        about: `${row.species.toLowerCase()} ${row.tag}`,
        phone: row.phone,
        by: dayWords(answerBy),
        daysLeft,
        why: about.join(', '),
        last: last
          ? `${counted(mine.length, 'call')}; ${REACHED_PAST[last.reached]} ${momentWords(zone, last.at)}`
          : '',
      };
    });
    return success({ rows, hour: hours.calls });
  },
});

/** Without those who were spoken to since the last thing was done otherwise for them. */
async function untold(db: Database, due: readonly CallDue[]): Promise<CallDue[]> {
  const onBlock = due.filter(({ row }) => row.onBlock).map(({ row }) => row.shareId);
  const deviations = await deviationsOfShares(db, onBlock);
  const calls = await callsOfShares(db, onBlock);
  return due.filter(({ row: { shareId } }) => {
    const last = deviations.get(shareId)?.at(-1);
    if (!last) return true;
    const isTold = (call: (typeof calls)[number]) =>
      call.shareId === shareId && call.reached === 'spoken' && call.at >= last.at;
    return !calls.some(isTold);
  });
}

function decidesFor([first, ...others]: readonly Share[], shareId: ShareId): string[] {
  if (first!.id !== shareId || others.length === 0) return [];
  return [`decides for ${listed(others.map(({ owner }) => owner.name))} as well`];
}

/** A call in hand: what to ask in words to be read out, and what happens if nobody answers. */
export type CallInHand = {
  /** Who is called. */
  readonly contact: string;
  readonly asks: readonly Ask[];
  /** Where there is more than can be read out. */
  readonly more: string;
  /** What happens when nobody answers, and from when. */
  readonly ifNobody: string;
  /** The house's way, where it may be taken now: `Butt: butt roast, 3 lb`; else why not yet. */
  readonly house: { readonly rows: readonly string[]; readonly notYet: string } | null;
  readonly version: number;
  readonly calls: readonly { readonly id: string; readonly words: string; readonly said: string }[];
};

/** One call of the list, as it is made. */
export const callView = defineShareView<CallInHand>({
  name: 'callView',
  roles: OFFICE,
  asCut: true,
  show: async (house, file) => {
    const { share, shop } = file;
    const [sent] = await sendsOfShare(house.db, share.id);
    const calls = await callsOfShares(
      house.db,
      file.together.map((each) => each.id),
    );
    const promise = brokenPromise(file);
    const { asks, more } = readOut(file.sheet?.approved ? [] : asksOf(file.situation, openQuestions(file)));
    const readBack = sent && !file.sheet?.approved && !asks.some((ask) => ask.waits);
    return {
      contact: share.contact.name,
      asks: [
        ...(file.start ? doubtsOf(file).map((words) => told('Done otherwise', words)) : []),
        ...(promise === undefined || file.start ? [] : [told('What was promised', promise)]),
        ...(readBack ? [told('Their sheet', READ_BACK)] : []),
        ...asks,
      ],
      more,
      ifNobody: ifNobodyAnswers(file),
      house: houseOffer(house, file, calls.length),
      version: file.sheet?.version ?? 0,
      calls: calls.map(({ id, reached, said, at, actorName }) => ({
        id,
        words: `${momentWords(shop.zone, at)}, ${actorName}: ${REACHED_PAST[reached]}`,
        said,
      })),
    };
  },
});

const READ_BACK = 'They sent their sheet and nothing is open on it. Read it back, and approve it.';

function told(title: string, words: string): Ask {
  return { decision: '', title, words, house: '', waits: false };
}

/** What the house's way would be, and whether it may be taken now. Null where the shop waits for an answer. */
function houseOffer(house: House, file: ShareFile, calls: number): CallInHand['house'] {
  if (file.rules.noAnswer.does === 'wait' || file.sheet?.approved) return null;
  const { situation } = file;
  const { weights } = coldSides(file);
  const taken = houseWhereOpen({ situation, sheet: sheetInForce(file), coldSides: weights });
  if (taken.rows.length === 0) return null;
  const rows = taken.rows.map((row) => {
    const decision = situation.species.decisions.find(({ id }) => id === row);
    const answer = decision && taken.sheet.answers[row];
    const title = titleOf(situation.species, row);
    return answer ? `${title}: ${answerSummary(decision, answer, situation.unit)}` : title;
  });
  return { rows, notYet: whyNotTheHouse(file, calls, house.now) };
}
