import type { Catalogue } from '../catalogue/catalogue';
import { atlasProblems } from '../formats/atlasCsv';
import type { NitriteRules } from '../curing/limits';
import { counted } from '../quantity/counted';
import { listed } from '../quantity/listed';
import { failure, type Failure } from '../quantity/result';
import { weight } from '../quantity/weight';
import { paramProblem } from '../sheet/params';
import { cutNames } from '../species/cutNames';
import { speciesProblems } from '../species/speciesProblems';
import type { Atom, Ingredient, ParamSpec, Species } from '../species/types';
import { ownCutProblem, trialProblem } from './ownCutProblem';
import { recipeProblem } from './recipeProblem';
import { cureRecipeProblem, smokePlanProblem } from './curingProblem';
import { shopCatalogue, withOwnSpecies } from './shopSpecies';
import { speciesTrialProblem } from './speciesTrial';
import { takenBy } from './takenBy';
import type { SetUp, SetUpChange } from './types';

type Refused = Failure<'invalid'>;
type SpeciesChange = Extract<SetUpChange, { readonly species: string }>;

/** Where a set-up is tried before it is taken. */
export type Trial = {
  readonly shipped: Catalogue;
  readonly before: SetUp;
  readonly after: SetUp;
};

/**
 * Why a change cannot be made, in plain words and with its field; undefined when it can. What is cut or made after it is
 * tried on a light, a usual and a heavy side: every pound must be somewhere, once.
 */
export function setUpProblem(change: SetUpChange, trial: Trial): Refused | undefined {
  switch (change.kind) {
    case 'rules':
    case 'shop':
    case 'place':
      return undefined;
    case 'cure-recipe':
      return cureRecipeProblem(change.recipe, trial);
    case 'smoke-plan':
      return smokePlanProblem(change.plan);
    case 'without-place':
      return trial.before.places.some(({ id }) => id === change.id)
        ? undefined
        : failure('invalid', 'That is not there any more.', 'change.id');
    case 'back':
      return everySpecies(trial);
    case 'species':
      return ownSpeciesProblem(change.own, trial);
    default:
      return speciesChangeProblem(change, trial);
  }
}

/** After a step is taken back every species must still be one that can be cut. */
function everySpecies({ shipped, after }: Trial): Refused | undefined {
  for (const species of shopCatalogue(shipped, after).species) {
    const problem = wholeProblem(species);
    if (problem) return problem;
  }
  return undefined;
}

function speciesChangeProblem(change: SpeciesChange, trial: Trial): Refused | undefined {
  const shipped = withOwnSpecies(trial.shipped, trial.before).species.find(({ id }) => id === change.species);
  if (!shipped) return failure('invalid', `There is no species "${change.species}".`, 'change.species');
  const before = shopCatalogue(trial.shipped, trial.before).species.find(({ id }) => id === change.species)!;
  const said = saidProblem(change, {
    before,
    shipped,
    ingredients: trial.shipped.ingredients,
    nitrite: trial.before.rules.nitrite,
    catalogue: trial.shipped,
  });
  if (said) return said;
  const after = shopCatalogue(trial.shipped, trial.after).species.find(({ id }) => id === change.species)!;
  const whole = wholeProblem(after);
  if (whole) return whole;
  if (change.kind === 'own-cut') return trialProblem(after, change.cut);
  return change.kind === 'atlas' ? speciesTrialProblem(after) : undefined;
}

/** A species of the shop's own: a name of its own, recipes that are safe, and everything cut once. */
function ownSpeciesProblem(own: Species, { shipped, before, after }: Trial): Refused | undefined {
  const others = withOwnSpecies(shipped, before).species.filter(({ id }) => id !== own.id);
  if (shipped.species.some(({ id }) => id === own.id)) {
    return failure(
      'invalid',
      `"${own.id}" is a species that Fractum brings. Give the file's another id, or bring its pieces as a table.`,
      'species.id',
    );
  }
  const namesake = others.find(({ name }) => name.toLowerCase() === own.name.toLowerCase());
  if (namesake) return failure('invalid', `${own.name} is a species already.`, 'species.name');
  const ground = { before: own, ingredients: shipped.ingredients, nitrite: before.rules.nitrite };
  for (const recipe of own.recipes) {
    const problem = recipeProblem(recipe, ground);
    if (problem) return failure('invalid', `${recipe.name}: ${problem.message}`, 'species.recipes');
  }
  const made = shopCatalogue(shipped, after).species.find(({ id }) => id === own.id)!;
  return wholeProblem(made) ?? speciesTrialProblem(made);
}

/** The pieces of a table must be those of the species, each once: sheets and cuts speak of them. */
function atlasProblem(atoms: readonly Atom[], { atlas, name }: Species): Refused | undefined {
  const [wrong] = atlasProblems(atoms, [atlas.vertebrae]);
  if (wrong) return failure('invalid', `${wrong.field}: ${wrong.message}.`, 'change.atoms');
  const missing = atlas.atoms.filter(({ id }) => !atoms.some((atom) => atom.id === id));
  const strange = atoms.filter(({ id }) => !atlas.atoms.some((atom) => atom.id === id));
  if (missing.length > 0) {
    const words = listed(missing.slice(0, MOST_NAMED).map((atom) => atom.name));
    return failure(
      'invalid',
      `The table is without ${counted(missing.length, 'piece')}: ${words}.`,
      'change.atoms',
    );
  }
  if (strange.length > 0) {
    const words = listed(strange.slice(0, MOST_NAMED).map(({ id }) => id));
    return failure('invalid', `A ${name.toLowerCase()} has no such pieces: ${words}.`, 'change.atoms');
  }
  const moved = atoms.find(({ id, primal }) =>
    atlas.atoms.some((atom) => atom.id === id && atom.primal !== primal),
  );
  if (moved) {
    return failure(
      'invalid',
      `${moved.name} belongs to another primal in the sheets of this shop.`,
      'change.atoms',
    );
  }
  return undefined;
}

/** Pieces that are named in one sentence. */
const MOST_NAMED = 5;

type Ground = {
  readonly nitrite: NitriteRules;
  readonly before: Species;
  readonly shipped: Species;
  readonly ingredients: readonly Ingredient[];
  readonly catalogue: Catalogue;
};

/** What a change says of things that are not there, or that cannot be so. */
function saidProblem(change: SpeciesChange, ground: Ground): Refused | undefined {
  const { before } = ground;
  const a = before.name.toLowerCase();
  switch (change.kind) {
    case 'species-rules':
      return rulesProblem(change.rules, before);
    case 'atlas':
      return atlasProblem(change.atoms, before);
    case 'break': {
      const broken = before.breaks.find(({ id }) => id === change.break);
      if (broken?.places.some(({ id }) => id === change.place)) return undefined;
      return failure('invalid', `A ${a} is not broken there.`, 'change.place');
    }
    case 'house':
      return houseProblem(change, before);
    case 'usual':
      return usualProblem(change, before.decisions, 'change.value');
    case 'keep':
      return before.poolKeeps.some(({ id }) => id === change.id)
        ? undefined
        : failure('invalid', `Nothing is kept of a ${a} under that name.`, 'change.id');
    case 'word':
      return wordProblem(change.cut, change.word, before);
    case 'alias':
      return cutProblem(change.cut, before);
    case 'offer':
      return offerProblem(change, ground);
    case 'own-cut':
      return ownCutProblem(change.cut, ground);
    case 'without-own-cut':
      return before.decisions.some(({ options }) => options.some(({ id }) => id === change.id))
        ? undefined
        : failure('invalid', 'That cut is not there any more.', 'change.id');
    case 'recipe':
      return recipeProblem(change.recipe, ground);
    case 'offer-recipe':
      return offerRecipeProblem(change, ground);
  }
}

function rulesProblem(
  rules: Extract<SetUpChange, { kind: 'species-rules' }>['rules'],
  { hang, limits, schools, grind }: Species,
): Refused | undefined {
  const target = rules.targetDays ?? hang.targetDays;
  const longest = rules.longestDays ?? hang.longestDays;
  if (longest < target) {
    return failure(
      'invalid',
      `It should hang ${target} days, so it must be allowed ${target} or more.`,
      'change.rules.longestDays',
    );
  }
  const light = rules.lightLb ?? limits?.lightLb ?? 0;
  const heavy = rules.heavyLb ?? limits?.heavyLb ?? Number.POSITIVE_INFINITY;
  if (heavy <= light) {
    return failure(
      'invalid',
      'A heavy side is heavier than a light one. Check both.',
      'change.rules.heavyLb',
    );
  }
  if (rules.school !== undefined && !schools.some(({ id }) => id === rules.school)) {
    return failure(
      'invalid',
      `There is no such school here. Known: ${schools.map(({ name }) => name).join(', ')}.`,
      'change.rules.school',
    );
  }
  const fat = rules.grindFatPct;
  if (fat !== undefined && (fat < grind.fatPct.min || fat > grind.fatPct.max)) {
    return failure(
      'invalid',
      `Fat of the grind: ${grind.fatPct.min} to ${grind.fatPct.max} %, not ${fat}.`,
      'change.rules.grindFatPct',
    );
  }
  return undefined;
}

function houseProblem(
  { decision: id, says, usual = {} }: Extract<SetUpChange, { kind: 'house' }>,
  { decisions, name }: Species,
): Refused | undefined {
  const decision = decisions.find((each) => each.id === id);
  if (!decision) return failure('invalid', `A ${name.toLowerCase()} is not asked that.`, 'change.decision');
  const unknown = [says.option, says.then].find(
    (said) => said && !decision.options.some((option) => option.id === said),
  );
  if (unknown) return failure('invalid', `${decision.title} is not cut that way here.`, 'change.says.option');
  for (const [param, value] of Object.entries(usual)) {
    const problem = usualProblem({ param, value }, decisions, 'change.usual');
    if (problem) return problem;
  }
  return undefined;
}

function usualProblem(
  { param, value }: { readonly param: string; readonly value: number | boolean | string },
  decisions: Species['decisions'],
  field: string,
): Refused | undefined {
  const spec = specNamed(decisions, param);
  if (!spec) return failure('invalid', `Nothing is asked as "${param}".`, field);
  const inThousandths = spec.kind === 'weight' && typeof value === 'number' ? weight(value) : value;
  const problem = paramProblem(spec, inThousandths, 'lb');
  return problem === undefined ? undefined : failure('invalid', problem, field);
}

/** A parameter by `decision.option.param`. */
function specNamed(decisions: Species['decisions'], said: string): ParamSpec | undefined {
  const [decision, option, param] = said.split('.');
  return decisions
    .find(({ id }) => id === decision)
    ?.options.find(({ id }) => id === option)
    ?.params?.find(({ id }) => id === param);
}

function cutProblem(cut: string, species: Species): Refused | undefined {
  const known = cutNames(species).some((each) => each.cut === cut);
  return known ? undefined : failure('invalid', `No cut is called "${cut}" here.`, 'change.cut');
}

/** A word may stand for one cut only: a label must say which. */
function wordProblem(cut: string, word: string, species: Species): Refused | undefined {
  const unknown = cutProblem(cut, species);
  if (unknown || word === '') return unknown;
  const taken = takenBy(word, cut, species);
  return taken ? failure('invalid', `${word} is another cut already: ${taken}.`, 'change.word') : undefined;
}

function offerProblem(
  { option: said, offered }: Extract<SetUpChange, { kind: 'offer' }>,
  { before, shipped }: Ground,
): Refused | undefined {
  const [id, optionId] = said.split('.');
  const all = offered ? shipped : before;
  const decision = all.decisions.find((each) => each.id === id);
  const option = decision?.options.find((each) => each.id === optionId);
  if (!decision || !option) return failure('invalid', 'That is not offered here.', 'change.option');
  if (offered) return undefined;
  const here = before.decisions.find((each) => each.id === id)!;
  if (here.options.length === 1) {
    return failure('invalid', `${here.title} would have no answer left.`, 'change.option');
  }
  const { option: house, then, beside } = here.house;
  if ([house, then, beside?.otherwise].includes(optionId)) {
    return failure(
      'invalid',
      `The house sheet says ${option.label.toLowerCase()} for ${here.title.toLowerCase()}. Let it say something else first.`,
      'change.option',
    );
  }
  return undefined;
}

function offerRecipeProblem(
  { id, offered }: Extract<SetUpChange, { kind: 'offer-recipe' }>,
  { before, shipped }: Ground,
): Refused | undefined {
  const known = [...before.recipes, ...shipped.recipes].some((recipe) => recipe.id === id);
  if (!known) return failure('invalid', 'There is no such recipe.', 'change.id');
  if (!offered && before.recipes[0]!.id === id) {
    return failure(
      'invalid',
      'The plain grind is made in every shop: the rest of the trim goes there.',
      'change.id',
    );
  }
  return undefined;
}

/** What the parts of a species say of each other, in words for an owner. */
function wholeProblem(species: Species): Refused | undefined {
  const [problem] = speciesProblems(species);
  return problem === undefined ? undefined : failure('invalid', `${species.name}: ${problem}.`, 'change');
}
