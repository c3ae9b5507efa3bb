import type { ForecastLine } from '@/core/forecast/types';
import { formatInches } from '@/core/quantity/length';
import type { WeighingPurpose } from '@/core/ledger/ledger';
import { listed } from '@/core/quantity/listed';
import { weightField, sumWeights, type Weight, type WeighingUnit } from '@/core/quantity/weight';
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

type Counted = Pick<WrapView['weighings'][number], 'kind' | 'source' | 'lineKey' | 'net'>;

/** What has been weighed of something: how often, and how much in all. */
type Sofar = { readonly made: number; readonly net: Weight };

/** Everything due on a share, section by section, counting also what is still being sent. */
export function targetsOf(view: WrapView, pending: readonly Counted[]): Target[] {
  const weighed = [...view.weighings, ...pending];
  const sofar = (kind: Counted['kind'], match: (each: Counted) => boolean): Sofar => {
    const found = weighed.filter((each) => each.kind === kind && match(each));
    return { made: found.length, net: sumWeights(found.map((each) => each.net)) };
  };
  const fromLines = view.lines.flatMap((line) => {
    const packs = sofar('package', (each) => each.lineKey === line.key && each.source !== 'ends').made;
    const green = sofar('green', (each) => each.lineKey === line.key);
    const settled = view.settledLines.includes(line.key);
    if (line.cure === null) return [packTarget(view, line, { made: packs, settled, from: 'share' })];
    return [
      greenTarget(view, line, { green, settled }),
      {
        ...packTarget(view, line, { made: packs, settled, from: 'cure' }),
        waits: green.made === 0 ? 'green weight first' : (view.inSmoke[line.key] ?? ''),
      },
      ...(packs > 0
        ? [
            endsTarget(
              line,
              sofar('package', (each) => each.lineKey === line.key && each.source === 'ends'),
            ),
          ]
        : []),
    ];
  });
  return [
    ...fromLines,
    tubTarget(
      view,
      sofar('tub', () => true),
    ),
    ...barrelTargets(view, sofar),
  ];
}

function bandAround(expected: number): Target['band'] {
  return {
    low: Math.round(expected * (1 - PACK_SPREAD)) as Weight,
    high: Math.round(expected * (1 + PACK_SPREAD)) as Weight,
  };
}

/**
 * What goes in bulk, into a tub, a cure or a barrel, comes in as many loads as it takes: both bellies of a whole hog, the
 * bones of a beef by the tub. Another load is due until about as much is there as was expected, none heavier than the
 * scale carries.
 */
function bulk({ made, net }: Sofar, expected: Weight, most: Weight): Pick<Target, 'due' | 'made' | 'band'> {
  if (expected <= 0) return { due: 0, made, band: null };
  const left = expected - net;
  if (made > 0 && left <= expected * PACK_SPREAD)
    return { due: made, made, band: bandAround(expected / made) };
  const loads = Math.max(1, Math.ceil(left / most));
  return { due: made + loads, made, band: bandAround(left / loads) };
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
    section: from === 'cure' ? 'smokehouse' : isGrind ? 'grinder' : 'block',
    title: line.cut,
    detail: view.asked.ofLine[line.key] || detailOf(line, view.unit),
    purpose: { kind: 'package', from: from === 'share' && isGrind ? 'tub' : from, lineKey: line.key },
    destination: line.destination,
    due: line.packs,
    made,
    band: bandAround(line.packWeight ?? line.packaged / Math.max(1, line.packs)),
    pieces: perPack === null ? null : Math.max(1, Math.min(perPack, left ?? perPack)),
    settled,
    waits: isGrind ? waitsForTub(view, made) : '',
  };
}

/** What slicing left over: the owner's as well, and waited for by nobody. */
function endsTarget(line: ForecastLine, { made }: Sofar): Target {
  return {
    key: `ends ${line.key}`,
    section: 'smokehouse',
    title: `${line.cut}, ends`,
    detail: 'ends and pieces, the owner’s',
    purpose: { kind: 'package', from: 'ends', lineKey: line.key },
    destination: line.destination,
    due: made,
    made,
    band: null,
    pieces: null,
    settled: false,
    waits: '',
  };
}

function waitsForTub(view: WrapView, made: number): string {
  return view.inTub <= 0 && made === 0 ? 'weigh the trim tub first' : '';
}

function detailOf(line: ForecastLine, unit: WeighingUnit): string {
  const parts = [
    line.thicknessIn === null ? '' : formatInches(line.thicknessIn),
    line.piecesPerPack === null ? '' : `${line.piecesPerPack} in a pack`,
    line.packWeight === null ? '' : `${weightField(line.packWeight)} ${unit} packs`,
  ];
  return parts.filter((part) => part !== '').join(', ') || 'whole';
}

function greenTarget(
  view: WrapView,
  line: ForecastLine,
  { green, settled }: { green: Sofar; settled: boolean },
): Target {
  const isGrind = line.kind === 'grind';
  return {
    key: `green ${line.key}`,
    section: isGrind ? 'grinder' : 'block',
    title: line.cut,
    detail: isGrind
      ? 'stuffed, into the smoke'
      : ['green, into the cure', view.asked.ofLine[line.key] ?? ''].filter((said) => said !== '').join('; '),
    purpose: { kind: 'green', ...(isGrind ? { from: 'tub' } : {}), lineKey: line.key },
    destination: 'cured',
    ...bulk(green, (line.packaged + line.cureLoss) as Weight, view.scaleMost),
    pieces: null,
    settled,
    waits: isGrind ? waitsForTub(view, green.made) : '',
  };
}

function tubTarget(view: WrapView, tub: Sofar): Target {
  return {
    key: 'tub',
    section: 'barrels',
    title: 'Trim tub',
    detail: view.asked.toTub.length > 0 ? `with ${listed(view.asked.toTub)}` : 'lean and fat for the grind',
    purpose: { kind: 'tub' },
    destination: 'grind',
    ...bulk(tub, view.expectedTub, view.scaleMost),
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
  sofar: (kind: Counted['kind'], match: (each: Counted) => boolean) => Sofar,
): Target[] {
  return BARRELS.map(([barrel, title]) => ({
    key: barrel,
    section: 'barrels' as const,
    title,
    detail: `to ${view.barrels[barrel]}`,
    purpose: { kind: 'barrel' as const, barrel },
    destination: 'lost' as const,
    ...bulk(
      sofar('barrel', (each) => each.source === barrel),
      view.losses[barrel],
      view.scaleMost,
    ),
    pieces: null,
    settled: false,
    waits: '',
  }));
}

/** Whether something of a target is still waited for. */
export function isDue(target: Target): boolean {
  return !target.settled && target.made < target.due;
}
