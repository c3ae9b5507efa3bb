import type { OrderDocument, SheetDocument, ShareDocument } from '@/core/order/document';
import { FARMS } from './farms';

/** How far the demo has taken a share. */
export type Progress =
  'booked' | 'approved' | 'on-the-block' | 'part-packed' | 'in-cure' | 'packed' | 'closed' | 'picked-up';

export type DemoOrder = {
  readonly document: Omit<OrderDocument, 'animal'> & {
    readonly animal: Omit<OrderDocument['animal'], 'killDate'>;
  };
  readonly killedDaysAgo: number;
  readonly progress: readonly Progress[];
};

export const HOUSE: SheetDocument = { houseForTheRest: true };

export const FAMILY: SheetDocument = {
  houseForTheRest: true,
  answers: {
    butt: [{ option: 'roast', amount: { sharePct: 50 } }, { option: 'steaks' }],
    picnic: [{ option: 'grind' }],
  },
  grind: { fatPct: 25, lines: [{ recipe: 'plain', form: 'bulk' }] },
};

/** Sausage of two kinds, one of them smoked. */
export const SAUSAGES: SheetDocument = {
  houseForTheRest: true,
  answers: {
    butt: [{ option: 'grind' }],
    picnic: [{ option: 'grind' }],
    sirloin: [{ option: 'grind' }],
    'blade-end': [{ option: 'grind' }],
  },
  grind: {
    fatPct: 28,
    lines: [
      { recipe: 'sugar-smoked', form: 'links', amount: { weight: 15 } },
      { recipe: 'breakfast', form: 'bulk' },
    ],
  },
};

export const BONELESS: SheetDocument = {
  houseForTheRest: true,
  answers: {
    'center-loin': [{ option: 'boneless', params: { thickness: '1' } }],
    'back-ribs': [{ option: 'slab' }],
    tenderloin: [{ option: 'whole' }],
    sirloin: [{ option: 'roast-boneless' }],
  },
  keeps: { 'keep-bones': true },
};

const CLASHING: SheetDocument = {
  houseForTheRest: true,
  answers: {
    'center-loin': [{ option: 'chops', params: { thickness: '1 1/4' } }],
    'back-ribs': [{ option: 'slab' }],
  },
};

/** Twelve zones answered; the counter was called away. */
const HALF_DONE: SheetDocument = {
  answers: {
    jowl: [{ option: 'kept' }],
    'neck-bones': [{ option: 'grind' }],
    'fore-feet': [{ option: 'none' }],
    'hind-feet': [{ option: 'none' }],
    tail: [{ option: 'none' }],
    butt: [{ option: 'roast' }],
    picnic: [{ option: 'grind' }],
    'fore-hock': [{ option: 'kept' }],
    belly: [{ option: 'bacon', params: { slice: 'thick', packWeight: 1 } }],
    ham: [{ option: 'whole' }],
  },
  grind: {
    fatPct: 28,
    lines: [
      { recipe: 'breakfast', form: 'links', amount: { weight: 6 } },
      { recipe: 'breakfast', form: 'bulk' },
    ],
  },
};

/** By the seam and off the bone: small steaks, strip and whole tenderloin. */
export const STEAKS: SheetDocument = {
  houseForTheRest: true,
  answers: {
    chuck: [{ option: 'seam' }],
    'flat-iron': [{ option: 'kept' }],
    'mock-tender': [{ option: 'roast' }],
    rib: [{ option: 'boneless', params: { thickness: '1 1/4' } }],
    'back-ribs': [{ option: 'slab' }],
    'short-loin': [{ option: 'strip' }],
    tenderloin: [{ option: 'whole' }],
  },
  grind: {
    fatPct: 20,
    lines: [
      { recipe: 'onion', form: 'patties', amount: { weight: 15 } },
      { recipe: 'plain', form: 'bulk' },
    ],
  },
};

/** One picnic shoulder of two was condemned on the rail. */
const ONE_SHOULDER = { 'picnic-cushion': 0.5, 'picnic-lean': 0.5, 'picnic-cover': 0.5, 'picnic-bones': 0.5 };

/** Nothing with backbone in it may be cut from an old cow. */
const OLD_COW: SheetDocument = {
  houseForTheRest: true,
  answers: {
    rib: [{ option: 'boneless' }],
    'short-loin': [{ option: 'strip' }],
    tenderloin: [{ option: 'filets' }],
    'top-round': [{ option: 'jerky' }],
    'bottom-round': [{ option: 'stew' }],
  },
};

function share(
  part: ShareDocument['part'],
  name: string,
  phone: string,
  sheet?: SheetDocument,
): ShareDocument {
  return { part, owner: { name, phone }, deposit: 50, ...(sheet ? { sheet } : {}) };
}

/** Tag, farm, hot and cold weights left and right, and who has which part. */
type Said = [
  tag: string,
  farm: string,
  hot: [number, number] | null,
  cold: [number, number] | null,
  shares: ShareDocument[],
];

type Carcass = Pick<OrderDocument['animal'], 'species' | 'sex' | 'carcass'>;

function animal(
  { species, sex, carcass }: Carcass,
  ...[tag, farm, hot, cold, shares]: Said
): DemoOrder['document'] {
  const sides = hot && {
    left: { hot: hot[0], ...(cold ? { cold: cold[0] } : {}) },
    right: { hot: hot[1], ...(cold ? { cold: cold[1] } : {}) },
  };
  return {
    format: 'fractum.order',
    version: 1,
    unit: 'lb',
    farm: { name: farm, phone: FARMS[farm]! },
    animal: {
      tag,
      species,
      ...(sex ? { sex } : {}),
      inspection: 'custom-exempt',
      ...(carcass ? { carcass } : {}),
    },
    shares,
    ...(sides ? { weights: sides } : {}),
  };
}

function hog(...said: Said): DemoOrder['document'] {
  return animal({ species: 'hog', sex: 'barrow' }, ...said);
}

/** A live week at Skerry Sound: animals in every state of the work. All names are invented. */
export const DEMO_ORDERS: readonly DemoOrder[] = [
  {
    document: hog(
      'H112',
      'Low Tarn',
      [93.4, 92.1],
      [91.8, 90.5],
      [
        share('left', 'Ottilie Brandreth', '555 0141', FAMILY),
        share('right', 'Corwin Aske', '555 0142', HOUSE),
      ],
    ),
    killedDaysAgo: 16,
    progress: ['picked-up', 'closed'],
  },
  {
    document: hog(
      'H113',
      'Saltgate',
      [88.2, 89.6],
      [86.7, 88.1],
      [share('left', 'Hesper Lund', '555 0143', HOUSE), share('right', 'Marit Fallow', '555 0144', BONELESS)],
    ),
    killedDaysAgo: 9,
    progress: ['in-cure', 'packed'],
  },
  {
    document: hog(
      'H114',
      'Windle Croft',
      [92.5, 91.3],
      [91.0, 89.8],
      [
        share('left', 'Jory Penhale', '555 0145', {
          ...FAMILY,
          instructions: 'Leave the fat on the butt roast. Boar taint asked about: cook a piece first.',
        }),
        share('right', 'Anneke Storr', '555 0146', HOUSE),
      ],
    ),
    killedDaysAgo: 3,
    progress: ['part-packed', 'approved'],
  },
  {
    document: hog('H115', 'Oxter Hill', [101.2, 99.7], null, [
      share('left', 'Tamsin Reddle', '555 0147', BONELESS),
      share('right', 'Ivo Garth', '555 0148', CLASHING),
    ]),
    killedDaysAgo: 1,
    progress: ['approved', 'booked'],
  },
  {
    document: hog(
      'H116',
      'Brackenhow',
      [86.9, 88.0],
      [85.4, 86.5],
      [share('left', 'Sunniva Holt', '555 0149', HALF_DONE), share('right', 'Perran Vane', '555 0150')],
    ),
    killedDaysAgo: 2,
    progress: ['booked', 'booked'],
  },
  {
    document: animal(
      { species: 'hog', sex: 'gilt', carcass: { condition: { condemned: ONE_SHOULDER } } },
      'H117',
      'Hollin Bank',
      [88.4, 87.6],
      [86.9, 86.1],
      [share('whole', 'Edda Wrathall', '555 0158', SAUSAGES)],
    ),
    killedDaysAgo: 3,
    progress: ['part-packed'],
  },
  {
    document: hog('H118', 'Low Tarn', null, null, [
      {
        ...share('whole', 'Elspeth Quill', '555 0151'),
        payer: { name: 'Quill Household Fund' },
        deposit: 100,
      },
    ]),
    killedDaysAgo: -1,
    progress: ['booked'],
  },
  {
    document: animal(
      { species: 'beef', sex: 'steer' },
      'B041',
      'Oxter Hill',
      [391.5, 387.0],
      [366.2, 361.9],
      [
        share('left', 'Bramwell Coy', '555 0152', STEAKS),
        share('right', 'Ysolde Marrack', '555 0153', {
          houseForTheRest: true,
          answers: {
            'short-loin': [{ option: 't-bone', params: { thickness: '1 1/4' } }],
            tenderloin: [{ option: 'whole' }],
          },
        }),
      ],
    ),
    killedDaysAgo: 14,
    progress: ['approved', 'booked'],
  },
  {
    document: animal(
      { species: 'beef', sex: 'cow', carcass: { condition: { type: 'cow', flags: ['over-30-months'] } } },
      'B042',
      'Windle Croft',
      [402.0, 398.4],
      null,
      [{ ...share('whole', 'Threlkeld Kitchen', '555 0154', OLD_COW), deposit: 200 }],
    ),
    killedDaysAgo: 6,
    progress: ['booked'],
  },
  {
    document: animal(
      { species: 'lamb', sex: 'wether', carcass: { condition: { type: 'grass' } } },
      'L207',
      'Brackenhow',
      [30.8, 30.4],
      [29.9, 29.5],
      [share('whole', 'Gwenna Sarn', '555 0155', HOUSE)],
    ),
    killedDaysAgo: 5,
    progress: ['part-packed'],
  },
  {
    document: animal({ species: 'lamb', carcass: { school: 'uk' } }, 'L208', 'Saltgate', [28.1, 27.7], null, [
      share('left', 'Aldous Finch', '555 0156', HOUSE),
      share('right', 'Rowena Tarr', '555 0157'),
    ]),
    killedDaysAgo: 1,
    progress: ['booked', 'booked'],
  },
];
