import { gramsWords, type BatchFile } from '../grindroom/batch';
import { degreesWords } from '../order/deepTemperature';
import { isOwn } from '../order/settling';
import type { ShareFile } from '../order/shareFile';
import { netOf } from '../order/standing';
import type { Weighing } from '../order/work';
import { formatWeight, sumWeights, type Weight, type WeighingUnit } from '../quantity/weight';
import type { Instant } from '../time/shopTime';

/** One step of the way back from a pack to its animal. */
export type BackStep = {
  readonly of: 'pack' | 'cure' | 'batch' | 'ingredient' | 'tub' | 'block' | 'side' | 'animal';
  readonly words: string;
  /** Null where nobody noted a time. */
  readonly at: Instant | null;
  /** Who did it, and who looked besides; empty where nobody is known. */
  readonly by: readonly string[];
};

/**
 * Where a pack comes from, the latest first: what it came out of, what was mixed into it, when its side was weighed and
 * how warm it was, and its animal.
 *
 * @param pack - a package of the file
 */
export function wayBack(file: ShareFile, pack: Weighing): BackStep[] {
  const { unit } = file.shop;
  const show = (net: Weight) => `${formatWeight(net, unit)} ${unit}`;
  const weighed = ({ at, actorId }: Pick<Weighing, 'at' | 'actorId'>) => ({ at, by: [actorId] });
  const batch = file.batches.find((each) => each.batch.lineKey === pack.lineKey);
  const isGround = batch !== undefined || pack.source === 'tub';
  const green = file.weighings.filter(({ kind, lineKey }) => kind === 'green' && lineKey === pack.lineKey);
  const tub = file.weighings.filter(({ kind }) => kind === 'tub');
  return [
    {
      of: 'pack',
      words: `no. ${pack.serial}, ${pack.cut}, ${show(pack.net)}, on ${pack.scaleId}`,
      ...weighed(pack),
    },
    ...green.map((each): BackStep => ({
      of: 'cure',
      words: `green ${show(each.net)}, into cure or smoke`,
      ...weighed(each),
    })),
    ...(batch ? ofBatch(batch, unit) : []),
    ...(isGround
      ? tub.map((each): BackStep => ({ of: 'tub', words: `trim ${show(each.net)}`, ...weighed(each) }))
      : []),
    ...ofBlock(file),
    ...file.sides.flatMap((side) => ofSide(side, unit)),
    ofAnimal(file),
  ];
}

/** A batch with everything that went into it, the last first. */
function ofBatch({ batch, events }: BatchFile, unit: WeighingUnit): BackStep[] {
  const steps = events.flatMap((event): BackStep[] => {
    const done = { at: event.at, by: [event.actorId] };
    if (event.kind === 'meat') {
      return [
        { of: 'batch', words: `meat ${formatWeight(event.net, unit)} ${unit} out of its own tub`, ...done },
      ];
    }
    if (event.kind === 'held') return [{ of: 'batch', words: `held: ${event.reason}`, ...done }];
    if (event.kind === 'released') return [{ of: 'batch', words: `released: ${event.reason}`, ...done }];
    return [];
  });
  return [
    { of: 'batch', words: `lot ${batch.lot}, ${batch.recipe.name}`, at: batch.at, by: [batch.actorId] },
    ...ingredientsOf(events).map(({ ingredient, tenths, lot, at, by }): BackStep => ({
      of: 'ingredient',
      words: `${ingredient} ${gramsWords(tenths)}, ${lot === '' ? 'lot not said' : `lot ${lot}`}`,
      at,
      by,
    })),
    ...steps.reverse(),
  ];
}

type InBatch = {
  readonly ingredient: string;
  readonly tenths: number;
  readonly lot: string;
  readonly at: Instant;
  readonly by: readonly string[];
};

/** What is in a batch after all that was put in and taken out again. */
export function ingredientsOf(events: BatchFile['events']): InBatch[] {
  const inIt = new Map<string, InBatch>();
  for (const event of events) {
    if (event.kind === 'again') inIt.delete(event.ingredient);
    if (event.kind === 'ingredient') {
      const { ingredient, tenths, lot, at, actorId } = event;
      inIt.set(ingredient, { ingredient, tenths, lot, at, by: [actorId] });
    }
    const looked = event.kind === 'second' ? inIt.get(event.ingredient) : undefined;
    if (looked) inIt.set(looked.ingredient, { ...looked, by: [...looked.by, event.actorId] });
  }
  return [...inIt.values()];
}

function ofBlock({ start }: ShareFile): BackStep[] {
  return start ? [{ of: 'block', words: 'taken to the block', at: start.at, by: [start.actorId] }] : [];
}

function ofSide(
  { side, hot, cold, deep, found }: ShareFile['sides'][number],
  unit: WeighingUnit,
): BackStep[] {
  const ticket = (words: string, of: typeof hot): BackStep[] =>
    of
      ? [
          {
            of: 'side',
            words: `${side.position} side ${words} ${formatWeight(netOf(of), unit)} ${unit}`,
            at: of.at,
            by: [of.actorId],
          },
        ]
      : [];
  return [
    ...ticket('cold', cold),
    ...(deep
      ? [
          {
            of: 'side' as const,
            words: `${side.position} side ${degreesWords(deep.tenthsF, unit)} inside, by ${deep.origin === 'probe' ? 'the probe' : 'hand'}`,
            at: deep.at,
            by: [deep.actorId],
          },
        ]
      : []),
    ...ticket('hot', hot),
    ...(found.length > 0
      ? [
          {
            of: 'side' as const,
            words: `${side.position} side: ${found.length} found on it`,
            at: null,
            by: [],
          },
        ]
      : []),
  ];
}

function ofAnimal({ animal, situation }: ShareFile): BackStep {
  const words = `${situation.species.name} ${animal.tag} of ${animal.farm.name}, killed ${animal.killDate}, ${animal.inspection}`;
  return { of: 'animal', words, at: null, by: [] };
}

/** A household with the packs of it that something reached. */
export type Reached = {
  readonly shareId: string;
  readonly owner: string;
  readonly phone: string;
  readonly tag: string;
  /** They may have gone home. */
  readonly isGone: boolean;
  readonly packs: readonly { readonly serial: number; readonly cut: string; readonly net: Weight }[];
  readonly weight: Weight;
};

/**
 * The packs of a household, all of them, or those of some lines; packs that are not shared out yet are each household's
 * that is cut as one with it.
 *
 * @param lines - keys of the plan; everything where it is left out
 */
export function reachedOf(file: ShareFile, lines?: ReadonlySet<string>): Reached | undefined {
  const packs = file.weighings
    .filter(({ kind, lineKey }) => kind === 'package' && (lines?.has(lineKey) ?? true))
    .filter((each) => isOwn(file, each));
  if (packs.length === 0) return undefined;
  const { share, animal } = file;
  return {
    shareId: share.id,
    owner: share.owner.name,
    phone: share.contact.phone ?? share.owner.phone ?? '',
    tag: animal.tag,
    isGone: file.pickUp !== undefined,
    packs: packs.map(({ serial, cut, net }) => ({ serial, cut, net })),
    weight: sumWeights(packs.map(({ net }) => net)),
  };
}

/** The lines of a share whose batches a lot of an ingredient is in. */
export function linesOfLot({ batches }: Pick<ShareFile, 'batches'>, lot: string): ReadonlySet<string> {
  const said = lot.toLowerCase();
  return new Set(
    batches
      .filter(
        ({ batch, events }) =>
          batch.lot.toLowerCase() === said ||
          ingredientsOf(events).some((each) => each.lot.toLowerCase() === said),
      )
      .map(({ batch }) => batch.lineKey),
  );
}
