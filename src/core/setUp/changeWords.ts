import type { Catalogue } from '../catalogue/catalogue';
import { PLACE_KINDS } from './places';
import { setUpAfter, withChange } from './setUp';
import { withOwnSpecies } from './shopSpecies';
import type { SetUp, SetUpChange, SetUpStep, ShopFacts, SpeciesRules } from './types';
import type { HouseRules } from '../shop/houseRules';
import type { Decision, Species } from '../species/types';

const RULE_WORDS: Readonly<Record<keyof Omit<HouseRules, 'version'>, string>> = {
  tools: 'tools',
  unaccounted: 'what may be missing',
  chillHours: 'hours of chilling',
  benchLb: 'what the bench scale carries',
  trays: 'trays and bags',
  barrels: 'where the barrels go',
  hours: 'hours of the day',
  sheetDays: 'days a sheet stands before the block',
  noAnswer: 'what happens when nobody answers',
  storageDays: 'days boxes may wait',
  week: 'days of the week',
  holidays: 'holidays',
  blockMinutes: 'minutes of cutting a day',
  nitrite: 'limits of nitrite',
  labelNote: 'words at the foot of a label',
  labelSize: 'labels',
  labelDate: 'words before the best-by date',
  labelFarm: 'the farm on labels',
};

const SPECIES_RULE_WORDS: Readonly<Record<keyof SpeciesRules, string>> = {
  targetDays: 'days to hang',
  longestDays: 'longest days',
  lightLb: 'light side',
  heavyLb: 'heavy side',
  minBatchLb: 'smallest batch',
  kindsPerHalf: 'kinds to a half',
  anotherKindFromLb: 'another kind from',
  grindFatPct: 'fat of the grind',
  grindPackLb: 'pack of grind',
  tolerancePct: 'how far a line may miss',
  school: 'school',
  months: 'months that packs keep',
};

const SHOP_WORDS: Readonly<Record<keyof ShopFacts, string>> = {
  name: 'name of the shop',
  phone: 'telephone of the shop',
  establishment: 'establishment number',
  codePrefix: 'company prefix',
};

type Read = { readonly before: SetUp; readonly shipped: Catalogue };

/**
 * A step in words for the history: `beef: days to hang 14 to 16`.
 *
 * @param before - the set-up that it was made to
 */
export function changeWords(change: SetUpChange, { before, shipped }: Read): string {
  const { species: known } = withOwnSpecies(shipped, before);
  const species = 'species' in change ? known.find(({ id }) => id === change.species) : undefined;
  const own = 'species' in change ? before.species[change.species] : undefined;
  const optionWords = (decision: Decision | undefined, id: string) =>
    decision?.options.find((option) => option.id === id)?.label.toLowerCase() ??
    own?.ownCuts.find((cut) => cut.id === id)?.name.toLowerCase() ??
    id;
  const of = species ? `${species.name.toLowerCase()}: ` : '';
  switch (change.kind) {
    case 'rules':
      return Object.entries(change.rules)
        .map(([key, value]) => {
          const name = key as keyof typeof RULE_WORDS;
          return fromTo(RULE_WORDS[name], before.rules[name], value);
        })
        .join('; ');
    case 'species-rules':
      return `${of}${Object.entries(change.rules)
        .map(([key, value]) => {
          const name = key as keyof SpeciesRules;
          return fromTo(SPECIES_RULE_WORDS[name], own?.rules[name], value);
        })
        .join('; ')}`;
    case 'break':
      return `${of}${breakWords(species, change.break, change.place)}`;
    case 'house': {
      const decision = species?.decisions.find(({ id }) => id === change.decision);
      const ways = [change.says.option, change.says.then].flatMap((id) =>
        id ? [optionWords(decision, id)] : [],
      );
      const sizes = Object.entries(change.usual ?? {}).map(
        ([param, value]) => `, ${sizeWords(decision, param, value)}`,
      );
      return `${of}${decision?.title ?? change.decision}: ${ways.join(', then ')}${sizes.join('')}`;
    }
    case 'usual': {
      const [id, option] = change.param.split('.');
      const decision = species?.decisions.find((each) => each.id === id);
      return `${of}${decision?.title ?? id}, ${optionWords(decision, option!)}: ${sizeWords(decision, change.param, change.value)}`;
    }
    case 'keep':
      return `${of}${change.keep ? 'keeps' : 'does not keep'} ${species?.poolKeeps.find(({ id }) => id === change.id)?.title.toLowerCase() ?? change.id}`;
    case 'word':
      return change.word === ''
        ? `${of}${change.cut} has its own name again`
        : `${of}${change.cut} is called ${change.word}`;
    case 'alias':
      return `${of}${change.cut} is found by ${change.say.join(', ') || 'its own name only'}`;
    case 'offer': {
      const [id, option] = change.option.split('.');
      const decision = species?.decisions.find((each) => each.id === id);
      const words = `${decision?.title ?? id}, ${optionWords(decision, option!)}`;
      return `${of}${words} ${change.offered ? 'offered again' : 'not offered'}`;
    }
    case 'own-cut':
      return `${of}own cut ${change.cut.name}`;
    case 'without-own-cut':
      return `${of}${own?.ownCuts.find(({ id }) => id === change.id)?.name ?? change.id} not made any more`;
    case 'recipe':
      return `${of}recipe ${change.recipe.name}`;
    case 'offer-recipe':
      return `${of}${[...(own?.recipes ?? []), ...(species?.recipes ?? [])].find(({ id }) => id === change.id)?.name ?? change.id} ${change.offered ? 'made again' : 'not made'}`;
    case 'atlas':
      return `${of}pieces by a table of the shop’s own`;
    case 'species': {
      const isNew = !before.ownSpecies.some(({ id }) => id === change.own.id);
      return `${isNew ? 'a new species' : 'described anew'}: ${change.own.name.toLowerCase()}`;
    }
    case 'shop':
      return Object.entries(change.shop)
        .map(([key, value]) =>
          fromTo(
            SHOP_WORDS[key as keyof ShopFacts],
            change.was[key as keyof ShopFacts] ?? 'none',
            value ?? 'none',
          ),
        )
        .join('; ');
    case 'cure-recipe':
      return `cure ${change.recipe.name}`;
    case 'smoke-plan':
      return `plan of the smokehouse ${change.plan.name}`;
    case 'place':
      return `${PLACE_KINDS[change.place.kind].word} ${change.place.name}, ${change.place.size} ${PLACE_KINDS[change.place.kind].size}`;
    case 'without-place':
      return `without ${before.places.find(({ id }) => id === change.id)?.name ?? change.id}`;
    case 'back':
      return `step ${change.step} taken back`;
  }
}

function fromTo(name: string, was: unknown, now: unknown): string {
  const isShort = (value: unknown) => typeof value === 'number' || typeof value === 'string';
  if (isShort(now)) return isShort(was) && was !== now ? `${name} ${was} to ${now}` : `${name} ${now}`;
  if (typeof now === 'boolean') return `${name}: ${now ? 'yes' : 'no'}`;
  return Array.isArray(now) ? `${name}: ${now.join(', ') || 'none'}` : name;
}

/** A parameter, as `decision.option.param`, with what it is: `thickness 1`. */
function sizeWords(decision: Decision | undefined, said: string, value: number | boolean | string): string {
  const [, option, param] = said.split('.');
  const spec = decision?.options
    .find((each) => each.id === option)
    ?.params?.find((each) => each.id === param);
  return `${(spec?.label ?? param)!.toLowerCase()} ${value}`;
}

function breakWords(species: Species | undefined, id: string, place: string): string {
  const broken = species?.breaks.find((each) => each.id === id);
  return `${broken?.title ?? id} ${broken?.places.find((each) => each.id === place)?.label ?? place}`;
}

/** The history of a set-up in words, the newest first. */
export type StepWords = Pick<SetUpStep, 'number' | 'at' | 'actorName'> & {
  readonly words: string;
  readonly kind: SetUpChange['kind'];
  readonly takenBack: boolean;
};

/** Steps that are worth reading at once. */
const MOST_WORDS = 200;

/** @param shipped - the catalogue that ships with the app */
export function historyWords(shipped: Catalogue, base: HouseRules, steps: readonly SetUpStep[]): StepWords[] {
  const back = new Set(steps.flatMap(({ change }) => (change.kind === 'back' ? [change.step] : [])));
  let before = setUpAfter(base, []);
  const said = steps.map(({ number, at, actorName, change }) => {
    const words = changeWords(change, { before, shipped });
    before = withChange(before, change);
    return { number, at, actorName, words, kind: change.kind, takenBack: back.has(number) };
  });
  return said
    .filter(({ kind }) => kind !== 'back')
    .slice(-MOST_WORDS)
    .reverse();
}
