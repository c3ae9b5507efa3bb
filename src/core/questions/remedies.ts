import { forecast } from '../forecast/forecast';
import { sausageBudget } from '../forecast/sausageBudget';
import { divideSides } from '../forecast/onTheBlock';
import type { Forecast } from '../forecast/types';
import { inSentence } from '../quantity/inSentence';
import { formatWeight } from '../quantity/weight';
import { formOf, houseWay, withAnswer } from '../sheet/houseSheet';
import { decisionById, optionById, whyNotOffered, type Job } from '../sheet/situation';
import { sheetProblems } from '../sheet/sheetProblems';
import type { Form, GrindLine, Sheet } from '../sheet/types';
import { answerOn } from '../sheet/wishes';
import type { Decision } from '../species/types';
import { withoutTitle } from '../sheet/summary';
import { waysOut } from './clash';
import { claimsAtom, fattestDecisions, findingsOf, type Finding } from './findings';

/** A way out of what is wrong with a sheet: what is done, as a command, and the sheet that it makes. */
export type Remedy = { readonly does: string; readonly sheet: Sheet };

/** More ways than these nobody weighs while somebody is on the line. */
const MOST = 3;
/** A grind that comes out leaner by so many points is a way, if it does not reach what was asked. */
const LEANER_BY = 1;

type Found = { readonly findings: readonly Finding[]; readonly expected: Forecast };

/**
 * The ways out of a finding, at most three: each makes a sheet without it, and on none is anything blocked that was not
 * blocked before. What nobody can mend on the sheet, or what only an answer mends, has none.
 *
 * @param found - all findings of the job, and its forecast
 */
export function remediesOf(job: Job, finding: Finding, found: Found): Remedy[] {
  const ways: Remedy[] = [];
  for (const remedy of candidates(job, finding, found)) {
    if (ways.length === MOST) break;
    if (ways.some(({ does }) => does === remedy.does)) continue;
    if (sheetProblems(job.situation, remedy.sheet).length === 0 && mends(job, finding, found, remedy)) {
      ways.push(remedy);
    }
  }
  return ways;
}

/** In the order in which they are offered; worked out one by one, as far as they are looked at. */
function* candidates(job: Job, finding: Finding, found: Found): Generator<Remedy> {
  switch (finding.kind) {
    case 'clash':
      yield* clashWays(job, finding);
      return;
    case 'too-much':
    case 'rest-missing':
    case 'nothing-left':
      yield* formWays(job, finding);
      return;
    case 'watch':
      yield* keepingWays(job, finding);
      return;
    case 'fat-over':
      yield* leanerWays(job, found);
      return;
    case 'fat-short':
      yield grindAt(job, Math.floor(found.expected.pool.fatPct));
      return;
    case 'batch':
      yield* batchWays(job, finding, found);
  }
}

function mends(job: Job, finding: Finding, { findings, expected }: Found, { sheet }: Remedy): boolean {
  const changed = { ...job, sheet };
  const after = forecast(job.situation, sheet, job.coldSides);
  const left = findingsOf(changed, after);
  const blocking = (all: readonly Finding[]) => all.filter(({ blocks }) => blocks).length;
  if (blocking(left) > blocking(findings)) return false;
  if (finding.kind === 'fat-over' && expected.pool.fatPct - after.pool.fatPct >= LEANER_BY) return true;
  const alike = (all: readonly Finding[]) =>
    all.filter(
      ({ kind, decision, holder }) =>
        kind === finding.kind && decision === finding.decision && holder === finding.holder,
    );
  return alike(left).length < alike(findings).length;
}

function* clashWays(job: Job, finding: Finding): Generator<Remedy> {
  const { species } = job.situation;
  for (const { keeps, changes, becomes, sheet } of waysOut(job, finding)) {
    const [kept, other] = [keeps, changes].map((id) => inSentence(decisionById(species, id).title));
    yield { does: `Keep ${kept}; ${other}: ${inSentence(becomes)}`, sheet };
  }
}

/** Forms of one zone that ask for more than there is, or leave a part of it to nobody. */
function* formWays(job: Job, { decision: id, kind, side }: Finding): Generator<Remedy> {
  const decision = decisionById(job.situation.species, id);
  const answer = answerOn(job.sheet, id, side);
  if (!answer) return;
  const label = (form: Form) => inSentence(optionById(decision, form.option).label);
  const { forms } = answer;
  for (const [at, form] of forms.entries()) {
    const others = forms.filter((_, place) => place !== at);
    if (kind !== 'rest-missing' && others.length > 0 && others.some(({ amount }) => amount.kind === 'rest')) {
      yield { does: `Without ${label(form)}`, sheet: answerOnSide(job.sheet, { id, side }, others) };
    }
    if (form.amount.kind !== 'rest' && others.every(({ amount }) => amount.kind !== 'rest')) {
      const rest: Form = { ...form, amount: { kind: 'rest' } };
      const changed = forms.map((each, place) => (place === at ? rest : each));
      const does = others.length === 0 ? `All there is as ${label(form)}` : `The rest: ${label(form)}`;
      yield { does, sheet: answerOnSide(job.sheet, { id, side }, changed) };
    }
  }
  for (const option of decision.options) {
    if (option.destination !== 'grind' || option.products.length > 0) continue;
    const rest: Form = formOf(decision, option.id, job.situation);
    const sheet = answerOnSide(job.sheet, { id, side }, [...forms, { ...rest, amount: { kind: 'rest' } }]);
    if (kind === 'rest-missing') yield { does: `The rest: ${inSentence(option.label)}`, sheet };
  }
}

function answerOnSide(
  sheet: Sheet,
  { id, side }: { readonly id: string; readonly side: 1 | 2 },
  forms: readonly Form[],
): Sheet {
  if (side === 1 || !(id in sheet.secondSide)) return withAnswer(sheet, id, { forms: [...forms] });
  return { ...sheet, secondSide: { ...sheet.secondSide, [id]: { forms: [...forms] } } };
}

/** Ways that keep a prized piece: other answers of the decisions that can have it. */
function* keepingWays(job: Job, { decision: id, sentence }: Finding): Generator<Remedy> {
  const { species } = job.situation;
  const watch = species.watches.find((each) => each.decision === id && each.sentence === sentence);
  if (!watch) return;
  const having = species.decisions.filter((decision) =>
    watch.atoms.some((atom) => claimsAtom(decision, atom)),
  );
  const first = having.filter((decision) => decision.id === id);
  for (const decision of [...first, ...having.filter((each) => each.id !== id)]) {
    yield* otherWays(job, decision);
  }
}

/** A zone answered otherwise, as cuts: as the house would first. */
function* otherWays(job: Job, decision: Decision): Generator<Remedy> {
  const { situation, sheet } = job;
  const usual = houseWay(decision, situation).options[0];
  const stands = new Set(sheet.answers[decision.id]?.forms.map(({ option }) => option));
  const offered = decision.options.filter(
    (option) => option.products.length > 0 && !stands.has(option.id) && !whyNotOffered(option, situation),
  );
  const inOrder = [...offered.filter(({ id }) => id === usual), ...offered.filter(({ id }) => id !== usual)];
  for (const option of inOrder) {
    const { [decision.id]: _same, ...secondSide } = sheet.secondSide;
    const answered = withAnswer(sheet, decision.id, { forms: [formOf(decision, option.id, situation)] });
    const does = `${decision.title}: ${inSentence(withoutTitle(option.label, decision.title))}`;
    yield { does, sheet: { ...answered, secondSide } };
  }
}

/** A grind that is fatter than asked: picked by hand, the fattest zones kept as cuts, or taken as it comes. */
function* leanerWays(job: Job, { expected }: Found): Generator<Remedy> {
  const { sheet } = job;
  if (!sheet.grind.picked) {
    yield { does: 'Pick it leaner by hand', sheet: { ...sheet, grind: { ...sheet.grind, picked: true } } };
  }
  for (const decision of fattestDecisions(job.situation, divideSides(job)).slice(0, 2)) {
    const [first] = otherWays(job, decision);
    if (first) yield first;
  }
  yield grindAt(job, Math.ceil(expected.pool.fatPct));
}

function grindAt({ situation, sheet }: Job, wanted: number): Remedy {
  const { min, max } = situation.species.grind.fatPct;
  const fatPct = Math.max(min, Math.min(max, wanted));
  return { does: `Take it at ${fatPct} % fat`, sheet: { ...sheet, grind: { ...sheet.grind, fatPct } } };
}

/** A kind of sausage that is too little for a batch, or asked beyond the grind. */
function* batchWays(job: Job, { sentence }: Finding, { expected }: Found): Generator<Remedy> {
  const { situation, sheet } = job;
  const { recipes } = situation.species;
  const kinds = sheet.grind.lines.map((line) => recipes.find(({ id }) => id === line.recipe)!);
  const meant = kinds.findIndex(({ name, seasoned }) => seasoned && sentence.startsWith(name));
  const made = expected.lines.find(({ key }) => key === `grind.${meant}`);
  const line = sheet.grind.lines[meant];
  if (line?.amount.kind === 'weight' && made && made.packaged > 0 && made.packaged < line.amount.weight) {
    const words = `${formatWeight(made.packaged, 1)} ${situation.unit} of ${inSentence(kinds[meant]!.name)}`;
    const amount = { kind: 'weight' as const, weight: made.packaged };
    yield { does: `Make ${words}`, sheet: withLine(sheet, meant, { ...line, amount }) };
  }
  for (const { sheet: given, label } of sausageBudget(job, expected).sacrifices) {
    yield { does: `Give up ${inSentence(label)}`, sheet: given };
  }
  const plain = recipes.find(({ seasoned }) => !seasoned);
  for (const [at, kind] of kinds.entries()) {
    if (!plain || !kind.seasoned || (meant >= 0 && at !== meant)) continue;
    const { size: _size, ...rest } = sheet.grind.lines[at]!;
    const form = plain.forms.includes(rest.form) ? rest.form : plain.forms[0]!;
    yield {
      does: `No ${inSentence(kind.name)}: ${inSentence(plain.name)} instead`,
      sheet: withLine(sheet, at, { ...rest, recipe: plain.id, form }),
    };
  }
}

function withLine(sheet: Sheet, at: number, line: GrindLine): Sheet {
  const lines = sheet.grind.lines.map((each, place) => (place === at ? line : each));
  return { ...sheet, grind: { ...sheet.grind, lines } };
}
