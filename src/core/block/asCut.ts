import { forecast } from '../forecast/forecast';
import { OUT, type Deviation } from '../order/deviation';
import { failure, success, type Result } from '../quantity/result';
import { formatWeight, sumWeights, type Weight } from '../quantity/weight';
import { formOf } from '../sheet/houseSheet';
import { decisionById, decisionsAsked, optionById, whyNotOffered, type Job } from '../sheet/situation';
import type { Answer, Sheet } from '../sheet/types';
import { answerOn } from '../sheet/wishes';
import { jobOfSide } from './ofSide';
import type { Decision } from '../species/types';
import type { Condition } from '../carcass/condition';

/** What was done at a row, of which side. */
export type Done = Pick<Deviation, 'hand' | 'decision' | 'doneAs' | 'weight'>;

type Why = 'not-on-the-sheet' | 'not-offered' | 'more-than-there-is' | 'several-ways';

/**
 * The job as it is being cut: the sheet with a row done otherwise, the carcass less what was cut away. What was asked
 * stands in the sheet that was approved; this is what the rest is forecast from.
 *
 * @param job - of the whole share, as it was cut until now
 * @param positions - of the share's sides, the first first
 */
export function asCut(job: Job, done: Done, positions: readonly ('left' | 'right')[]): Result<Job, Why> {
  const { situation, sheet } = job;
  const sides = done.hand === 'both' ? [1, 2].slice(0, situation.sides) : [positions.indexOf(done.hand) + 1];
  const [side] = sides as [1 | 2];
  const decision = situation.species.decisions.find(({ id }) => id === done.decision);
  const answer = decision && answerOn(sheet, decision.id, side);
  if (!decision || !answer) return failure('not-on-the-sheet', 'That row is not answered on this sheet.');
  const ofHit = sides.length === situation.sides ? job : jobOfSide(job, side);
  const mine = rowWeight(ofHit, done.decision);
  if (done.weight !== null && done.weight > mine) {
    const { unit } = situation;
    return failure(
      'more-than-there-is',
      `${decision.title}: about ${formatWeight(Math.round(mine) as Weight, 1)} ${unit} are expected here, not ${formatWeight(done.weight, 1)}.`,
    );
  }
  const part = done.weight === null ? 1 : done.weight / mine;
  if (done.doneAs === OUT) {
    const lost = (part * sides.length) / situation.sides;
    return success({
      ...job,
      situation: { ...situation, condition: lessening(job, answer, { ...done, lost, wanted: part * mine }) },
    });
  }
  const option = decision.options.find(({ id }) => id === done.doneAs);
  if (!option) return failure('not-on-the-sheet', 'That is no way to cut this row.');
  const why = whyNotOffered(option, situation);
  if (why) return failure('not-offered', why);
  const form = formOf(decision, option.id, situation);
  if (part === 1) return success({ ...job, sheet: answeredOn(job, sides, done.decision, { forms: [form] }) });
  const last = answer.forms.length - 1;
  const ofLast = formWeight(ofHit, done.decision, last) / mine;
  if (part > ofLast) {
    const message = 'That is more than the last of its ways has. Say that all of the row is done otherwise.';
    return failure('several-ways', message);
  }
  const kept = { ...answer.forms[last]!, amount: { kind: 'share' as const, pct: 100 * (ofLast - part) } };
  const forms = [...answer.forms.slice(0, last), kept, { ...form, amount: { kind: 'rest' as const } }];
  return success({ ...job, sheet: answeredOn(job, sides, done.decision, { forms }) });
}

/** What one form of a row takes of the carcass, before trim. */
function formWeight({ situation, sheet, coldSides }: Job, decision: string, index: number): Weight {
  const lines = forecast(situation, sheet, coldSides).lines;
  return sumWeights(
    lines.flatMap(({ key, gross }) => (key.startsWith(`${decision}.${index}.`) ? [gross] : [])),
  );
}

/** What a row takes of the carcass, before trim. */
function rowWeight({ situation, sheet, coldSides }: Job, decision: string): Weight {
  const lines = forecast(situation, sheet, coldSides).lines;
  return sumWeights(lines.filter((line) => line.decision === decision).map(({ gross }) => gross));
}

function answeredOn({ sheet, situation }: Job, sides: readonly number[], row: string, answer: Answer): Sheet {
  const { [row]: second, ...secondSide } = sheet.secondSide;
  if (sides.length === situation.sides) {
    return { ...sheet, answers: { ...sheet.answers, [row]: answer }, secondSide };
  }
  const before = sheet.answers[row]!;
  return sides[0] === 1
    ? {
        ...sheet,
        answers: { ...sheet.answers, [row]: answer },
        secondSide: { ...secondSide, [row]: second ?? before },
      }
    : { ...sheet, secondSide: { ...secondSide, [row]: answer } };
}

type Lost = Pick<Done, 'decision'> & {
  /** Share of the row's atoms, 0 to 1. */
  readonly lost: number;
  /** What the row has less then. */
  readonly wanted: number;
};

/** The carcass less a part of what a row takes; by how much a part of the atoms lessens the row is tried once. */
function lessening(job: Job, answer: Answer, { decision, lost, wanted }: Lost): Condition {
  const { situation, sheet, coldSides } = job;
  const row = decisionById(situation.species, decision);
  const claimsOf = (each: Decision, { forms }: Answer) =>
    forms.flatMap(({ option }) => optionById(each, option).products.flatMap(({ claims }) => claims));
  const others = new Set(
    decisionsAsked(situation).flatMap((each) => {
      const theirs = each.id === decision ? undefined : sheet.answers[each.id];
      return theirs ? claimsOf(each, theirs).flatMap(({ atom, yields }) => (yields ? [] : [atom])) : [];
    }),
  );
  // What yields goes along, unless another row has it.
  const atoms = claimsOf(row, answer)
    .filter(({ atom, yields }) => !yields || !others.has(atom))
    .map(({ atom }) => atom);
  const { condition = {} } = situation;
  const without = (share: number): Condition => {
    const known = condition.condemned ?? {};
    const more = [...new Set(atoms)].map((id) => [id, Math.min(1, (known[id] ?? 0) + share)] as const);
    return { ...condition, condemned: { ...known, ...Object.fromEntries(more) } };
  };
  const before = rowWeight(job, decision);
  const tried = without(lost);
  const after = rowWeight({ situation: { ...situation, condition: tried }, sheet, coldSides }, decision);
  const gone = before - after;
  return lost >= 1 || gone <= 0 ? tried : without(Math.min(1, (lost * wanted) / gone));
}
