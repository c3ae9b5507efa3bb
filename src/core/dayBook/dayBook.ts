import { gramsWords } from '../curing/ingredients';
import type { CureMixDeed } from '../curing/cureMix';
import type { CureDeed } from '../curing/inCure';
import type { BatchDeed } from '../grindroom/batch';
import { degreesWords } from '../order/deepTemperature';
import { counted } from '../quantity/counted';
import { formatWeight, type Weight, type WeighingUnit } from '../quantity/weight';
import type { SmokeDeed } from '../smokehouse/load';
import type { Day, Instant } from '../time/shopTime';

/** The parts of an inspector's book of a day, in their order. */
export const DAY_SECTIONS = [
  'receiving',
  'temperatures',
  'grinding',
  'curing',
  'smoking',
  'cleaning',
  'holds',
  'corrections',
] as const;
export type DaySection = (typeof DAY_SECTIONS)[number];

export const DAY_SECTION_WORDS: Readonly<Record<DaySection, string>> = {
  receiving: 'Received',
  temperatures: 'Temperatures',
  grinding: 'Grind room',
  curing: 'Brines, rubs and cures',
  smoking: 'Smokehouse',
  cleaning: 'Cleaned',
  holds: 'Held and released',
  corrections: 'Corrected and taken back',
};

/** Something that happened on a day, as it was written down; each names whose or what it was. */
export type Happening = { readonly at: Instant; readonly actorId: string } & (
  | {
      readonly of: 'ticket';
      readonly kind: 'hot' | 'cold';
      readonly side: string;
      readonly net: Weight;
      readonly remark: string;
      /** It stands in place of an earlier ticket. */
      readonly corrects: boolean;
    }
  | { readonly of: 'deep'; readonly side: string; readonly tenthsF: number; readonly origin: string }
  | { readonly of: 'rail'; readonly kind: 'held' | 'let go'; readonly side: string; readonly reason: string }
  | {
      readonly of: 'ingredient';
      readonly ingredient: string;
      readonly lot: string;
      readonly supplier: string;
      readonly tenths: number;
      readonly bestBy: Day | null;
    }
  | {
      readonly of: 'begun';
      readonly what: 'batch' | 'mix' | 'cure' | 'load';
      readonly lot: string;
      readonly words: string;
    }
  | { readonly of: 'batch'; readonly lot: string; readonly deed: BatchDeed }
  | { readonly of: 'mix'; readonly lot: string; readonly deed: CureMixDeed }
  | { readonly of: 'cure'; readonly lot: string; readonly deed: CureDeed }
  | { readonly of: 'load'; readonly lot: string; readonly deed: SmokeDeed }
  | {
      readonly of: 'cleaned';
      readonly place: string;
      readonly what: string;
      readonly minutes: number | null;
    }
  | { readonly of: 'void'; readonly cut: string; readonly net: Weight; readonly reason: string }
  | {
      readonly of: 'correction';
      readonly field: string;
      readonly was: string;
      readonly now: string;
      readonly reason: string;
    }
  | {
      readonly of: 'drill';
      readonly words: string;
      readonly households: number;
      readonly minutes: number | null;
    }
);

/** One line of a day's book. */
export type DayEntry = {
  readonly at: Instant;
  readonly section: DaySection;
  readonly words: string;
  readonly by: readonly string[];
};

/** The book of a day: what happened, in the order of its parts and of the clock, and who signed it. */
export type DayBook = {
  readonly shop: string;
  readonly establishment: string | null;
  readonly zone: string;
  readonly day: Day;
  readonly entries: readonly DayEntry[];
  readonly signed: readonly { readonly at: Instant; readonly by: string; readonly words: string }[];
};

/** What happened, line by line; what says nothing to an inspector has no line. */
export function entriesOf(
  happenings: readonly Happening[],
  { unit, names }: { readonly unit: WeighingUnit; readonly names: ReadonlyMap<string, string> },
): DayEntry[] {
  const name = (id: string) => names.get(id) ?? 'somebody';
  const entries = happenings.flatMap((each): DayEntry[] => {
    const line = lineOf(each, unit);
    if (!line) return [];
    const [section, words] = line;
    return [{ at: each.at, section, words, by: [name(each.actorId)] }];
  });
  const place = (section: DaySection) => DAY_SECTIONS.indexOf(section);
  return entries.sort(
    (a, b) => place(a.section) - place(b.section) || (a.at < b.at ? -1 : a.at > b.at ? 1 : 0),
  );
}

type Line = readonly [DaySection, string] | undefined;

function lineOf(each: Happening, unit: WeighingUnit): Line {
  const show = (net: Weight) => `${formatWeight(net, unit)} ${unit}`;
  switch (each.of) {
    case 'ticket': {
      const words = `${each.side} ${each.kind} ${show(each.net)}${each.remark === '' ? '' : `, ${each.remark}`}`;
      if (each.corrects) return ['corrections', `ticket anew: ${words}`];
      return each.kind === 'hot' ? ['receiving', words] : undefined;
    }
    case 'deep':
      return [
        'temperatures',
        `${each.side} inside ${degreesWords(each.tenthsF, unit)}, by ${each.origin === 'probe' ? 'the probe' : 'hand'}`,
      ];
    case 'rail':
      return ['holds', `${each.side} ${each.kind}${each.reason === '' ? '' : `: ${each.reason}`}`];
    case 'ingredient':
      return [
        'receiving',
        `${each.ingredient} ${gramsWords(each.tenths)}, lot ${each.lot}, from ${each.supplier}${each.bestBy ? `, best by ${each.bestBy}` : ''}`,
      ];
    case 'begun':
      return [BEGUN_IN[each.what], `${each.lot} begun: ${each.words}`];
    case 'batch':
    case 'mix':
    case 'cure':
    case 'load':
      return deedLine(each, show);
    case 'cleaned':
      return [
        'cleaning',
        `${each.place}: ${each.what}${each.minutes === null ? '' : `, ${each.minutes} min`}`,
      ];
    case 'void':
      return ['corrections', `taken back: ${each.cut} ${show(each.net)}, ${each.reason || 'no reason said'}`];
    case 'correction':
      return [
        'corrections',
        `${each.field}: ${each.was || 'nothing'} to ${each.now || 'nothing'}, ${each.reason}`,
      ];
    case 'drill':
      return [
        'holds',
        `drill of a recall of ${each.words}: ${counted(each.households, 'household')}${each.minutes === null ? '' : `, ${each.minutes} min`}`,
      ];
  }
}

const BEGUN_IN = { batch: 'grinding', mix: 'curing', cure: 'curing', load: 'smoking' } as const;

type Deeds = Extract<Happening, { of: 'batch' | 'mix' | 'cure' | 'load' }>;

function deedLine({ of, lot, deed }: Deeds, show: (net: Weight) => string): Line {
  const section = BEGUN_IN[of];
  switch (deed.kind) {
    case 'held':
    case 'released':
      return ['holds', `${lot} ${deed.kind}: ${deed.reason}`];
    case 'ingredient': {
      const from = deed.lot === '' ? 'lot not said' : `lot ${deed.lot}`;
      const otherwise = deed.otherwise === '' ? '' : `, otherwise: ${deed.otherwise}`;
      return [section, `${lot}: ${deed.ingredient} ${gramsWords(deed.tenths)}, ${from}${otherwise}`];
    }
    case 'second':
      return [section, `${lot}: ${deed.ingredient} seen by a second person`];
    case 'again':
      return [section, `${lot}: ${deed.ingredient} taken out again`];
    case 'meat':
      return [section, `${lot}: meat ${show(deed.net)}`];
    case 'pumped':
    case 'drained':
      return [section, `${lot} ${deed.kind} ${show(deed.net)}`];
    case 'smoked':
      return [section, `${lot}: out of the smoke ${show(deed.net)}`];
    case 'out':
      return [section, of === 'load' ? `${lot}: a piece out again` : `${lot} out of its cure`];
    case 'moved':
      return [section, `${lot} moved to ${deed.place}`];
    case 'noted':
      return [section, `${lot}: ${deed.words}`];
    case 'ended':
      return deed.holds.length === 0
        ? [section, `${lot} kept its plan`]
        : ['holds', `${lot} held by its plan: ${deed.holds.join(' ')}`];
    case 'lit':
      return [section, `${lot} lit${deed.channel === 0 ? ', read by hand' : ''}`];
    case 'mixed':
    case 'closed':
      return [section, `${lot} ${deed.kind}`];
    case 'head':
      return [section, `${lot}: head opened`];
    case 'turned':
    case 'in':
      return undefined;
  }
}
