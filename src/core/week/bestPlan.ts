import { solve } from '../solver/solve';
import { firstPlan } from './firstPlan';
import { costOfPlan, costOn, mayBeOn, mostOver, type WeekPlan, type WeekRoom } from './room';

/** A plan with what is known of how good it is. */
export type PlannedWeek = {
  /** Of which animals, by their ids; the plan is in their order. */
  readonly animals: readonly string[];
  readonly plan: WeekPlan;
  /** In points. */
  readonly cost: number;
  /** No plan costs less than this. */
  readonly bound: number;
  /** Nothing is better. */
  readonly isProven: boolean;
};

/** Seconds that a proof may take before the best so far is told with its gap. */
const MOST_SECONDS = 8;

/**
 * Which animal on which day: exact, by a mixed-integer program. First a plan in a moment, then a bound by the program
 * without whole numbers, then the program itself for some seconds.
 *
 * @param onNews - told each plan that is better, and each bound that is nearer
 */
export async function bestPlan(
  room: WeekRoom,
  onNews: (sofar: PlannedWeek) => void = () => {},
  seconds = MOST_SECONDS,
): Promise<PlannedWeek> {
  // Nothing costs less than nothing.
  let best = told(firstPlan(room), room, 0);
  if (best.isProven) return best;
  onNews(best);
  const relaxed = await solve(programOf(room, false));
  // Points are whole, and so is what any plan costs.
  if (relaxed.optimal) best = told(best.plan, room, Math.ceil(relaxed.objective - 1e-6));
  if (best.isProven) return best;
  onNews(best);
  const exact = await solve(programOf(room, true), { seconds });
  const found = planFrom(room, exact.values);
  const improved = found && firstPlan(room, found);
  const plans = [best.plan, ...(found ? [found] : []), ...(improved ? [improved] : [])];
  const plan = plans.reduce((a, b) => (costOfPlan(room, b) < costOfPlan(room, a) ? b : a));
  return told(plan, room, exact.optimal ? Math.round(exact.objective) : best.bound);
}

function told(plan: WeekPlan, room: WeekRoom, bound: number): PlannedWeek {
  const cost = costOfPlan(room, plan);
  const animals = room.animals.map(({ id }) => id);
  return { animals, plan, cost, bound: Math.min(bound, cost), isProven: cost <= bound };
}

const ON = /^x(\d+)_(\d+)$/;

/** The plan that values of the program say; undefined where the search was cut short without any. */
function planFrom(room: WeekRoom, values: Readonly<Record<string, number>>): WeekPlan | undefined {
  const on: (number | null)[] = room.animals.map(() => null);
  let isAny = false;
  for (const [name, value] of Object.entries(values)) {
    const said = ON.exec(name);
    if (!said || value < 0.5) continue;
    on[Number(said[1])] = Number(said[2]);
    isAny = true;
  }
  return isAny && Number.isFinite(costOfPlan(room, on)) ? on : undefined;
}

/**
 * The program: `x_a_d` an animal on a day, `u_a` on none, `b_d` and `w_d` minutes over at block and bench, `y_k_d` a species
 * and `r_k_d` a rite cut on a day, `n_d` and `m_d` the washes between them.
 */
export function programOf(room: WeekRoom, isWhole: boolean): string {
  const { days, animals, weights, wash } = room;
  const at = days.map((_, day) => day);
  const placed = animals.map((animal, a) => ({
    animal,
    a,
    on: at.filter((day) => mayBeOn(room, animal, day)),
  }));
  const kinds = [...new Set(animals.map(({ species, rite }) => `${species} ${rite}`))];
  const rites = [...new Set(animals.map(({ rite }) => rite))];
  const used = at.filter((day) => placed.some(({ on }) => on.includes(day)));
  const objective = [
    ...placed.flatMap(({ animal, a, on }) => on.map((day) => `${costOn(room, animal, day)} x${a}_${day}`)),
    ...placed.map(({ animal, a }) => `${costOn(room, animal, null)} u${a}`),
    ...used.flatMap((day) => [
      `${weights.overtime} b${day}`,
      `${weights.overtime} w${day}`,
      `${weights.wash} n${day}`,
    ]),
  ];
  const load = (day: number, what: 'block' | 'bench') =>
    placed
      .filter(({ animal, on }) => on.includes(day) && animal[what] > 0)
      .map(({ animal, a }) => `${animal[what]} x${a}_${day}`);
  const rules = [
    ...placed.map(({ a, on }) => `${[...on.map((day) => `x${a}_${day}`), `u${a}`].join(' + ')} = 1`),
    ...used.flatMap((day) => {
      const block = [...load(day, 'block'), `${wash.species} n${day}`, `${wash.rite} m${day}`];
      return [
        `${block.join(' + ')} - b${day} <= ${days[day]!.block}`,
        `${[...load(day, 'bench'), `0 n${day}`].join(' + ')} - w${day} <= ${days[day]!.bench}`,
        `${kinds.map((_, k) => `y${k}_${day}`).join(' + ')} - n${day} <= 1`,
        `${rites.map((_, k) => `r${k}_${day}`).join(' + ')} - m${day} <= 1`,
      ];
    }),
    ...placed.flatMap(({ animal, a, on }) =>
      on.flatMap((day) => [
        `x${a}_${day} - y${kinds.indexOf(`${animal.species} ${animal.rite}`)}_${day} <= 0`,
        `x${a}_${day} - r${rites.indexOf(animal.rite)}_${day} <= 0`,
      ]),
    ),
  ];
  const bounds = used.flatMap((day) => {
    const most = mostOver(room, day);
    return [`0 <= b${day} <= ${most.block}`, `0 <= w${day} <= ${most.bench}`];
  });
  const whole = placed.flatMap(({ a, on }) => on.map((day) => `x${a}_${day}`));
  const ones = [...whole, ...placed.map(({ a }) => `u${a}`)].map((name) => `0 <= ${name} <= 1`);
  return [
    'Minimize',
    ` obj: ${folded(objective)}`,
    'Subject To',
    ...rules.map((rule, index) => ` c${index}: ${rule}`),
    'Bounds',
    ...[...bounds, ...ones].map((bound) => ` ${bound}`),
    ...(isWhole && whole.length > 0 ? ['Binary', ` ${whole.join('\n ')}`] : []),
    'End',
    '',
  ].join('\n');
}

/** Lines of a program are not endless. */
function folded(terms: readonly string[]): string {
  const lines: string[] = [];
  for (let from = 0; from < terms.length; from += 20) lines.push(terms.slice(from, from + 20).join(' + '));
  return lines.join('\n + ');
}
