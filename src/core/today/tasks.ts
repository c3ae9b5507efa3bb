import { group } from 'd3-array';
import type { ShareId } from '../order/animal';
import type { Stage } from '../order/stage';
import { waitsForAnswers, type StageRow } from '../order/stageRow';
import { counted } from '../quantity/counted';
import type { HouseRules } from '../shop/houseRules';
import { dayIn, dayWords, daysAfter, daysBetween, timeIn, type Day } from '../time/shopTime';

/** What has to be done, by what it is; in the order in which the late ones are looked at: what stops the floor first. */
export const TASK_KINDS = [
  'broken',
  'answer',
  'approve',
  'weigh-in',
  'weigh-cold',
  'to-block',
  'on-block',
  'in-cure',
  'reconcile',
  'collect',
] as const;
export type TaskKind = (typeof TASK_KINDS)[number];

/** When something is due: late by whole days, at a time of today, or soon: to wait for, not to do. */
export type Due =
  | { readonly when: 'late'; readonly days: number }
  | { readonly when: 'today'; readonly at: string; readonly hour: '' | 'block' | 'calls' | 'close' }
  | { readonly when: 'soon'; readonly day: Day };

/** One thing to be done, at the stage where it is done. */
export type Task = {
  readonly key: string;
  readonly kind: TaskKind;
  readonly stage: Stage;
  readonly shareIds: readonly ShareId[];
  readonly due: Due;
  /** Whose it is, or which animal. */
  readonly title: string;
  readonly about: string;
  readonly words: string;
  /** What there is to ask, the first of it; empty when nothing is. */
  readonly question: string;
  /** The number to ring; empty when nobody has to be rung. */
  readonly phone: string;
  /** Money that is due, in cents; 0 when none is. */
  readonly owed: number;
};

/** The day as the shop sees it. */
export type ShopDay = {
  readonly now: Date;
  readonly zone: string;
  readonly hours: HouseRules['hours'];
  /** Shares whose household has sent its sheet and was not answered yet. */
  readonly sent: ReadonlySet<ShareId>;
} & Pick<HouseRules, 'sheetDays' | 'storageDays'>;

/** Days after which something that can only be waited for is shown. */
const SOON_DAYS = 1;

/**
 * Everything that must happen today, what is late, and what is waited for until tomorrow: the late first, then by the
 * hour. What is due later than that is not shown. Sides of one animal are weighed together and are one thing to do.
 */
export function tasksOf(rows: readonly StageRow[], day: ShopDay): Task[] {
  const animals = [...group(rows, (row) => row.animalId).values()];
  const tasks = [
    ...rows.flatMap((row) => taskOfShare(row, day)),
    ...animals.flatMap((own) => weighingOf(own, day)),
  ];
  return tasks.sort(inOrder);
}

/** What one share waits for, its weighing aside. */
function taskOfShare(row: StageRow, day: ShopDay): Task[] {
  if (row.broken !== '') return [shareTask(row, 'broken', { when: 'late', days: 0 }, 'cannot be worked out')];
  switch (row.stage) {
    case 'book':
    case 'sheet':
      return sheetTask(row, day);
    case 'wrap':
      return row.onBlock ? [onBlockTask(row, day)] : toBlockTask(row, day);
    case 'reconcile':
      return [reconcileTask(row, day)];
    case 'settle':
      return [collectTask(row, day)];
    default:
      return [];
  }
}

function today({ zone, now }: ShopDay): Day {
  return dayIn(zone, now);
}

function atHour({ hours }: ShopDay, hour: 'block' | 'calls' | 'close'): Due {
  return { when: 'today', at: hours[hour], hour };
}

/** Due on a day: late after it, soon the day before, nothing earlier. */
function dueOn(due: Day, day: ShopDay, hour: 'block' | 'calls' | 'close'): Due | undefined {
  const left = daysBetween(today(day), due);
  if (left < 0) return { when: 'late', days: -left };
  if (left === 0) return atHour(day, hour);
  return left <= SOON_DAYS ? { when: 'soon', day: due } : undefined;
}

function shareTask(row: StageRow, kind: TaskKind, due: Due, words: string): Task {
  return {
    key: `${kind} ${row.shareId}`,
    kind,
    stage: stageOfRow(row),
    shareIds: [row.shareId],
    due,
    title: row.name,
    about: `${row.species.toLowerCase()} ${row.tag}`,
    words,
    question: '',
    phone: '',
    owed: 0,
  };
}

/** Where its tag hangs; what cannot be worked out is looked at as a sheet. */
function stageOfRow({ stage, broken }: StageRow): Stage {
  return broken !== '' || stage === 'gone' || stage === 'cancelled' ? 'sheet' : stage;
}

/** Questions are answered some days before the side is due on the block, an approval at the latest before it. */
function sheetTask(row: StageRow, day: ShopDay): Task[] {
  const isOpen = waitsForAnswers(row);
  if (row.stage === 'book' && row.hasSheet) return [];
  const sent = !isOpen && day.sent.has(row.shareId);
  const answerBy = daysAfter(row.targetDay, isOpen ? -day.sheetDays : 0);
  const due = dueOn(answerBy, day, isOpen ? 'calls' : 'block') ?? (sent ? atHour(day, 'calls') : undefined);
  if (!due) return [];
  const words = !row.hasSheet
    ? 'no sheet yet'
    : isOpen
      ? `${counted(row.openQuestions, 'question')} open`
      : sent
        ? 'they sent their sheet; to be read back and approved'
        : 'everything is answered; to be approved';
  const onBlock = `due on the block ${relative(row.targetDay, day)}`;
  const task = shareTask(row, isOpen ? 'answer' : 'approve', due, `${words}, ${onBlock}`);
  return [{ ...task, stage: 'sheet', question: row.question, phone: isOpen || sent ? row.phone : '' }];
}

function relative(due: Day, day: ShopDay): string {
  const left = daysBetween(today(day), due);
  if (left === 0) return 'today';
  if (left === 1) return 'tomorrow';
  return left === -1 ? 'since yesterday' : left < 0 ? `since ${dayWords(due)}` : dayWords(due);
}

function hung({ killDate, targetDay }: StageRow, day: ShopDay): string {
  const days = Math.max(0, daysBetween(killDate, today(day)));
  return `${days} of ${counted(daysBetween(killDate, targetDay), 'day')} hung`;
}

function toBlockTask(row: StageRow, day: ShopDay): Task[] {
  const due = dueOn(row.targetDay, day, 'block');
  if (!due) return [];
  const longest = daysBetween(row.longestDay, today(day)) > 0 ? ', longer than it should' : '';
  const chilling = row.chillsUntil !== '' && Date.parse(row.chillsUntil) > day.now.getTime();
  const words = `${hung(row, day)}${longest}${chilling ? ', still chilling' : ', the sheet stands'}`;
  return [shareTask(row, 'to-block', due, words)];
}

/** Whole days that something has stood, by the shop's calendar. */
function daysSince(since: string, day: ShopDay): number {
  return Math.max(0, daysBetween(dayIn(day.zone, new Date(since)), today(day)));
}

/** Due on the day it began; late after that. */
function sameDay(since: string, day: ShopDay): Due {
  const days = daysSince(since, day);
  return days > 0 ? { when: 'late', days } : atHour(day, 'close');
}

function curing(row: StageRow, day: ShopDay): Task {
  const words = `${counted(daysSince(row.cureSince || row.since, day), 'day')} in cure; weigh it when it comes out`;
  return shareTask(row, 'in-cure', { when: 'soon', day: daysAfter(today(day), SOON_DAYS) }, words);
}

function onBlockTask(row: StageRow, day: ShopDay): Task {
  const note = row.hasNote ? ', with words for the cutter' : '';
  const words = `${row.packsMade} of about ${counted(row.packsAsked, 'pack')}${note}`;
  return shareTask(row, 'on-block', sameDay(row.since, day), words);
}

function reconcileTask(row: StageRow, day: ShopDay): Task {
  if (row.inCure) return curing(row, day);
  const percent = (row.unaccountedBp / 100).toFixed(1);
  const words = `${counted(row.packsMade, 'pack')}, ${percent} % unaccounted${row.verdict === 'usual' ? ': usual' : ''}`;
  return shareTask(row, 'reconcile', sameDay(row.since, day), words);
}

function collectTask(row: StageRow, day: ShopDay): Task {
  const days = daysSince(row.since, day);
  const due: Due =
    days > day.storageDays ? { when: 'late', days: days - day.storageDays } : atHour(day, 'close');
  const words = days === 0 ? 'ready since today' : `ready for ${counted(days, 'day')}`;
  return { ...shareTask(row, 'collect', due, words), phone: row.phone, owed: Math.max(0, row.due) };
}

/** What of an animal waits for the rail scale: its hot weight on the day it comes, its cold weight once it is chilled. */
function weighingOf(own: readonly StageRow[], day: ShopDay): Task[] {
  const live = own.filter((row) => row.broken === '');
  const booked = live.filter((row) => row.stage === 'book');
  const warm = live.filter((row) => (row.stage === 'hang' || row.stage === 'sheet') && !row.coldWeighed);
  return [
    ...animalTask('weigh-in', booked, (row) => weighInDue(row, day)),
    ...animalTask('weigh-cold', warm, (row) => weighColdDue(row, day)),
  ];
}

type Said = { readonly due: Due; readonly words: string };

function animalTask(
  kind: 'weigh-in' | 'weigh-cold',
  rows: readonly StageRow[],
  say: (row: StageRow) => Said | undefined,
): Task[] {
  const [first] = rows;
  const said = first && say(first);
  if (!first || !said) return [];
  return [
    {
      key: `${kind} ${first.animalId}`,
      kind,
      stage: kind === 'weigh-in' ? 'book' : 'hang',
      shareIds: rows.map((row) => row.shareId),
      due: said.due,
      title: `${first.tag}, ${first.species.toLowerCase()} from ${first.farm}`,
      about: rows.map((row) => row.name).join(' and '),
      words: said.words,
      question: '',
      phone: '',
      owed: 0,
    },
  ];
}

function weighInDue(row: StageRow, day: ShopDay): Said | undefined {
  const due = dueOn(row.killDate, day, 'close');
  const words = due?.when === 'soon' ? `comes ${relative(row.killDate, day)}` : 'its hot weight is missing';
  return due && { due, words: row.hasSheet ? words : `${words}; no sheet yet` };
}

function weighColdDue(row: StageRow, day: ShopDay): Said | undefined {
  if (row.chillsUntil === '') return undefined;
  const chilled = new Date(row.chillsUntil);
  const on = dayIn(day.zone, chilled);
  const at = timeIn(day.zone, chilled).slice(11);
  const clock = at.replace(/^0(?=\d)/, '');
  if (chilled > day.now) {
    const due: Due = on === today(day) ? { when: 'today', at, hour: '' } : { when: 'soon', day: on };
    return { due, words: `chilled at ${clock === '0:00' ? 'midnight' : clock}` };
  }
  const late = daysBetween(row.targetDay, today(day));
  const due: Due = late > 0 ? { when: 'late', days: late } : atHour(day, 'close');
  return { due, words: `chilled; ${hung(row, day)}, its cold weight is missing` };
}

const WHEN = ['late', 'today', 'soon'] as const;

/** The late first, what stops the floor before the rest; then by the hour; then what is waited for. */
function inOrder(a: Task, b: Task): number {
  const byWhen = WHEN.indexOf(a.due.when) - WHEN.indexOf(b.due.when);
  if (byWhen !== 0) return byWhen;
  const at = (task: Task) =>
    task.due.when === 'today' ? task.due.at : task.due.when === 'soon' ? task.due.day : '';
  const byHour = at(a).localeCompare(at(b));
  if (byHour !== 0) return byHour;
  const byKind = TASK_KINDS.indexOf(a.kind) - TASK_KINDS.indexOf(b.kind);
  return byKind !== 0 ? byKind : lateness(b) - lateness(a) || (a.key < b.key ? -1 : 1);
}

function lateness({ due }: Task): number {
  return due.when === 'late' ? due.days : 0;
}
