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
};

/** What is searched: groups that add up, from what an unanswered sheet gives. */
export type Choices = {
  readonly base: Gives;
  readonly groups: readonly Group[];
  /** Sheets that were worked out. */
  readonly tried: number;
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
};

/** Ways to answer one group that are looked at one by one; a larger group is searched around its present answers. */
const MOST_WAYS = 1500;

/** Everything that can be chosen, group by group. Heavy: some thousand sheets are worked out. */
export function choicesOf(ground: Ground, sheet: Sheet, asked: Asked): Choices {
  const { situation } = ground;
  const bare: Sheet = { ...sheet, answers: {}, secondSide: {}, grind: emptySheet(situation).grind };
  let tried = 0;
  const work = (answers: Sheet['answers'], secondSide: Sheet['secondSide'] = {}) => {
    tried += 1;
    return judge(ground, { ...bare, answers, secondSide });
  };
  const base = givesOf(ground, bare, work({}));
  const groups = groupsOf(situation).map((rows): Group => {
    const ways = rows.map((id) => waysOf(situation, sheet, { id, asked }));
    const count = ways.reduce((product, each) => product * each.length, 1);
    const isWhole = count <= MOST_WAYS;
    const joint = isWhole ? product(ways) : aroundFirst(ways);
    const columns = joint.flatMap((answers): Column[] => {
      const given = Object.fromEntries(rows.flatMap((id, at) => (answers[at] ? [[id, answers[at]]] : [])));
      const second = Object.fromEntries(
        rows.flatMap((id, at) => {
          const other = sheet.secondSide[id];
          return other && answers[at] === sheet.answers[id] ? [[id, other]] : [];
        }),
      );
      const judged = work(given, second);
      if (stops(judged, new Set(rows), situation)) return [];
      const changes = rows.filter((id, at) => answers[at] !== sheet.answers[id]).length;
      const against = rows.reduce((sum, id, at) => {
        const decision = situation.species.decisions.find((each) => each.id === id)!;
        return sum + (answers[at] ? asked.against(decision, answers[at]) : 0);
      }, 0);
      const gives = { ...less(givesOf(ground, bare, judged), base), against };
      return [{ answers: given, gives, changes }];
    });
    return { rows, columns, isWhole };
  });
  return { base, groups, tried, isWhole: groups.every((group) => group.isWhole) };
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
  const decisions = decisionsAsked(situation);
  const wants = new Map(decisions.map((decision) => [decision.id, wanted(decision.options)]));
  const groups: { rows: string[]; atoms: Set<string> }[] = [];
  for (const { id, options } of decisions) {
    const atoms = new Set(wants.get(id));
    const taken = options.flatMap(({ takesOver = [] }) => takesOver).filter((row) => row !== '*');
    const touched = groups.filter(
      (group) =>
        group.rows.some((row) => taken.includes(row) || takenBy(decisions, row).includes(id)) ||
        [...atoms].some((atom) => group.atoms.has(atom)),
    );
    for (const group of touched) groups.splice(groups.indexOf(group), 1);
    groups.push({
      rows: [...touched.flatMap((group) => group.rows), id],
      atoms: new Set([...touched.flatMap((group) => [...group.atoms]), ...atoms]),
    });
  }
  return groups.map((group) => group.rows);
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
