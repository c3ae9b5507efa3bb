import { speciesIn, type Catalogue } from '@/core/catalogue/catalogue';
import type { OrderDocument, SheetDocument, ShareDocument } from '@/core/order/document';
import { expectedCold } from '@/core/hang/shrink';
import { convertUnits, weight, type WeighingUnit, type Weight } from '@/core/quantity/weight';
import { dayIn } from '@/core/time/shopTime';
import type { Chance } from './chance';
import { FARMS } from './farms';
import { HOUSEHOLDS } from './households';
import { BONELESS, FAMILY, HOUSE, STEAKS } from './orders';

/** Of a season's animals so many are of each species, how they are sold, and how they are asked to be cut. */
type Kind = {
  readonly species: string;
  readonly share: number;
  readonly tag: string;
  readonly sold: readonly (readonly ShareDocument['part'][])[];
  readonly sheets: readonly SheetDocument[];
};

const HALVES = ['left', 'right'] as const;
const KINDS: readonly Kind[] = [
  {
    species: 'hog',
    share: 0.46,
    tag: 'H',
    sold: [HALVES, HALVES, ['whole']],
    sheets: [HOUSE, FAMILY, BONELESS],
  },
  {
    species: 'beef',
    share: 0.28,
    tag: 'B',
    sold: [HALVES, HALVES, HALVES, ['left']],
    sheets: [HOUSE, STEAKS],
  },
  { species: 'lamb', share: 0.18, tag: 'L', sold: [['whole'], ['whole'], HALVES], sheets: [HOUSE] },
  { species: 'goat', share: 0.05, tag: 'G', sold: [['whole']], sheets: [HOUSE] },
  { species: 'bison', share: 0.03, tag: 'N', sold: [HALVES], sheets: [HOUSE] },
];

/** How much sides of one species differ in weight, and the two sides of one animal. */
const SIDES_DIFFER = 0.09;
const HALVES_DIFFER = 0.012;
/** How far the air takes more or less than the table says, as a share of the cold weight. */
const SHRINK_DIFFERS = 0.003;

/** An animal of the past as it was booked, weighed and sold. */
export type PastAnimal = {
  readonly document: OrderDocument;
  readonly killed: Date;
  /** When it was cold and cut. */
  readonly cut: Date;
};

const DAY_MS = 24 * 3_600_000;

function kindOf(chance: Chance): Kind {
  let left = chance.uniform();
  return KINDS.find((kind) => (left -= kind.share) < 0) ?? KINDS[0]!;
}

type Place = { readonly catalogue: Catalogue; readonly unit: WeighingUnit; readonly zone: string };

/** Draws an animal: its kind, its farm, its weights, and the households that bought it. */
export function drawAnimal(
  place: Place,
  chance: Chance,
  { number, killed }: { number: number; killed: Date },
): PastAnimal {
  const kind = kindOf(chance);
  const species = speciesIn(place.catalogue, kind.species);
  const days = Math.max(1, species.hang.targetDays + Math.round(chance.normal()));
  const sideLb = species.atlas.reference.sideLb * Math.exp(SIDES_DIFFER * chance.normal());
  const side = () => {
    const hot = weight(convertUnits(sideLb * (1 + HALVES_DIFFER * chance.normal()), 'lb', place.unit));
    const shrunk = expectedCold(species.shrink[0]!, hot, days);
    const cold = Math.min(hot - 10, Math.round(shrunk * (1 + SHRINK_DIFFERS * chance.normal()))) as Weight;
    return { hot: hot / 1000, cold: cold / 1000 };
  };
  const farm = chance.pick(Object.keys(FARMS));
  const households = new Set<(typeof HOUSEHOLDS)[number]>();
  const parts = chance.pick(kind.sold);
  while (households.size < parts.length) households.add(chance.pick(HOUSEHOLDS));
  return {
    killed,
    cut: new Date(killed.getTime() + days * DAY_MS),
    document: {
      format: 'fractum.order',
      version: 1,
      unit: place.unit,
      farm: { name: farm, phone: FARMS[farm]! },
      animal: {
        tag: `${kind.tag}${String(number).padStart(4, '0')}`,
        species: species.id,
        killDate: dayIn(place.zone, killed),
        inspection: 'custom-exempt',
      },
      shares: [...households].map((owner, at) => ({
        part: parts[at]!,
        owner,
        deposit: 50,
        sheet: chance.pick(kind.sheets),
      })),
      weights: { left: side(), right: side() },
    },
  };
}
