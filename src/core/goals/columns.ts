import isDeepEqual from 'fast-deep-equal';
import { billFor, itemsOfForecast } from '../charges/bill';
import { ownItems } from '../charges/ownItems';
import type { Weight } from '../quantity/weight';
import { ownOf } from '../shares/own';
import { judge, type Ground, type Judged } from '../questions/evaluate';
import { emptySheet, formOf } from '../sheet/houseSheet';
import { decisionsAsked, whyNotOffered, type Situation } from '../sheet/situation';
import type { Answer, Sheet } from '../sheet/types';
import type { Decision, Destination, Option } from '../species/types';
import { isWholeSteak } from './score';

/** What answers give, as far as wishes go: thousandths of the shop's unit, counts, cents. All of it adds up over groups. */
export type Gives = {
  readonly cuts: Readonly<Record<Destination, number>>;
  /** Steaks and chops that are pieces; cubes and strips are none, whatever they go beside. */
  readonly wholeSteaks: number;
  readonly roastPacks: number;
  readonly lean: number;
  readonly attachedFat: number;
  readonly looseFat: number;
  /** Of what is cut on the block; the grind's comes besides. */
  readonly bill: number;
  /** Rows that go against what was rather wanted of them. */
  readonly against: number;
};

/** One way to answer the rows of a group together, and what it gives more than when nothing of it is answered. */
export type Column = {
  readonly answers: Readonly<Record<string, Answer>>;
  readonly gives: Gives;
  /** Rows that differ from the present sheet. */
  readonly changes: number;
};

/** Rows that can want the same pieces and are decided together. */
export type Group = {
  readonly rows: readonly string[];
  readonly columns: readonly Column[];
  readonly isWhole: boolean;
  /** The column of another group, by their places, that its columns belong to: one of them is taken with it, none without. */
  readonly under?: { readonly group: number; readonly column: number };
};

/** What is searched: groups that add up, from what an unanswered sheet gives. */
export type Choices = {
  readonly base: Gives;
  readonly groups: readonly Group[];
  /** Whether every way to answer was looked at. */
  readonly isWhole: boolean;
};

/** Only such ways are looked at. */
export type Asked = {
  /** Rows that stand as they are. */
  readonly pins: ReadonlySet<string>;
  readonly allows: (decision: Decision, answer: Answer) => boolean;
  /** How many wishes that may be given up an answer goes against. */
  readonly against: (decision: Decision, answer: Answer) => number;
  /** Answers that a group too large to be looked at whole is searched around; the present ones when absent. */
  readonly around?: Sheet['answers'];
  /** Called at each sheet that is worked out. */
  readonly onSheet: () => void;
};

/** Ways to answer one group that are looked at one by one; a larger group is searched around its present answers. */
const MOST_WAYS = 1500;

/** Everything that can be chosen, group by group. Heavy: some hundred or thousand sheets are worked out. */
export function choicesOf(ground: Ground, sheet: Sheet, asked: Asked): Choices {
  const work = new Work(ground, sheet, asked);
  const groups: Group[] = [];
  for (const rows of groupsOf(ground.situation)) {
    const ways = new Map(rows.map((id) => [id, waysOf(ground.situation, sheet, { id, asked })]));
    const hub = hubOf(ground.situation, rows, (id) => ways.get(id)!.length);
    if (hub) groups.push(...work.aroundHub(hub, ways, groups.length));
    else groups.push(work.group(rows, ways));
  }
  return { base: work.base, groups, isWhole: groups.every((group) => group.isWhole) };
}

type Ways = ReadonlyMap<string, readonly Way[]>;
type Given = { readonly rows: readonly string[]; readonly answers: readonly Way[] };

/** Ways to answer, worked out against what an unanswered sheet gives. */
class Work {
  readonly base: Gives;
  private readonly bare: Sheet;

  constructor(
    private readonly ground: Ground,
    private readonly sheet: Sheet,
    private readonly asked: Asked,
  ) {
    this.bare = { ...sheet, answers: {}, secondSide: {}, grind: emptySheet(ground.situation).grind };
    this.base = givesOf(ground, this.bare, this.judged({ rows: [], answers: [] }));
  }

  /** Rows that are decided together, every way of them as far as they are not too many. */
  group(rows: readonly string[], ways: Ways): Group {
    const lists = rows.map((id) => ways.get(id)!);
    const isWhole = lists.reduce((count, each) => count * each.length, 1) <= MOST_WAYS;
    const joint = isWhole ? product(lists) : aroundFirst(lists);
    return { rows, columns: joint.flatMap((answers) => this.column({ rows, answers })), isWhole };
  }

  /** The same of rows that fall apart once a few of them are said: each part is looked at under each way of the few. */
  aroundHub({ hub, parts }: Hub, ways: Ways, at: number): Group[] {
    const columns: Column[] = [];
    const under: Group[] = [];
    for (const answers of product(hub.map((id) => ways.get(id)!))) {
      const said = { rows: hub, answers };
      const [column] = this.column(said);
      if (!column) continue;
      const own = parts.map((rows): Group => {
        const joint = product(rows.map((id) => ways.get(id)!));
        return {
          rows,
          columns: joint.flatMap((each) => this.column({ rows, answers: each }, said)),
          isWhole: true,
          under: { group: at, column: columns.length },
        };
      });
      if (own.some((part) => part.columns.length === 0)) continue;
      columns.push(column);
      under.push(...own);
    }
    const rows = columns.length > 0 ? hub : [...hub, ...parts.flat()];
    return [{ rows, columns, isWhole: true }, ...under];
  }

  /** One way of some rows, and what it gives beside what was said already; none when it cannot go to the floor. */
  private column(given: Given, said: Given = { rows: [], answers: [] }): Column[] {
    const { situation } = this.ground;
    const all = { rows: [...said.rows, ...given.rows], answers: [...said.answers, ...given.answers] };
    const judged = this.judged(all);
    if (stops(judged, new Set(all.rows), situation)) return [];
    const from = said.rows.length === 0 ? this.base : givesOf(this.ground, this.bare, this.judged(said));
    const against = given.rows.reduce((sum, id, at) => {
      const decision = situation.species.decisions.find((each) => each.id === id)!;
      const answer = given.answers[at];
      return sum + (answer ? this.asked.against(decision, answer) : 0);
    }, 0);
    return [
      {
        answers: answersOf(given),
        gives: { ...less(givesOf(this.ground, this.bare, judged), from), against },
        changes: given.rows.filter((id, at) => given.answers[at] !== this.sheet.answers[id]).length,
      },
    ];
  }

  private judged(given: Given): Judged {
    const known = this.known.get(given.answers);
    if (known) return known;
    this.asked.onSheet();
    const secondSide = Object.fromEntries(
      given.rows.flatMap((id, at) => {
        const other = this.sheet.secondSide[id];
        return other && given.answers[at] === this.sheet.answers[id] ? [[id, other]] : [];
      }),
    );
    const made = judge(this.ground, { ...this.bare, answers: answersOf(given), secondSide });
    this.known.set(given.answers, made);
    return made;
  }

  /** What the few of a hub give is asked once for each part under them. */
  private readonly known = new WeakMap<readonly Way[], Judged>();
}

function answersOf({ rows, answers }: Given): Record<string, Answer> {
  return Object.fromEntries(rows.flatMap((id, at) => (answers[at] ? [[id, answers[at]]] : [])));
}

/** Whether a way cannot go to the floor; rows of other groups are open on purpose. */
function stops({ findings }: Judged, rows: ReadonlySet<string>, { species }: Situation): boolean {
  return findings.some(({ blocks, decision, kind }) => {
    if (!blocks || !rows.has(decision)) return false;
    return kind !== 'unanswered' || species.decisions.find(({ id }) => id === decision)?.optional !== true;
  });
}

function givesOf({ priceList, bill, own }: Ground, sheet: Sheet, { forecast }: Judged): Gives {
  const cut = { lines: forecast.lines.filter(({ kind }) => kind === 'cut') };
  const items = itemsOfForecast(cut, sheet.wrap);
  const cold = own ? (ownOf(forecast.coldWeight, own.share, own.together) as Weight) : forecast.coldWeight;
  const mine = own ? ownItems(items, own.share, own.together) : items;
  const cuts = { steaks: 0, roasts: 0, grind: 0, cured: 0, bones: 0, offal: 0, lost: 0 };
  let [roastPacks, wholeSteaks] = [0, 0];
  for (const line of cut.lines) {
    const { destination, packaged, packs } = line;
    cuts[destination] += packaged;
    if (destination === 'roasts') roastPacks += packs;
    if (isWholeSteak(line)) wholeSteaks += packaged;
  }
  const { lean, fat, attachedFat } = forecast.pool;
  return {
    cuts,
    wholeSteaks,
    roastPacks,
    lean,
    attachedFat,
    looseFat: fat - attachedFat,
    against: 0,
    bill: billFor(priceList, { ...bill, cold, items: mine }).total,
  };
}

function less(a: Gives, b: Gives): Gives {
  const cuts = Object.fromEntries(
    Object.entries(a.cuts).map(([name, value]) => [name, value - b.cuts[name as Destination]]),
  ) as Gives['cuts'];
  return {
    cuts,
    wholeSteaks: a.wholeSteaks - b.wholeSteaks,
    roastPacks: a.roastPacks - b.roastPacks,
    lean: a.lean - b.lean,
    attachedFat: a.attachedFat - b.attachedFat,
    looseFat: a.looseFat - b.looseFat,
    bill: a.bill - b.bill,
    against: a.against - b.against,
  };
}

/** The ways to answer a row, the present one first: as it stands, and every way that is offered in the house's sizes. */
function waysOf(
  situation: Situation,
  sheet: Sheet,
  { id, asked }: { readonly id: string; readonly asked: Asked },
): Way[] {
  const decision = situation.species.decisions.find((each) => each.id === id)!;
  const present = sheet.answers[id];
  if (asked.pins.has(id) && present) return [present];
  const others = decision.options
    .filter((option) => !whyNotOffered(option, situation) && !option.takesOver?.includes('*'))
    .filter((option) => present?.forms.length !== 1 || present.forms[0]!.option !== option.id)
    .map((option): Answer => ({ forms: [formOf(decision, option.id, situation)] }));
  const all = [...(present ? [present] : []), ...others].filter((answer) => asked.allows(decision, answer));
  const ways: Way[] = decision.optional && !present ? [undefined, ...all] : all;
  const middle = asked.around?.[id];
  const at = ways.findIndex((answer) => answer !== undefined && isDeepEqual(answer, middle));
  return at > 0 ? [ways[at], ...ways.toSpliced(at, 1)] : ways;
}

/** Rows in groups: two are of one group when their ways can want the same piece, or one takes the other over. */
function groupsOf(situation: Situation): string[][] {
  const touch = touching(situation);
  return apart(
    decisionsAsked(situation).map(({ id }) => id),
    touch,
  );
}

type Touch = (one: string, other: string) => boolean;

/** Whether ways of two rows can want the same piece, or one of them takes the other row over. */
function touching(situation: Situation): Touch {
  const decisions = decisionsAsked(situation);
  const wants = new Map(decisions.map(({ id, options }) => [id, new Set(wanted(options))]));
  return (one, other) =>
    takenBy(decisions, one).includes(other) ||
    takenBy(decisions, other).includes(one) ||
    [...wants.get(one)!].some((atom) => wants.get(other)!.has(atom));
}

/** Rows in parts that do not touch each other; in the order of their first rows. */
function apart(rows: readonly string[], touch: Touch): string[][] {
  const parts: string[][] = [];
  const left = new Set(rows);
  for (const row of rows) {
    if (!left.delete(row)) continue;
    const part = [row];
    for (const mine of part) {
      for (const other of [...left].filter((each) => touch(mine, each))) {
        left.delete(other);
        part.push(other);
      }
    }
    parts.push(part);
  }
  return parts;
}

/** A few rows of a group without which the others fall into parts. */
type Hub = { readonly hub: readonly string[]; readonly parts: readonly (readonly string[])[] };

/** The one or two rows by which a group too large to be looked at whole is, with the fewest sheets; none where there are none. */
function hubOf(
  situation: Situation,
  rows: readonly string[],
  waysOfRow: (row: string) => number,
): Hub | undefined {
  const many = (some: readonly string[]) => some.reduce((count, row) => count * waysOfRow(row), 1);
  if (many(rows) <= MOST_WAYS) return undefined;
  const touch = touching(situation);
  const hubs = rows.flatMap((one, at) => [[one], ...rows.slice(at + 1).map((other) => [one, other])]);
  let [best, fewest] = [undefined as Hub | undefined, MOST_WAYS + 1];
  for (const hub of hubs) {
    const parts = apart(
      rows.filter((row) => !hub.includes(row)),
      touch,
    );
    const sheets = many(hub) * (1 + parts.reduce((sum, part) => sum + many(part), 0));
    if (parts.length > 1 && sheets < fewest) [best, fewest] = [{ hub, parts }, sheets];
  }
  return best;
}

function wanted(options: readonly Option[]): string[] {
  return options
    .filter(({ takesOver }) => !takesOver?.includes('*'))
    .flatMap(({ products }) => products.flatMap(({ claims }) => claims.map(({ atom }) => atom)));
}

function takenBy(decisions: readonly Decision[], row: string): readonly string[] {
  const own = decisions.find(({ id }) => id === row)!;
  return own.options.flatMap(({ takesOver = [] }) => takesOver);
}

type Way = Answer | undefined;

function product(lists: readonly (readonly Way[])[]): Way[][] {
  return lists.reduce<Way[][]>(
    (made, list) => made.flatMap((each) => list.map((one) => [...each, one])),
    [[]],
  );
}

/** The first way of each row, and every way in which one or two rows differ from them. */
function aroundFirst(ways: readonly (readonly Way[])[]): Way[][] {
  const first = ways.map((each) => each[0]);
  const made = [first];
  ways.forEach((mine, at) => {
    for (const one of mine.slice(1)) {
      const changed = first.with(at, one);
      made.push(changed);
      ways.forEach((others, after) => {
        if (after > at) for (const other of others.slice(1)) made.push(changed.with(after, other));
      });
    }
  });
  return made;
}
