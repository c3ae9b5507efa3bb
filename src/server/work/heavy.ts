import { Piscina } from 'piscina';
import { join } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import type { BlankSheet } from '@/core/order/blankSheet';
import type { CutCards } from '@/core/label/cutCards';
import type { Confirmation } from '@/core/order/confirmation';
import type { SheetCopy } from '@/core/order/sheetCopy';
import type { Statement } from '@/core/order/settlement';
import type { Found } from '@/core/goals/findSheets';
import type { SearchJob } from '@/core/goals/searchJob';
import type { DividedInWords, WantedJob } from '@/core/goals/wantedJob';
import type { BlockPaper } from '@/papers';
import type { DayBook } from '@/core/dayBook/dayBook';
import type { LoadPaper } from '@/core/smokehouse/loadPaper';
import type { PlannedWeek } from '@/core/week/bestPlan';
import type { WeekRoom } from '@/core/week/room';
import type { WeekFound } from '@/core/week/weekJob';
import type { FarmSeason } from '@/core/yields/farmSeason';

const holder = globalThis as { fractumHeavy?: Piscina; fractumSearch?: Piscina };

/** Threads for what takes longer than a weighing may wait; kept a while, since statements come in rows. */
function threads(): Piscina {
  holder.fractumHeavy ??= new Piscina({
    filename: join(/* turbopackIgnore: true */ process.cwd(), 'src/papers/worker.mjs'),
    minThreads: 0,
    maxThreads: 2,
    idleTimeout: 60_000,
  });
  return holder.fractumHeavy;
}

/** The confirmation of a booking as the bytes of a PDF. */
export async function confirmationOf(confirmation: Confirmation): Promise<Uint8Array> {
  return (await threads().run(confirmation, { name: 'confirmation' })) as Uint8Array;
}

/** The blank sheet of a species as the bytes of a PDF. */
export async function blankSheetOf(blank: BlankSheet): Promise<Uint8Array> {
  return (await threads().run(blank, { name: 'blankSheet' })) as Uint8Array;
}

/** Cards of cuts as the bytes of a PDF. */
export async function cutCardsOf(cards: CutCards): Promise<Uint8Array> {
  return (await threads().run(cards, { name: 'cutCards' })) as Uint8Array;
}

/** The block's paper of a share as the bytes of a PDF. */
export async function blockPaperOf(paper: BlockPaper): Promise<Uint8Array> {
  return (await threads().run(paper, { name: 'blockSheet' })) as Uint8Array;
}

/** A household's approved sheet as the bytes of a PDF. */
export async function sheetCopyOf(copy: SheetCopy): Promise<Uint8Array> {
  return (await threads().run(copy, { name: 'sheetCopy' })) as Uint8Array;
}

/** The household's statement as the bytes of a PDF, made in a thread of its own. */
export async function statementOf(statement: Statement): Promise<Uint8Array> {
  return (await threads().run(statement, { name: 'statement' })) as Uint8Array;
}

/** A farm's season as the bytes of a PDF. */
export async function farmSeasonOf(season: FarmSeason): Promise<Uint8Array> {
  return (await threads().run(season, { name: 'farmSeason' })) as Uint8Array;
}

/** The book of a day as the bytes of a PDF. */
export async function dayBookPdfOf(book: DayBook): Promise<Uint8Array> {
  return (await threads().run(book, { name: 'dayBook' })) as Uint8Array;
}

/** A load of the smokehouse, for the file, as the bytes of a PDF. */
export async function loadPaperOf(paper: LoadPaper): Promise<Uint8Array> {
  return (await threads().run(paper, { name: 'loadPaper' })) as Uint8Array;
}

/** Threads for searches: two at a time, and the next ones wait. */
function searchThreads(): Piscina {
  holder.fractumSearch ??= new Piscina({
    filename: join(/* turbopackIgnore: true */ process.cwd(), 'src/server/work/search.mjs'),
    minThreads: 0,
    maxThreads: 2,
    // Warming up takes longer than a search: a thread stays for the day.
    idleTimeout: 8 * 3_600_000,
  });
  return holder.fractumSearch;
}

/**
 * A search in a thread of its own that tells what it has so far.
 *
 * @param signal - stops the search when nobody waits for it any more
 */
async function toldOnTheWay<News>(
  job: object,
  { signal, onNews, name }: { signal: AbortSignal; onNews: (news: News) => void; name?: string },
): Promise<unknown> {
  const { port1, port2 } = new MessageChannel();
  port1.on('message', onNews);
  try {
    const options = { signal, transferList: [port2], ...(name ? { name } : {}) };
    return await searchThreads().run({ job, port: port2 }, options);
  } finally {
    port1.close();
  }
}

/**
 * Sheets for wishes, searched in a thread of its own.
 *
 * @param onTried - told now and then how many sheets were tried
 */
export async function sheetsFor(
  job: SearchJob,
  signal: AbortSignal,
  onTried: (tried: number) => void,
): Promise<Found> {
  return (await toldOnTheWay(job, { signal, onNews: onTried })) as Found;
}

/**
 * The weeks planned in a thread of its own.
 *
 * @param onNews - told each plan that is better, and each bound that is nearer
 */
export async function weekPlanned(
  room: WeekRoom,
  signal: AbortSignal,
  onNews: (sofar: PlannedWeek) => void,
): Promise<WeekFound> {
  return (await toldOnTheWay(room, { signal, onNews, name: 'weekJob' })) as WeekFound;
}

/** What is wanted, divided over a farm's animals in a thread of its own. */
export async function dividedOver(job: WantedJob, signal: AbortSignal): Promise<DividedInWords> {
  return (await searchThreads().run(job, { signal, name: 'wantedJob' })) as DividedInWords;
}
