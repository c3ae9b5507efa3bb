import fc from 'fast-check';
import type { BreakPlan } from '../carcass/breaks';
import type { Condition, Part } from '../carcass/condition';
import { BONE_STATES } from '../experience/boneState';
import type { Experience } from '../experience/experience';
import { convertUnits, weight, type Weight } from '../quantity/weight';
import { decisionsAsked, whyNotOffered, type Situation } from '../sheet/situation';
import type { Amount, Form, GrindLine, Sheet } from '../sheet/types';
import { allSpecies } from './catalogue';
import {
  RITES,
  type Decision,
  type Option,
  type ParamSpec,
  type Recipe,
  type Species,
} from '../species/types';

/** What may be known of a carcass. Several atoms may be missing or condemned, in part or whole. */
export function anyCondition(species: Species): fc.Arbitrary<Condition> {
  const { fatness, eye } = species.shifts;
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  const someAtoms = fc.dictionary(fc.constantFrom(...species.atlas.atoms.map((atom) => atom.id)), share, {
    maxKeys: 3,
  });
  return fc.record(
    {
      ...(species.types.length > 0 ? { type: fc.constantFrom(...species.types.map((type) => type.id)) } : {}),
      fatness: fc.double({ min: fatness.min / 2, max: fatness.max * 1.5, noNaN: true }),
      eyeSqIn: fc.double({ min: 1, max: (eye?.referenceSqIn ?? 5) * 2, noNaN: true }),
      skinned: fc.boolean(),
      ...(species.rites.length > 0 ? { rite: fc.constantFrom(...RITES) } : {}),
      flags: fc.subarray(species.flags.map((flag) => flag.id)),
      spinePct: fc.double({ min: 30, max: 70, noNaN: true }),
      carries: fc.dictionary(fc.constantFrom(...species.onePerCarcass), fc.boolean()),
      missing: someAtoms,
      condemned: someAtoms,
      daysHung: fc.integer({ min: 0, max: 60 }),
      thinCover: fc.boolean(),
    },
    { requiredKeys: [] },
  );
}

/** What a shop may have learnt of some cuts: a little or a lot more or less than the reference. */
export function anyExperience(species: Species): fc.Arbitrary<Experience> {
  const cuts = species.decisions.flatMap((decision) =>
    decision.options.flatMap((option) => option.products.map((product) => product.cut)),
  );
  const one = fc.record({
    orders: fc.integer({ min: 1, max: 200 }),
    logRatio: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
    logRatioSd: fc.double({ min: 0.001, max: 0.05, noNaN: true }),
    noiseScale: fc.double({ min: 0.5, max: 2, noNaN: true }),
    evidence: fc.double({ min: 0.01, max: 0.99, noNaN: true }),
  });
  return fc.record(
    {
      cuts: fc.dictionary(fc.constantFrom(...cuts), one, { maxKeys: 4 }),
      grind: fc.dictionary(fc.constantFrom(...BONE_STATES), one, { maxKeys: 3 }),
      takeHome: one,
    },
    { requiredKeys: ['cuts'] },
  );
}

/** A place for some of the breaks. */
export function anyBreaks(species: Species): fc.Arbitrary<BreakPlan> {
  const places = species.breaks.map(
    (each) => [each.id, fc.constantFrom(...each.places.map((place) => place.id))] as const,
  );
  return fc.record(Object.fromEntries(places), { requiredKeys: [] }) as fc.Arbitrary<BreakPlan>;
}

/** Any carcass, share and shop: every species, school, break and condition, in both units. */
export const anySituation: fc.Arbitrary<Situation> = fc
  .constantFrom(...allSpecies())
  .chain((species) => anySituationOf(species));

export function anySituationOf(species: Species): fc.Arbitrary<Situation> {
  return fc.constantFrom('lb' as const, 'kg' as const).chain((unit) =>
    fc.record({
      species: fc.constant(species),
      unit: fc.constant(unit),
      sides: fc.constantFrom(1 as const, 2 as const),
      tools: fc.constantFrom(['band-saw'], []),
      addOns: fc.subarray(species.atlas.addOns.map((addOn) => addOn.atom.id)),
      school: fc.constantFrom(...species.schools.map((school) => school.id)),
      breaks: anyBreaks(species),
      condition: anyCondition(species),
      experience: anyExperience(species),
      part: fc.constantFrom<Part>('side', ...(species.atlas.quarters ? (['fore', 'hind'] as const) : [])),
    }),
  );
}

function anyParam(spec: ParamSpec, unit: Situation['unit']): fc.Arbitrary<number | boolean | string> {
  switch (spec.kind) {
    case 'length':
      return fc.double({ min: spec.minIn, max: spec.maxIn, noNaN: true });
    case 'weight': {
      const perUnit = unit === 'lb' ? 1000 : 453;
      return fc.integer({ min: Math.ceil(spec.minLb * perUnit) + 1, max: Math.floor(spec.maxLb * perUnit) });
    }
    case 'count':
      return fc.integer({ min: spec.min, max: spec.max });
    case 'yesNo':
      return fc.boolean();
    case 'choice':
      return fc.constantFrom(...Object.keys(spec.options));
  }
}

const anyAmount: fc.Arbitrary<Amount> = fc.oneof(
  fc.constant<Amount>({ kind: 'rest' }),
  fc.integer({ min: 1, max: 100 }).map((pct): Amount => ({ kind: 'share', pct })),
  fc.integer({ min: 1, max: 12 }).map((count): Amount => ({ kind: 'packs', count })),
  fc.integer({ min: 1, max: 12 }).map((count): Amount => ({ kind: 'pieces', count })),
  fc.integer({ min: 100, max: 9000 }).map((w): Amount => ({ kind: 'weight', weight: w as Weight })),
  fc.double({ min: 0.5, max: 8, noNaN: true }).map((inches): Amount => ({ kind: 'length', inches })),
);

function anyForm(option: Option, situation: Situation): fc.Arbitrary<Form> {
  const params = Object.fromEntries(
    (option.params ?? []).map((spec) => [spec.id, anyParam(spec, situation.unit)]),
  );
  return fc.record({
    option: fc.constant(option.id),
    amount: anyAmount,
    params: fc.record(params),
  });
}

function anyAnswer(decision: Decision, situation: Situation) {
  const offered = decision.options.filter((option) => !whyNotOffered(option, situation));
  const one = fc.constantFrom(...offered).chain((option) => anyForm(option, situation));
  const forms = decision.divisible
    ? fc.array(one, { minLength: 1, maxLength: 3 })
    : one.map((form) => [form]);
  return fc.option(
    forms.map((list) => ({ forms: list })),
    { nil: undefined, freq: 8 },
  );
}

function anyGrindLine(recipes: readonly Recipe[], unit: Situation['unit']): fc.Arbitrary<GrindLine> {
  return fc.constantFrom(...recipes).chain((recipe) =>
    fc.record({
      recipe: fc.constant(recipe.id),
      form: fc.constantFrom(...recipe.forms),
      amount: fc.oneof(
        fc.constant<GrindLine['amount']>({ kind: 'rest' }),
        fc
          .integer({ min: 500, max: 20_000 })
          .map((w): GrindLine['amount'] => ({ kind: 'weight', weight: w as Weight })),
      ),
      packWeight: fc.constant(weight(unit === 'lb' ? 1 : 0.5)),
    }),
  );
}

function defined<T>(record: Record<string, T | undefined>): Record<string, T> {
  return Object.fromEntries(
    Object.entries(record).filter((entry): entry is [string, T] => entry[1] !== undefined),
  );
}

export function anySheet(situation: Situation): fc.Arbitrary<Sheet> {
  const { species } = situation;
  const answers = Object.fromEntries(
    decisionsAsked(situation).map((decision) => [decision.id, anyAnswer(decision, situation)]),
  );
  return fc.record({
    species: fc.constant(species.id),
    answers: fc.record(answers).map(defined),
    secondSide: situation.sides === 2 ? fc.record(answers).map(defined) : fc.constant({}),
    keeps: fc.record(Object.fromEntries(species.poolKeeps.map((keep) => [keep.id, fc.boolean()]))),
    grind: fc.record({
      fatPct: fc.integer({ min: species.grind.fatPct.min, max: species.grind.fatPct.max }),
      lines: fc.array(anyGrindLine(species.recipes, situation.unit), { minLength: 1, maxLength: 4 }),
    }),
    wrap: fc.constantFrom('vacuum' as const, 'paper' as const),
    instructions: fc.constant(''),
  });
}

/** Cold weights of the sides of a share, thousandths: from a third to double the usual. */
export function anySides({ species, unit, sides, part = 'side' }: Situation): fc.Arbitrary<Weight[]> {
  const usual = convertUnits(species.atlas.reference.sideLb, 'lb', unit) * (part === 'side' ? 1000 : 500);
  return fc.array(
    fc.integer({ min: Math.round(usual / 3), max: Math.round(usual * 2) }).map((w) => w as Weight),
    { minLength: sides, maxLength: sides },
  );
}

/** A situation, a sheet for it and the cold weight of each side, thousandths. */
export const anyOrder = anySituation.chain(orderIn);

/** The same of one species. */
export function anyOrderOf(species: Species) {
  return anySituationOf(species).chain(orderIn);
}

function orderIn(situation: Situation) {
  return fc.record({
    situation: fc.constant(situation),
    sheet: anySheet(situation),
    coldSides: anySides(situation),
  });
}
