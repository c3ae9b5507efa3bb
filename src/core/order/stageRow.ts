import { doubtsAmong } from '../questions/asks';
import { ZERO_CENTS, type Cents } from '../quantity/money';
import { ZERO_WEIGHT, type Weight } from '../quantity/weight';
import type { Verdict } from '../reconcile/reconcile';
import { daysAfter, instant, type Day, type Instant } from '../time/shopTime';
import type { AnimalId, ShareId } from './animal';
import { inSentence } from '../quantity/inSentence';
import { DEVIATION_REASONS } from './deviation';
import { shareName } from './naming';
import { brokenPromise } from './promise';
import { dueOf, reconciliationOf } from './settling';
import type { ShareFile } from './shareFile';
import { stageOf, type Place } from './stage';
import { chilledAt, coldWeight, isPacked, openQuestions, packsMade, planOf } from './standing';

/** Where a share stands, and the facts that lists show of it. A projection of its file: never the truth itself. */
export type StageRow = {
  readonly shareId: ShareId;
  readonly number: number;
  readonly animalId: AnimalId;
  readonly stage: Place;
  /** When it came to this stage. */
  readonly since: Instant;
  readonly name: string;
  readonly tag: string;
  readonly species: string;
  readonly farm: string;
  readonly killDate: Day;
  /** What it can be found by, in lower case, apart by blanks. */
  readonly words: string;
  readonly hasSheet: boolean;
  /** Questions that keep the sheet from the floor; 0 from the block on. */
  readonly openQuestions: number;
  /** The first of them, as it is asked; empty when none is open. */
  readonly question: string;
  /** Wishes that somebody should ask about though nothing waits for them, and promises that no longer hold. */
  readonly doubts: number;
  readonly doubt: string;
  /** Words that stop the cutter once. */
  readonly hasNote: boolean;
  readonly onBlock: boolean;
  /** Every side has its cold weight. */
  readonly coldWeighed: boolean;
  readonly coldWeight: Weight;
  readonly packsMade: number;
  readonly packsAsked: number;
  readonly unaccountedBp: number;
  readonly verdict: Verdict;
  readonly inCure: boolean;
  readonly due: Cents;
  readonly takenBy: string;
  /** Until when the heat may be in the bone; empty before it is weighed in. */
  readonly chillsUntil: Instant | '';
  /** The day by which it has hung as long as its species should, and as it may. */
  readonly targetDay: Day;
  readonly longestDay: Day;
  /** Since when something of it lies in cure; empty when nothing does. */
  readonly cureSince: Instant | '';
  /** Of whoever is called about it; for the office only. */
  readonly phone: string;
  /** Why the share cannot be worked out; empty when it can. */
  readonly broken: string;
};

/** Whether a sheet still waits for its household. */
export function waitsForAnswers({ hasSheet, openQuestions }: StageRow): boolean {
  return !hasSheet || openQuestions > 0;
}

/** The row that a share's file gives. Takes no clock: the same file always gives the same row. */
export function stageRowOf(file: ShareFile): StageRow {
  const { animal, share, weighings, start, closing, pickUp } = file;
  const { stage, since } = stageSince(file);
  const balance = start ? reconciliationOf(file) : undefined;
  const open = start ? [] : openQuestions(file).filter((finding) => finding.blocks);
  const doubts = doubtsOf(file);
  return {
    ...identityOf(file),
    stage,
    since,
    hasSheet: file.sheet !== undefined,
    openQuestions: open.length,
    question: open[0]?.sentence ?? '',
    doubts: doubts.length,
    doubt: doubts[0] ?? '',
    hasNote: planOf(file).instructions !== '',
    onBlock: start !== undefined && closing === undefined,
    coldWeighed: file.sides.every((side) => side.cold),
    coldWeight: coldWeight(file),
    packsMade: weighings.filter((each) => each.kind === 'package').length,
    packsAsked: planOf(file).expected.lines.reduce((sum, line) => sum + line.packs, 0),
    unaccountedBp: balance?.unaccountedBp ?? 0,
    verdict: balance?.verdict ?? 'open',
    inCure: (balance?.inCure ?? 0) > 0,
    due: dueOf(file),
    takenBy: pickUp?.takenBy ?? '',
    ...dueOfHanging(file),
    cureSince: cureSinceOf(file),
    phone: share.contact.phone ?? '',
    broken: '',
    shareId: share.id,
    animalId: animal.id,
  };
}

/** What to ask a household about its wishes, in words; once it has said yes, only what was promised. */
export function doubtsOf(file: ShareFile): string[] {
  if (file.closing || !file.sheet) return [];
  if (file.start) return otherwiseWords(file);
  if (!file.sheet.approved) {
    return doubtsAmong(openQuestions(file)).map(({ sentence }) => sentence);
  }
  const broken = brokenPromise(file);
  return broken === undefined ? [] : [broken];
}

/** What was done otherwise on the block, as the counter has to tell it; what they asked for themselves is no news. */
function otherwiseWords({ deviations }: ShareFile): string[] {
  return deviations
    .filter(({ reason }) => reason !== 'called')
    .map(
      ({ asked, done, reason }) =>
        `${asked}: ${inSentence(done)} on the block, ${DEVIATION_REASONS[reason].label}. Tell them, and ask what they would rather.`,
    );
}

/** When it is chilled, and by when it should be cut. */
function dueOfHanging(file: ShareFile): Pick<StageRow, 'chillsUntil' | 'targetDay' | 'longestDay'> {
  const { animal, sides, situation } = file;
  const { targetDays, longestDays } = situation.species.hang;
  const isHung = sides.every((side) => side.hot);
  return {
    chillsUntil: isHung ? instant(chilledAt(file)) : '',
    targetDay: daysAfter(animal.killDate, targetDays),
    longestDay: daysAfter(animal.killDate, longestDays),
  };
}

/** Since when the first line lies in cure that has not all come out. */
function cureSinceOf(file: ShareFile): StageRow['cureSince'] {
  const { lines } = planOf(file).expected;
  const inCure = lines.filter((line) => {
    const mine = file.weighings.filter((each) => each.lineKey === line.key);
    return mine.some((each) => each.kind === 'green') && packsMade(mine, line.key) === 0;
  });
  const keys = new Set(inCure.map((line) => line.key));
  return file.weighings.find((each) => each.kind === 'green' && keys.has(each.lineKey))?.at ?? '';
}

type Identity = Pick<
  StageRow,
  'shareId' | 'number' | 'animalId' | 'name' | 'tag' | 'species' | 'farm' | 'killDate' | 'words'
>;
type Identified = Pick<ShareFile, 'animal' | 'share'>;

/** Who and what it is; can be told of a share that cannot be worked out, too. */
export function identityOf(file: Identified & { situation?: ShareFile['situation'] }): Identity {
  const { animal, share } = file;
  return {
    shareId: share.id,
    number: share.number,
    animalId: animal.id,
    name: shareName(file),
    tag: animal.tag,
    species: file.situation?.species.name ?? animal.species,
    farm: animal.farm.name,
    killDate: animal.killDate,
    words: wordsOf(file),
  };
}

/** A share that cannot be worked out stays on the rail, in red, where somebody finds it. */
export function brokenRow(file: Identified, why: string): StageRow {
  return {
    ...identityOf(file),
    stage: 'sheet',
    since: file.animal.bookedAt,
    hasSheet: true,
    openQuestions: 0,
    question: '',
    doubts: 0,
    doubt: '',
    hasNote: false,
    onBlock: false,
    coldWeighed: false,
    coldWeight: ZERO_WEIGHT,
    packsMade: 0,
    packsAsked: 0,
    unaccountedBp: 0,
    verdict: 'open',
    inCure: false,
    due: ZERO_CENTS,
    takenBy: '',
    chillsUntil: '',
    targetDay: file.animal.killDate,
    longestDay: file.animal.killDate,
    cureSince: '',
    phone: file.share.contact.phone ?? '',
    broken: why,
  };
}

function wordsOf({ animal, share }: Identified): string {
  const people = [share.owner, share.payer, share.contact, animal.farm];
  const numbers = people.flatMap(({ phone }) => tailsOf((phone ?? '').replace(/\D/g, '')));
  const said = [
    ...people.map((person) => person.name),
    animal.tag,
    ...tailsOf(animal.tag.replace(/\D/g, '')),
    String(share.number),
    ...numbers,
  ];
  return [...new Set(said.join(' ').toLowerCase().split(/\s+/))].filter((word) => word !== '').join(' ');
}

/** Fewer digits than these find half the shop. */
const SHORTEST_TAIL = 2;

/** The ends of a number: people say the last four of a telephone, or 12 for H112. */
function tailsOf(digits: string): string[] {
  const count = Math.max(0, digits.length - SHORTEST_TAIL + 1);
  return Array.from({ length: count }, (_, start) => digits.slice(start));
}

/** The stage, and the latest of the events that brought it there. */
function stageSince(file: ShareFile): { stage: StageRow['stage']; since: Instant } {
  const { animal, sides, sheet, start, weighings, notes, closing, pickUp } = file;
  const hot = sides.map((side) => side.hot);
  const cold = sides.map((side) => side.cold);
  const approved = sheet?.approved === true;
  const stage = stageOf({
    hotWeighed: hot.every((ticket) => ticket !== undefined),
    coldWeighed: cold.every((ticket) => ticket !== undefined),
    sheetApproved: approved,
    onTheBlock: start !== undefined,
    packed: closing === undefined && isPacked(file),
    closed: closing !== undefined,
    pickedUp: pickUp !== undefined,
  });
  const events = {
    book: [],
    hang: [...hot, approved ? sheet : undefined],
    sheet: [...hot, approved ? undefined : sheet],
    wrap: start ? [start] : [...cold, sheet],
    reconcile: [start, weighings.at(-1), notes.at(-1)],
    settle: [closing],
    gone: [pickUp],
    cancelled: [file.cancellation],
  };
  const reached = file.cancellation ? 'cancelled' : (stage ?? 'gone');
  const at = events[reached].flatMap((event) => (event ? [event.at] : []));
  return { stage: reached, since: at.sort().at(-1) ?? animal.bookedAt };
}
