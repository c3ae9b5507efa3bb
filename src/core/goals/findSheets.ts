import isDeepEqual from 'fast-deep-equal';
import { evaluate, type Evaluation, type Ground } from '../questions/evaluate';
import type { Answer, Sheet } from '../sheet/types';
import type { Decision } from '../species/types';
import { choicesOf, type Asked, type Choices } from './columns';
import type { Goal } from './goals';
import { isAgainst, meets, scoreOf } from './score';
import { GAP, negative, plusScaled, Program, type Aim, type Picked } from './program';

/** A sheet that goes towards the wishes, with what it gives and how far from the best it can be at most. */
export type Proposal = Evaluation & {
  readonly id: 'best' | 'least-change' | 'most-home';
  readonly sheet: Sheet;
  /** Rows that differ from the present sheet. */
  readonly changes: readonly string[];
  /** How far it meets the wishes that may be given up, in units of weight. */
  readonly score: number;
  /** What no sheet can exceed; null where not everything was looked at. */
  readonly bound: number | null;
};

export type Found = {
  readonly proposals: readonly Proposal[];
  readonly tried: number;
  /** Where nothing meets all musts: the musts of which giving up one helps. */
  readonly tooMuch: readonly Goal[];
  /** Rows that stand in each other's way as they are held. */
  readonly stuck: readonly string[];
};

/** A proposal that changes less gives up at most this part of what the best gains. */
const NEARLY = 0.07;
/** With this gap the fewest rows are proved, and the most that comes home is near enough. */
const [LESS_THAN_A_ROW, HALF_A_UNIT] = [0.99, 0.5];
/** Rounds in which groups too large to be looked at whole are searched again around what was found. */
const ROUNDS = 3;
/** What rounding of lines and packs can move, units of weight. */
const ROUNDING = 0.05;

export type Wanted = {
  readonly goals: readonly Goal[];
  readonly pins: ReadonlySet<string>;
  /** Called at each sheet that is worked out, with how many there were. */
  readonly onTried?: (tried: number) => void;
};

/** Two or three good sheets for wishes: the best, the one that changes least, the one that brings most home. */
export async function findSheets(
  ground: Ground,
  sheet: Sheet,
  { goals, pins, onTried }: Wanted,
): Promise<Found> {
  let tried = 0;
  const onSheet = () => {
    tried += 1;
    onTried?.(tried);
  };
  const asked = { ...askedOf(ground, goals, pins), onSheet };
  let search = await searched(ground, sheet, { goals, asked });
  for (let round = 1; round < ROUNDS && search.picked && !search.choices.isWhole; round += 1) {
    const around = sheetOf(sheet, search.picked).answers;
    const next = await searched(ground, sheet, { goals, asked: { ...asked, around } });
    if (!next.picked || next.picked.score <= search.picked.score + 1e-6) break;
    search = next;
  }
  const { program, aim, picked, choices } = search;
  const stuck = choices.groups.filter(({ columns }) => columns.length === 0).flatMap(({ rows }) => rows);
  const held = stuck.filter((row) => pins.has(row));
  if (held.length > 0) return { proposals: [], tried, tooMuch: [], stuck: held };
  if (!picked) {
    const tooMuch = await tooMuchOf(ground, sheet, { goals, pins, onSheet });
    const [first] = tooMuch;
    if (!first) return { proposals: [], tried, tooMuch, stuck: [] };
    // The closest to what cannot be had.
    const eased = goals.map((goal) => (goal === first ? { ...goal, must: false, weight: 10 } : goal));
    const closest = await findSheets(ground, sheet, { goals: eased, pins, onTried: onSheet });
    return { proposals: closest.proposals.slice(0, 1), tried, tooMuch, stuck: [] };
  }
  const isExact = choices.isWhole && !sheet.grind.picked && !goals.some(({ wish }) => wishesMoney(wish));
  const bound = isExact ? picked.score + ROUNDING + GAP : null;
  const nearly: Aim['limits'] = [
    ...aim.limits,
    { sum: negative(aim.score), most: -(picked.score - NEARLY * Math.abs(picked.score)) },
  ];
  const least = await program.best({ score: negative(program.changes()), limits: nearly }, LESS_THAN_A_ROW);
  const home = await program.best({ score: program.amount('home'), limits: nearly }, HALF_A_UNIT);
  const made = [
    ['best', picked] as const,
    ['least-change', least] as const,
    ['most-home', home] as const,
  ].flatMap(([id, found]) => (found ? [proposal(ground, sheet, { id, found, bound, goals })] : []));
  const distinct = made.filter(
    (each, at) => made.findIndex((other) => sameRows(each.sheet, other.sheet)) === at,
  );
  return { proposals: distinct, tried, tooMuch: [], stuck: [] };
}

type SearchFor = { readonly goals: readonly Goal[]; readonly asked: Asked };
type Search = {
  readonly choices: Choices;
  readonly program: Program;
  readonly aim: Aim;
  readonly picked: Picked | undefined;
};

async function searched(ground: Ground, sheet: Sheet, { goals, asked }: SearchFor): Promise<Search> {
  const choices = choicesOf(ground, sheet, asked);
  const program = new Program(ground, sheet, choices, grindRateOf(ground, sheet));
  let [aim, picked] = [program.aimOf(goals), undefined as Picked | undefined];
  const ofMoney = goals.some(({ wish, must }) => must && wish.kind === 'billAtMost');
  for (const spare of ofMoney ? SPARES : [0]) {
    aim = program.aimOf(goals, spare);
    // Of equal sheets the one that changes less.
    const found = await program.best({ ...aim, score: plusScaled(aim.score, program.changes(), -TINY) });
    picked = found && { ...found, score: found.score + TINY * changed(found) };
    if (!picked || meets(goals, worked(ground, sheetOf(sheet, picked)))) break;
  }
  return { choices, program, aim, picked };
}

function worked(ground: Ground, sheet: Sheet) {
  return { situation: ground.situation, sheet, made: evaluate(ground, sheet) };
}

/** Money left under a limit when the sheet found is a little dearer than the program took it for. */
const SPARES = [0, 2, 6, 15];
const TINY = 1e-4;

function changed({ columns }: Picked): number {
  return columns.reduce((sum, column) => sum + column.changes, 0);
}

/** What a thousandth of grind costs, cents: as it does on the present sheet. */
function grindRateOf(ground: Ground, sheet: Sheet): number {
  const [more, less] = [0, 20].map((fatPct) =>
    evaluate(ground, { ...sheet, answers: {}, secondSide: {}, grind: { ...sheet.grind, fatPct } }),
  ) as [Evaluation, Evaluation];
  const by = less.forecast.pool.grind - more.forecast.pool.grind;
  return Math.abs(by) < 1000 ? 0 : (less.bill.total - more.bill.total) / by;
}

/** What wishes say of single rows. */
function askedOf(
  { situation }: Ground,
  goals: readonly Goal[],
  pins: ReadonlySet<string>,
): Omit<Asked, 'onSheet'> {
  const broken = (decision: Decision, answer: Answer, isMust: boolean) =>
    goals.filter(({ wish, must }) => must === isMust && isAgainst(wish, situation, decision, answer)).length;
  return {
    pins,
    allows: (decision, answer) => broken(decision, answer, true) === 0,
    against: (decision, answer) => broken(decision, answer, false),
  };
}

function wishesMoney(wish: Goal['wish']): boolean {
  return wish.kind === 'billAtMost' || (wish.kind === 'least' && wish.of === 'bill');
}

function sheetOf(sheet: Sheet, { columns }: Picked): Sheet {
  const answers = Object.assign({}, ...columns.map((column) => column.answers)) as Sheet['answers'];
  const secondSide = Object.fromEntries(
    Object.entries(sheet.secondSide).filter(([id]) => answers[id] === sheet.answers[id]),
  );
  return { ...sheet, answers, secondSide };
}

type Shown = {
  readonly id: Proposal['id'];
  readonly found: Picked;
  readonly bound: number | null;
  readonly goals: readonly Goal[];
};

function proposal(ground: Ground, sheet: Sheet, { id, found, bound, goals }: Shown): Proposal {
  const made = sheetOf(sheet, found);
  const { forecast, bill } = evaluate(ground, made);
  const score = scoreOf(goals, { situation: ground.situation, sheet: made, made: { forecast, bill } });
  const rows = [...new Set([...Object.keys(made.answers), ...Object.keys(sheet.answers)])];
  const changes = rows.filter((row) => made.answers[row] !== sheet.answers[row]);
  return { id, sheet: made, forecast, bill, changes, score, bound };
}

function sameRows(a: Sheet, b: Sheet): boolean {
  return isDeepEqual(a.answers, b.answers);
}

/** The musts of which giving up one makes the others possible. */
async function tooMuchOf(
  ground: Ground,
  sheet: Sheet,
  { goals, pins, onSheet }: Wanted & Pick<Asked, 'onSheet'>,
): Promise<Goal[]> {
  const helps: Goal[] = [];
  for (const goal of goals.filter(({ must }) => must)) {
    const others = goals.filter((each) => each !== goal);
    const asked = { ...askedOf(ground, others, pins), onSheet };
    const { picked } = await searched(ground, sheet, { goals: others, asked });
    if (picked) helps.push(goal);
  }
  return helps;
}
