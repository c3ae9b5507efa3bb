import type { ForecastLine } from '@/core/forecast/types';
import { formatInches } from '@/core/quantity/length';
import type { WeighingPurpose } from '@/core/ledger/ledger';
import { formatWeight, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import type { Destination } from '@/core/species/types';
import type { WrapView } from '@/server/wrap';

export const SECTIONS = ['block', 'grinder', 'smokehouse', 'barrels'] as const;
export type Section = (typeof SECTIONS)[number];

export const SECTION_WORDS: Readonly<Record<Section, string>> = {
  block: 'From the block',
  grinder: 'From the grinder',
  smokehouse: 'From the smokehouse',
  barrels: 'Tub and barrels',
};

/** One thing that can be put on the scale next. */
export type Target = {
  readonly key: string;
  readonly section: Section;
  readonly title: string;
  readonly detail: string;
  readonly purpose: WeighingPurpose;
  readonly destination: Destination;
  readonly due: number;
  readonly made: number;
  /** One weighing of it is expected between these; null where nothing can be expected. */
  readonly band: { readonly low: Weight; readonly high: Weight } | null;
  /** Pieces in the next pack; null where nobody counts. */
  readonly pieces: number | null;
  /** Explained: nothing more is waited for. */
  readonly settled: boolean;
  /** Why it cannot be weighed yet. */
  readonly waits: string;
};

/** A pack may lie this far beside an even share of its line before the band warns: pieces are not all alike. */
const PACK_SPREAD = 0.25;

type Counted = Pick<WrapView['weighings'][number], 'kind' | 'source' | 'lineKey'>;

/** Everything due on a share, section by section, counting also what is still being sent. */
export function targetsOf(view: WrapView, pending: readonly Counted[]): Target[] {
  const weighed = [...view.weighings, ...pending];
  const count = (kind: Counted['kind'], match: (each: Counted) => boolean) =>
    weighed.filter((each) => each.kind === kind && match(each)).length;
  const fromLines = view.lines.flatMap((line) => {
    const packs = count('package', (each) => each.lineKey === line.key);
    const green = count('green', (each) => each.lineKey === line.key);
    const settled = view.settledLines.includes(line.key);
    if (line.cure === null) return [packTarget(view, line, { made: packs, settled, from: 'share' })];
    return [
      greenTarget(view, line, { made: green, settled }),
      {
        ...packTarget(view, line, { made: packs, settled, from: 'cure' }),
        waits: green === 0 ? 'green weight first' : '',
      },
    ];
  });
  return [
    ...fromLines,
    tubTarget(
      view,
      count('tub', () => true),
    ),
    ...barrelTargets(view, count),
  ];
}

function bandAround(expected: number): Target['band'] {
  return {
    low: Math.round(expected * (1 - PACK_SPREAD)) as Weight,
    high: Math.round(expected * (1 + PACK_SPREAD)) as Weight,
  };
}

function packTarget(
  view: WrapView,
  line: ForecastLine,
  { made, settled, from }: { made: number; settled: boolean; from: 'share' | 'cure' },
): Target {
  const isGrind = line.kind === 'grind';
  const left = line.pieces === null ? null : line.pieces - made * (line.piecesPerPack ?? 1);
  const perPack = line.pieces === null ? null : (line.piecesPerPack ?? 1);
  return {
    key: `package ${line.key}`,
    section: isGrind ? 'grinder' : from === 'cure' ? 'smokehouse' : 'block',
    title: line.cut,
    detail: detailOf(line, view.unit),
    purpose: { kind: 'package', from: isGrind ? 'tub' : from, lineKey: line.key },
    destination: line.destination,
    due: line.packs,
    made,
    band: bandAround(line.packWeight ?? line.packaged / Math.max(1, line.packs)),
    pieces: perPack === null ? null : Math.max(1, Math.min(perPack, left ?? perPack)),
    settled,
    waits: isGrind && view.inTub <= 0 && made === 0 ? 'weigh the trim tub first' : '',
  };
}

function detailOf(line: ForecastLine, unit: WeighingUnit): string {
  const parts = [
    line.thicknessIn === null ? '' : formatInches(line.thicknessIn),
    line.piecesPerPack === null ? '' : `${line.piecesPerPack} in a pack`,
    line.packWeight === null ? '' : `${formatWeight(line.packWeight).replace(/\.?0+$/, '')} ${unit} packs`,
  ];
  return parts.filter((part) => part !== '').join(', ') || 'whole';
}

function greenTarget(
  view: WrapView,
  line: ForecastLine,
  { made, settled }: { made: number; settled: boolean },
): Target {
  return {
    key: `green ${line.key}`,
    section: 'block',
    title: line.cut,
    detail: 'green, into the cure',
    purpose: { kind: 'green', lineKey: line.key },
    destination: 'cured',
    due: 1,
    made,
    band: bandAround(line.packaged + line.cureLoss),
    pieces: null,
    settled,
    waits: '',
  };
}

function tubTarget(view: WrapView, made: number): Target {
  return {
    key: 'tub',
    section: 'barrels',
    title: 'Trim tub',
    detail: 'lean and fat for the grind',
    purpose: { kind: 'tub' },
    destination: 'grind',
    due: 1,
    made,
    band: bandAround(view.expectedTub),
    pieces: null,
    settled: false,
    waits: '',
  };
}

const BARRELS = [
  ['bone', 'Bone barrel'],
  ['fat', 'Fat out'],
  ['skin', 'Skin'],
  ['inedible', 'Glands, condemned'],
] as const;

function barrelTargets(
  view: WrapView,
  count: (kind: Counted['kind'], match: (each: Counted) => boolean) => number,
): Target[] {
  return BARRELS.map(([barrel, title]) => ({
    key: barrel,
    section: 'barrels' as const,
    title,
    detail: 'of this animal only',
    purpose: { kind: 'barrel' as const, barrel },
    destination: 'lost' as const,
    due: view.losses[barrel] > 0 ? 1 : 0,
    made: count('barrel', (each) => each.source === barrel),
    band: view.losses[barrel] > 0 ? bandAround(view.losses[barrel]) : null,
    pieces: null,
    settled: false,
    waits: '',
  }));
}

/** Whether something of a target is still waited for. */
export function isDue(target: Target): boolean {
  return !target.settled && target.made < target.due;
}
