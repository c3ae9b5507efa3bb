import { convertUnits, sumWeights, weight, ZERO_WEIGHT, type Weight } from '../quantity/weight';
import { formOf, withAnswer } from '../sheet/houseSheet';
import { decisionById, type Job } from '../sheet/situation';
import type { Answer, Form, Sheet } from '../sheet/types';
import type { Decision, Sacrifice } from '../species/types';
import { forecast } from './forecast';
import type { Forecast } from './types';

/** One cut that could be given up: what the grind gains and what the boxes lose. */
export type SacrificeOffer = {
  readonly id: string;
  readonly label: string;
  readonly decision: string;
  readonly grindGained: Weight;
  readonly cutsLost: Weight;
  /** The sheet with this cut given up. */
  readonly sheet: Sheet;
};

export type SausageBudget = {
  readonly grind: Weight;
  /** What the seasoned kinds on the sheet need, at the smallest batch each. */
  readonly needed: Weight;
  readonly minBatch: Weight;
  /** Missing for the kinds asked; 0 when there is enough. */
  readonly short: Weight;
  /** How many smallest batches the grind would fill. */
  readonly batches: number;
  /** In the order of least regret; cuts that are ground already are left out. */
  readonly sacrifices: readonly SacrificeOffer[];
};

/**
 * What the grind is, what the sausage asked for needs, and what giving up each cut would add.
 *
 * @param expected - the forecast of the same job
 */
export function sausageBudget(job: Job, expected: Forecast): SausageBudget {
  const { situation, sheet } = job;
  const { grind: rules, recipes } = situation.species;
  const minBatch = weight(convertUnits(rules.minBatchLb.default, 'lb', situation.unit));
  const kinds = new Set(
    sheet.grind.lines
      .map((line) => recipes.find((recipe) => recipe.id === line.recipe))
      .filter((recipe) => recipe?.seasoned)
      .map((recipe) => recipe!.id),
  );
  const needed = (kinds.size * minBatch) as Weight;
  const grind = expected.pool.grind;
  return {
    grind,
    needed,
    minBatch,
    short: Math.max(0, needed - grind) as Weight,
    batches: Math.floor(grind / minBatch),
    sacrifices: rules.sacrifices.flatMap((sacrifice) => {
      const offered = offer(job, expected, sacrifice);
      return offered && offered.grindGained > 0 ? [offered] : [];
    }),
  };
}

function offer(job: Job, expected: Forecast, sacrifice: Sacrifice): SacrificeOffer | undefined {
  const { situation, sheet, coldSides } = job;
  const decision = decisionById(situation.species, sacrifice.decision);
  const answer = givenUp(formOf(decision, sacrifice.option, situation), sheet.answers[decision.id], {
    sacrifice,
    decision,
  });
  if (!answer) return undefined;
  const changed = withAnswer(sheet, decision.id, answer);
  const after = forecast(situation, changed, coldSides);
  return {
    id: sacrifice.id,
    label: sacrifice.label,
    decision: decision.id,
    grindGained: (after.pool.grind - expected.pool.grind) as Weight,
    cutsLost: (cutsOf(expected) - cutsOf(after)) as Weight,
    sheet: changed,
  };
}

function cutsOf(expected: Forecast): Weight {
  const cuts = expected.lines.filter((line) => line.kind === 'cut').map((line) => line.packaged);
  return cuts.length > 0 ? sumWeights(cuts) : ZERO_WEIGHT;
}

/** The answer with the cut, or its part, ground; undefined when the zone is ground or undecided already. */
function givenUp(
  ground: Form,
  answer: Answer | undefined,
  { sacrifice, decision }: { sacrifice: Sacrifice; decision: Decision },
): Answer | undefined {
  if (!answer) return undefined;
  const kept = answer.forms.filter((form) => form.option !== sacrifice.option);
  if (kept.length === 0) return undefined;
  if (sacrifice.sharePct >= 100) return { forms: [ground] };
  if (answer.forms.length !== kept.length || !decision.divisible) return undefined;
  if (kept.length > 1) return { forms: [...kept.slice(0, -1), ground] };
  return { forms: [{ ...ground, amount: { kind: 'share', pct: sacrifice.sharePct } }, ...kept] };
}
