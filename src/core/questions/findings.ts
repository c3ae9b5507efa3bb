import type { Cells } from '../atlas/cells';
import { lipidOf } from '../forecast/forecast';
import { pickingLoss } from '../forecast/grind';
import { divideSides, type DividedSide } from '../forecast/onTheBlock';
import type { Forecast } from '../forecast/types';
import { convertUnits, formatWeight, inUnits, sumWeights, weight, type Weight } from '../quantity/weight';
import type { Decision, Species } from '../species/types';
import type { Claims } from '../sheet/claims';
import {
  decisionById,
  decisionsAsked,
  optionById,
  whyNotOffered,
  type Job,
  type Situation,
} from '../sheet/situation';
import { houseWay } from '../sheet/houseSheet';
import { takenOver } from '../sheet/takenOver';
import type { Answer, Sheet } from '../sheet/types';
import { answerOn } from '../sheet/wishes';

export type FindingKind =
  | 'unanswered'
  | 'clash'
  | 'rest-missing'
  | 'too-much'
  | 'nothing-left'
  | 'not-offered'
  | 'batch'
  | 'watch'
  | 'fat-short'
  | 'fat-over'
  | 'weight'
  | 'found';

/** Something on a sheet that somebody has to look at, in one sentence. */
export type Finding = {
  readonly kind: FindingKind;
  readonly decision: string;
  /** The other decision of a clash: the one that holds the piece now. */
  readonly holder?: string;
  readonly side: 1 | 2;
  readonly sentence: string;
  /** Whether the sheet may reach the floor only when someone overrides it with a reason. */
  readonly blocks: boolean;
};

/** A prized piece of which more than this part goes to the tub is asked about. */
const WORTH_KEEPING = 0.15;

/** The smallest part of a zone worth a question: a form left with less gets nothing that can be packed. */
const WORTH_ASKING = 0.005;

/**
 * Everything open on a sheet: holes, clashes, wishes beyond what there is, batches too small.
 *
 * @param expected - the forecast of the same job
 * @param divided - its sides, where they are divided already
 */
export function findingsOf(
  job: Job,
  expected: Forecast,
  divided: readonly DividedSide[] = divideSides(job),
): Finding[] {
  const perSide = divided.flatMap((each) => sideFindings(job, each));
  const seen = new Set<string>();
  const once = perSide.filter((finding) => {
    const key = `${finding.decision} ${finding.holder ?? ''} ${finding.sentence}`;
    const isNew = !seen.has(key);
    seen.add(key);
    return isNew;
  });
  return [...once, ...grindFindings(job, expected), ...fatFindings(job, expected, divided)];
}

function sideFindings({ situation, sheet }: Job, divided: DividedSide): Finding[] {
  const { claims, side } = divided;
  const taken = takenOver(situation.species, (id) => answerOn(sheet, id, side));
  const perDecision = decisionsAsked(situation).flatMap((decision) => {
    if (taken.has(decision.id)) return [];
    const answer = answerOn(sheet, decision.id, side);
    return answer
      ? answerFindings(situation, { decision, answer }, divided)
      : decision.optional
        ? []
        : [unanswered(situation, decision, side)];
  });
  const hurt = decisionsAsked(situation).flatMap((decision) => {
    const answer = taken.has(decision.id) ? undefined : answerOn(sheet, decision.id, side);
    return answer ? hurtFindings(situation, { decision, answer, side }) : [];
  });
  const clashes = claims.clashes.map((clash) => ({
    kind: 'clash' as const,
    decision: clash.wants,
    holder: clash.holder,
    side,
    sentence: contestSentence(situation.species, clash.atoms),
    blocks: true,
  }));
  return [...clashes, ...perDecision, ...hurt, ...watchFindings(situation, sheet, divided)];
}

/** A row that lost more than this part of a piece on the rail is asked about: it may be wanted otherwise now. */
const WORTH_TELLING = 0.04;

/** What is missing of a row or cut away from it, said where the row is wanted as something else than grind. */
function hurtFindings(
  { condition }: Situation,
  { decision, answer, side }: { decision: Decision; answer: Answer; side: 1 | 2 },
): Finding[] {
  const gone = [condition?.missing, condition?.condemned];
  if (gone.every((each) => each === undefined)) return [];
  const atoms = answer.forms.flatMap(({ option }) =>
    optionById(decision, option).products.flatMap(({ claims }) =>
      claims.filter(({ yields }) => !yields).map(({ atom }) => atom),
    ),
  );
  const lost = Math.max(0, ...atoms.map((atom) => gone.reduce((sum, each) => sum + (each?.[atom] ?? 0), 0)));
  // All of it gone is no choice of anybody's: the forecast says that there is nothing of it.
  if (lost < WORTH_TELLING || lost >= 1) return [];
  const label = optionById(decision, answer.forms[0]!.option).label;
  const sentence = `${decision.title}: ${Math.round(lost * 100)} % of it is missing or cut away on this carcass. Still “${label}”?`;
  return [{ kind: 'found', decision: decision.id, side, sentence, blocks: false }];
}

function unanswered(situation: Situation, decision: Decision, side: 1 | 2): Finding {
  const { options, reason } = houseWay(decision, situation);
  const house = optionById(decision, options[0]!).label;
  const sentence = `${decision.title} is not answered. The house would say: ${house}. ${reason}`;
  return { kind: 'unanswered', decision: decision.id, side, sentence, blocks: true };
}

function answerFindings(
  situation: Situation,
  { decision, answer }: { decision: Decision; answer: Answer },
  { claims, side }: DividedSide,
): Finding[] {
  const found: Finding[] = [];
  const note = (kind: FindingKind, sentence: string, blocks = true) =>
    found.push({ kind, decision: decision.id, side, sentence, blocks });
  for (const form of answer.forms) {
    const why = whyNotOffered(optionById(decision, form.option), situation);
    if (why) note('not-offered', why);
  }
  for (const over of claims.overdrawn.filter((each) => each.decision === decision.id)) {
    const label = optionById(decision, answer.forms[over.form]!.option).label;
    const times = Number.isFinite(over.wantedShare) && over.wantedShare < 100 ? over.wantedShare : undefined;
    const much = times ? `${Math.round(times * 100)} % of what there is` : 'more than there is';
    note('too-much', `${decision.title}: "${label}" asks for ${much}. It gets all of it.`);
  }
  if (answer.forms.every((form) => form.amount.kind !== 'rest')) {
    note('rest-missing', `${decision.title}: what is to be done with the rest of it?`);
  }
  answer.forms.forEach((form, index) => {
    const option = optionById(decision, form.option);
    if (option.products.length === 0 || heldShare(claims, decision, index) >= WORTH_ASKING) return;
    if (claims.idle.some((each) => each.decision === decision.id && each.form === index)) return;
    // Alone in its zone and yet nothing there: another break has it, or it is condemned. That is no one's mistake.
    const alone = answer.forms.length === 1;
    const sentence = alone
      ? `${decision.title}: there is nothing of it on this carcass for "${option.label}".`
      : `${decision.title}: nothing is left for "${option.label}".`;
    note('nothing-left', sentence, !alone);
  });
  return found;
}

function heldShare(claims: Claims, decision: Decision, form: number): number {
  return claims.holdings
    .filter((holding) => holding.decision === decision && holding.form.index === form)
    .reduce((most, holding) => Math.max(most, ...holding.fractions), 0);
}

/** Why two choices exclude each other, in the species' own words. */
export function contestSentence(species: Species, atoms: readonly string[]): string {
  const contest = species.contests.find((each) => each.atoms.some((atom) => atoms.includes(atom)));
  return (
    contest?.sentence ??
    `Two choices want the same piece: ${atoms.map((id) => atomName(species, id)).join(', ')}.`
  );
}

function atomName(species: Species, id: string): string {
  return species.atlas.atoms.find((atom) => atom.id === id)?.name ?? id;
}

function watchFindings(situation: Situation, sheet: Sheet, { claims, block, side }: DividedSide): Finding[] {
  return situation.species.watches
    .filter((watch) => {
      const decided = answerOn(sheet, watch.decision, side) !== undefined;
      const zones = watch.atoms.some((atom) => freeShare(block.cells, claims, atom) > WORTH_KEEPING);
      return (
        decided && zones && !zoneIsGround(situation.species, watch.atoms, (id) => answerOn(sheet, id, side))
      );
    })
    .map((watch) => ({
      kind: 'watch' as const,
      decision: watch.decision,
      side,
      sentence: watch.sentence,
      blocks: false,
    }));
}

/** A piece that the customer gave to the grind, in so many words, is not lost by oversight. */
function zoneIsGround(
  species: Species,
  atoms: readonly string[],
  answerTo: (decision: string) => Answer | undefined,
): boolean {
  return species.decisions
    .filter((decision) =>
      decision.options.some((option) =>
        option.products.some((product) => product.claims.some((claim) => atoms.includes(claim.atom))),
      ),
    )
    .some((decision) => {
      const forms = answerTo(decision.id)?.forms ?? [];
      return (
        forms.length > 0 &&
        forms.every((form) => {
          const { products, destination } = optionById(decision, form.option);
          // What is left to another choice is not given to the grind.
          return products.length === 0 && destination === 'grind';
        })
      );
    });
}

function freeShare(cells: Cells, claims: Claims, atom: string): number {
  const own = cells.cellsOfAtom.get(atom) ?? [];
  return own.length === 0 ? 0 : own.reduce((sum, cell) => sum + claims.free[cell]!, 0) / own.length;
}

/** Whether the sides of a share weigh so much each, pounds. */
function isHeavy({ sides, unit }: Situation, { coldWeight }: Forecast, lb: number): boolean {
  return convertUnits(inUnits(coldWeight) / sides, unit, 'lb') >= lb;
}

function grindFindings({ situation, sheet }: Job, expected: Forecast): Finding[] {
  const { grind: rules, recipes } = situation.species;
  const found: Finding[] = [];
  const minBatch = weight(convertUnits(rules.minBatchLb.default, 'lb', situation.unit));
  const show = (w: Weight) => `${formatWeight(w, 1)} ${situation.unit}`;
  const seasoned = new Map<string, Weight>();
  sheet.grind.lines.forEach((line, index) => {
    const recipe = recipes.find((each) => each.id === line.recipe);
    const rite = situation.condition?.rite;
    if (recipe && rite && recipe.notFor?.includes(rite)) {
      found.push({
        ...batchFinding(`${recipe.name} is not made of a ${rite} animal: ${recipe.ingredients}`),
        kind: 'not-offered',
      });
    }
    if (!recipe?.seasoned) return;
    const made = expected.lines.find((each) => each.key === `grind.${index}`)?.packaged ?? (0 as Weight);
    seasoned.set(recipe.name, sumWeights([seasoned.get(recipe.name) ?? (0 as Weight), made]));
    if (line.amount.kind === 'weight' && made < line.amount.weight - 1) {
      found.push(
        batchFinding(`${recipe.name}: ${show(line.amount.weight)} asked, the grind gives ${show(made)}.`),
      );
    }
  });
  for (const [name, made] of seasoned) {
    const own = recipes.find((recipe) => recipe.name === name)?.minBatchLb;
    const least = own === undefined ? minBatch : weight(convertUnits(own, 'lb', situation.unit));
    if (made >= least) continue;
    found.push(batchFinding(`${name}: ${show(made)} is less than the smallest batch, ${show(least)}.`));
  }
  const heavy =
    rules.anotherKindFromLb !== undefined && isHeavy(situation, expected, rules.anotherKindFromLb);
  const allowed = rules.kindsPerHalf * situation.sides + (heavy ? 1 : 0);
  if (seasoned.size > allowed && expected.pool.grind < seasoned.size * minBatch) {
    const kinds = `${seasoned.size} kinds of sausage are more than this share carries`;
    found.push(batchFinding(`${kinds}: ${allowed}, or ${show(minBatch)} of grind for each kind.`));
  }
  if (sheet.grind.fatPct - expected.pool.fatPct > 0.5 && expected.pool.lean > 0) {
    const reached = expected.pool.fatPct.toFixed(0);
    found.push({
      kind: 'fat-short',
      decision: 'grind',
      side: 1,
      sentence: `The grind reaches ${reached} % fat, not ${sheet.grind.fatPct} %: there is no more fat to add.`,
      blocks: false,
    });
  }
  return found;
}

/** Points of fat that a grind may lie above the wish before anybody is told. */
const FAT_WORTH_SAYING = 2;

/** A grind that is fatter than asked, and whose fat it is. */
function fatFindings(
  { situation, sheet }: Job,
  expected: Forecast,
  divided: readonly DividedSide[],
): Finding[] {
  const { fatPct, lean } = expected.pool;
  const asked = sheet.grind.fatPct;
  if (lean === 0 || fatPct - asked <= FAT_WORTH_SAYING) return [];
  const fattest = fattestDecisions(situation, divided)
    .slice(0, 2)
    .map(({ title }) => title.toLowerCase());
  const source =
    fattest.length > 0
      ? `Most of it hangs on the ${fattest.join(' and the ')}: keep that as cuts`
      : 'Keep fatter zones as cuts';
  const { grind: rules } = situation.species;
  const trim = { lean: expected.pool.lean, attachedFat: expected.pool.attachedFat };
  const lost = Math.round(pickingLoss(trim, asked, { rules, lipid: lipidOf(situation) })) as Weight;
  const pick = `have it picked by hand, which takes about ${formatWeight(lost, 1)} ${situation.unit} away`;
  const reached = `The grind comes out at ${fatPct.toFixed(0)} % fat, not ${asked} %`;
  const sentence = sheet.grind.picked
    ? `${reached}, picked by hand as far as it goes. ${source}, or blend in something leaner.`
    : `${reached}. ${source}, ${pick}, or blend in something leaner.`;
  return [{ kind: 'fat-over', decision: 'grind', side: 1, sentence, blocks: false }];
}

/** The decisions whose leavings bring the grind most of its attached fat, most first. */
export function fattestDecisions(situation: Situation, divided: readonly DividedSide[]): Decision[] {
  const { grind, decisions } = situation.species;
  const fat = new Map<Decision, number>();
  for (const { claims, block } of divided) {
    const { cells } = block;
    for (let cell = 0; cell < cells.count; cell += 1) {
      const atom = cells.atoms[cells.atomOf[cell]!]!;
      if (atom.leftover !== 'pools' || claims.free[cell]! === 0) continue;
      const attached = atom.attachedShare ?? grind.attachedShare.whole;
      const decision = decisions.find((each) => claimsAtom(each, atom.id));
      if (decision === undefined || attached === 0) continue;
      fat.set(decision, (fat.get(decision) ?? 0) + cells.fat[cell]! * claims.free[cell]! * attached);
    }
  }
  return [...fat].sort(([, a], [, b]) => b - a).map(([decision]) => decision);
}

export function claimsAtom(decision: Decision, atom: string): boolean {
  return decision.options.some((option) =>
    option.products.some((product) => product.claims.some((claim) => claim.atom === atom)),
  );
}

function batchFinding(sentence: string): Finding {
  return { kind: 'batch', decision: 'grind', side: 1, sentence, blocks: true };
}

/** A sheet may go to the floor when nothing on it blocks. */
export function isComplete(findings: readonly Finding[]): boolean {
  return findings.every((finding) => !finding.blocks);
}

/** The title of a decision, or of the grind, for headings and sentences. */
export function titleOf(species: Species, decision: string): string {
  if (decision === 'grind') return 'Grind and sausage';
  return decisionById(species, decision).title;
}
