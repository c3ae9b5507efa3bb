import type { Condition } from '@/core/carcass/condition';
import { odditiesOf } from '@/core/forecast/oddities';
import { forecast } from '@/core/forecast/forecast';
import { weight } from '@/core/quantity/weight';
import { formOf, houseSheet, withAnswer } from '@/core/sheet/houseSheet';
import { decisionsAsked, whyNotOffered, type Situation } from '@/core/sheet/situation';
import type { Form, Sheet } from '@/core/sheet/types';
import type { Decision, Option, ParamSpec, Species } from '@/core/species/types';
import { readCatalogue } from '@/data/catalogue';
import { defaultParams } from '@/core/sheet/params';

/**
 * `npm run sweep`: every species, type, school, option, both ends of every parameter, every pair of forms in both
 * orders, on the lightest, the usual and the heaviest side. Lists what is odd, and ends with 1 when anything is.
 */
const SHARES_OF_A_PAIR = [20, 50, 80];

type Way = {
  readonly what: string;
  readonly sheet: Sheet;
  /** Goes out as it hung. */ readonly uncut?: boolean;
};

function situationsOf(species: Species): { readonly what: string; readonly situation: Situation }[] {
  const addOns = species.atlas.addOns.map(({ atom }) => atom.id);
  const base: Situation = { species, unit: 'lb', sides: 1, addOns, tools: ['band-saw'] };
  const of = (what: string, more: Partial<Situation>) => ({ what, situation: { ...base, ...more } });
  const when = (condition: Condition) => ({ condition });
  return [
    of('usual', {}),
    of('whole', { sides: 2 }),
    of('no saw', { tools: [] }),
    ...species.types.map(({ id }) => of(`type ${id}`, when({ type: id }))),
    ...species.schools.map(({ id }) => of(`school ${id}`, { school: id })),
    ...species.flags.map(({ id }) => of(`flag ${id}`, when({ flags: [id] }))),
    ...species.breaks.flatMap(({ id, places }) =>
      places.map((place) => of(`break ${id} ${place.id}`, { breaks: { [id]: place.id } })),
    ),
  ];
}

function offered(decision: Decision, situation: Situation): Option[] {
  return decision.options.filter((option) => !whyNotOffered(option, situation));
}

/** Each option alone as it usually is. */
function optionWays(situation: Situation, house: Sheet): Way[] {
  return decisionsAsked(situation).flatMap((decision) =>
    offered(decision, situation).map((option) => ({
      what: `${decision.id}.${option.id}`,
      sheet: withAnswer(house, decision.id, { forms: [formOf(decision, option.id, situation)] }),
      uncut: option.takesOver?.includes('*') === true,
    })),
  );
}

/** The values at both ends of a parameter, or every one that can be chosen. */
function endsOf(spec: ParamSpec): (number | boolean | string)[] {
  switch (spec.kind) {
    case 'length':
      return [spec.minIn, spec.maxIn];
    case 'weight':
      return [weight(spec.minLb), weight(spec.maxLb)];
    case 'count':
      return [spec.min, spec.max];
    case 'yesNo':
      return [true, false];
    case 'choice':
      return Object.keys(spec.options);
  }
}

function parameterWays(situation: Situation, house: Sheet): Way[] {
  return decisionsAsked(situation).flatMap((decision) =>
    offered(decision, situation).flatMap((option) =>
      (option.params ?? []).flatMap((spec) =>
        endsOf(spec).map((value) => {
          const params = { ...defaultParams(option, situation.unit), [spec.id]: value };
          const form: Form = { option: option.id, amount: { kind: 'rest' }, params };
          return {
            what: `${decision.id}.${option.id} ${spec.id} ${value}`,
            sheet: withAnswer(house, decision.id, { forms: [form] }),
          };
        }),
      ),
    ),
  );
}

function pairWays(situation: Situation, house: Sheet): Way[] {
  return decisionsAsked(situation)
    .filter((decision) => decision.divisible)
    .flatMap((decision) => {
      const options = offered(decision, situation).filter((option) => !option.aloneOnly);
      return options.flatMap((first) =>
        options
          .filter((second) => second !== first)
          .flatMap((second) =>
            SHARES_OF_A_PAIR.map((pct) => ({
              what: `${decision.id}: ${pct} % ${first.id}, rest ${second.id}`,
              sheet: withAnswer(house, decision.id, {
                forms: [
                  { ...formOf(decision, first.id, situation), amount: { kind: 'share', pct } },
                  formOf(decision, second.id, situation),
                ],
              }),
            })),
          ),
      );
    });
}

function main(): void {
  let forecasts = 0;
  const odd = new Set<string>();
  for (const species of readCatalogue().species) {
    const usualLb = species.atlas.reference.sideLb;
    for (const { what, situation } of situationsOf(species)) {
      const house = houseSheet(situation);
      const isUsual = what === 'usual';
      const ways: Way[] = [
        { what: 'house', sheet: house },
        ...optionWays(situation, house),
        ...(isUsual ? [...parameterWays(situation, house), ...pairWays(situation, house)] : []),
      ];
      const sides = isUsual ? [species.shifts.sideLb[0], usualLb, species.shifts.sideLb[1]] : [usualLb];
      for (const lb of sides) {
        for (const way of ways) {
          forecasts += 1;
          const cold = new Array(situation.sides).fill(weight(lb));
          for (const sentence of odditiesOf(forecast(situation, way.sheet, cold), 'lb', way.uncut)) {
            odd.add(`${species.id} of ${lb} lb, ${what}, ${way.what}: ${sentence}`);
          }
        }
      }
    }
  }
  for (const sentence of odd) process.stdout.write(`${sentence}\n`);
  process.stdout.write(`${forecasts} forecasts, ${odd.size} odd\n`);
  process.exitCode = odd.size === 0 ? 0 : 1;
}

main();
