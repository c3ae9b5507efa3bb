import type { CureMixFile } from '../curing/cureMix';
import { cureStanding, type CureEvent, type CureGround } from '../curing/inCure';
import { gramsWords } from '../curing/ingredients';
import type { BatchFile } from '../grindroom/batch';
import { drawnByGrade, gradeOf, gradeOfWeighing, gradeWords, type Grade } from '../grindroom/tubs';
import { degreesWords } from '../order/deepTemperature';
import type { ShareId } from '../order/animal';
import { isOwn } from '../order/settling';
import type { ShareFile } from '../order/shareFile';
import { netOf } from '../order/standing';
import type { Weighing } from '../order/work';
import { inSentence } from '../quantity/inSentence';
import { formatWeight, sumWeights, type Weight, type WeighingUnit } from '../quantity/weight';
import type { Instant } from '../time/shopTime';

/** One step of the way back from a pack to its animal. */
export type BackStep = {
  readonly of: 'pack' | 'smoke' | 'cure' | 'batch' | 'ingredient' | 'tub' | 'block' | 'side' | 'animal';
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
export function wayBack(file: ShareFile, pack: Weighing, ground: TraceGround): BackStep[] {
  const { unit } = file.shop;
  const show = (net: Weight) => `${formatWeight(net, unit)} ${unit}`;
  const weighed = ({ at, actorId }: Pick<Weighing, 'at' | 'actorId'>) => ({ at, by: [actorId] });
  const batch = file.batches.find((each) => each.batch.lineKey === pack.lineKey);
  const isGround = batch !== undefined || pack.source === 'tub';
  const green = file.weighings.filter(({ kind, lineKey }) => kind === 'green' && lineKey === pack.lineKey);
  const tub = tubsBehind(file, batch);
  return [
    {
      of: 'pack',
      words: `no. ${pack.serial}, ${pack.cut}, ${show(pack.net)}, on ${pack.scaleId}`,
      ...weighed(pack),
    },
    ...green.flatMap((each): BackStep[] => [
      ...ofSmoke(file, each),
      ...ofCure(file, each, ground),
      { of: 'cure', words: `green ${show(each.net)}, into cure or smoke`, ...weighed(each) },
    ]),
    ...(batch ? ofBatch(batch, unit) : []),
    ...(isGround ? tub.map((each) => tubStep(each, unit)) : []),
    ...ofBlock(file),
    ...file.sides.flatMap((side) => ofSide(side, unit)),
    ofAnimal(file),
  ];
}

/** Which of several tubs; nothing where trim was not parted. */
function ofGrade(grade: Grade): string {
  return grade === '' ? '' : `: ${inSentence(gradeWords(grade))}`;
}

/** Trim that a pack came out of: of parted tubs those that its batch has drawn from. */
function tubsBehind({ weighings }: ShareFile, batch: BatchFile | undefined): Weighing[] {
  const drawn = batch && new Set(drawnByGrade(batch.events).map(({ grade }) => grade));
  return weighings.filter((each) => {
    const grade = gradeOfWeighing(each);
    return grade !== undefined && (drawn?.has(grade) ?? grade === '');
  });
}

/** Where meat of another owner in a pooled batch comes from: its tubs, its side, its animal. */
export function wayBackOfPooled(file: ShareFile, lineKey: string): BackStep[] {
  const { unit } = file.shop;
  const batch = file.batches.find((each) => each.batch.lineKey === lineKey);
  return [
    ...(batch ? ofBatch(batch, unit).filter(({ of }) => of === 'batch') : []),
    ...tubsBehind(file, batch).map((each) => tubStep(each, unit)),
    ...ofBlock(file),
    ...file.sides.flatMap((side) => ofSide(side, unit)),
    ofAnimal(file),
  ];
}

function tubStep({ cut, net, at, actorId }: Weighing, unit: WeighingUnit): BackStep {
  return { of: 'tub', words: `${inSentence(cut)} ${formatWeight(net, unit)} ${unit}`, at, by: [actorId] };
}

/** What a trace stands on besides the share: limits of nitrite, and the brines and rubs its pieces lay in. */
export type TraceGround = CureGround & { readonly mixes: readonly CureMixFile[] };

/** Loads that a piece hung in, the last first: their posts, why they were held and who let them go. */
function ofSmoke({ smokes, shop: { unit } }: ShareFile, piece: Weighing): BackStep[] {
  const hung = smokes.filter(({ events }) =>
    events.some((event) => event.kind === 'in' && event.weighingId === piece.id),
  );
  return hung.toReversed().flatMap(({ load, events }): BackStep[] => {
    const steps = events.flatMap((event): BackStep[] => {
      const step = (words: string): BackStep[] => [{ of: 'smoke', words, at: event.at, by: [event.actorId] }];
      switch (event.kind) {
        case 'smoked':
          return event.weighingId === piece.id
            ? step(`out of the smoke ${formatWeight(event.net, unit)} ${unit}`)
            : [];
        case 'ended':
          return step(event.holds[0] === undefined ? 'kept its plan' : event.holds.join(' '));
        case 'held':
        case 'released':
          return step(`${event.kind}: ${event.reason}`);
        case 'lit':
          return step('lit');
        case 'in':
          return event.weighingId === piece.id
            ? step(event.trolley === '' ? 'hung in it' : `hung in it, trolley ${event.trolley}`)
            : [];
        default:
          return [];
      }
    });
    return [
      ...steps.toReversed(),
      { of: 'smoke', words: `load ${load.lot}, ${load.plan.name}`, at: load.at, by: [load.actorId] },
    ];
  });
}

/** The cure that a piece lay in, the last first, with what was in it. */
function ofCure(
  { cures, shop: { unit } }: ShareFile,
  piece: Weighing,
  { mixes, ...ground }: TraceGround,
): BackStep[] {
  const found = cures.find(({ cure }) => cure.weighingId === piece.id);
  if (!found) return [];
  const { cure, events } = found;
  const { ppm, limit } = cureStanding(cure, events, ground);
  const show = (net: Weight) => `${formatWeight(net, unit)} ${unit}`;
  const steps = events.flatMap((event): BackStep[] => {
    const words = CURE_STEP_WORDS[event.kind](event, show);
    return words === '' ? [] : [{ of: 'cure', words, at: event.at, by: [event.actorId] }];
  });
  const mix = mixes.find(({ mix: { id } }) => id === cure.mixId);
  return [
    ...steps.toReversed(),
    {
      of: 'cure',
      words: `lot ${cure.lot}, ${cure.recipe.name}, ${Math.round(ppm)} ppm of ${limit}, ${cure.place}`,
      at: cure.at,
      by: [cure.actorId],
    },
    ...(mix
      ? ingredientsOf(mix.events).map(({ ingredient, tenths, lot, at, by }): BackStep => ({
          of: 'ingredient',
          words: `${ingredient} ${gramsWords(tenths)} in ${mix.mix.lot}, ${lot === '' ? 'lot not said' : `lot ${lot}`}`,
          at,
          by,
        }))
      : []),
  ];
}

type Show = (net: Weight) => string;
type CureStepWords = {
  readonly [Kind in CureEvent['kind']]: (event: CureEvent, show: Show) => string;
};

const reasonWords = (event: CureEvent) => ('reason' in event ? `${event.kind}: ${event.reason}` : '');

const CURE_STEP_WORDS: CureStepWords = {
  pumped: (event, show) => ('net' in event ? `pumped ${show(event.net)}` : ''),
  drained: (event, show) => ('net' in event ? `drained ${show(event.net)}` : ''),
  turned: () => '',
  moved: (event) => ('place' in event ? `moved to ${event.place}` : ''),
  out: () => 'out of the cure',
  held: reasonWords,
  released: reasonWords,
  noted: (event) => ('words' in event ? event.words : ''),
};

/** A batch with everything that went into it, the last first. */
function ofBatch({ batch, events }: BatchFile, unit: WeighingUnit): BackStep[] {
  const steps = events.flatMap((event): BackStep[] => {
    const done = { at: event.at, by: [event.actorId] };
    if (event.kind === 'meat') {
      return [
        {
          of: 'batch',
          words: `meat ${formatWeight(event.net, unit)} ${unit} out of its own tub${ofGrade(gradeOf(event))}`,
          ...done,
        },
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
  /** More of it was to come. */
  readonly isPart: boolean;
};

/** What is in a batch, a brine or a rub after all that was put in and taken out again. */
export function ingredientsOf(
  events: readonly (BatchFile['events'][number] | CureMixFile['events'][number])[],
): InBatch[] {
  const inIt = new Map<string, InBatch>();
  for (const event of events) {
    if (event.kind === 'again') inIt.delete(event.ingredient);
    if (event.kind === 'ingredient') {
      const { ingredient, tenths, lot, at, actorId } = event;
      const before = inIt.get(ingredient);
      // What was poured in parts is one weight.
      const poured = before?.isPart ? before.tenths : 0;
      const isPart = event.part === true;
      inIt.set(ingredient, { ingredient, tenths: poured + tenths, lot, at, by: [actorId], isPart });
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
  readonly shareId: ShareId;
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
  // What a lot is in but nothing was packed of is theirs as well: it lies here, in a cure or a tub.
  const isInWork = lines !== undefined && lines.size > 0;
  if (packs.length === 0 && !isInWork) return undefined;
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

/** The lines of a share that a lot reached: of a batch, a piece, a load, or of what is in any of them. */
export function linesOfLot(
  { batches, cures, smokes, weighings }: Pick<ShareFile, 'batches' | 'cures' | 'smokes' | 'weighings'>,
  lot: string,
  mixes: readonly CureMixFile[],
): ReadonlySet<string> {
  const said = lot.toLowerCase();
  const isIt = (each: { readonly lot: string }) => each.lot.toLowerCase() === said;
  const reachedMixes = new Set(
    mixes.filter(({ mix, events }) => isIt(mix) || ingredientsOf(events).some(isIt)).map(({ mix }) => mix.id),
  );
  const hung = new Set(
    smokes
      .filter(({ load }) => isIt(load))
      .flatMap(({ events }) => events.flatMap((event) => (event.kind === 'in' ? [event.weighingId] : []))),
  );
  return new Set([
    ...batches
      .filter(({ batch, events }) => isIt(batch) || ingredientsOf(events).some(isIt))
      .map(({ batch }) => batch.lineKey),
    ...cures.filter(({ cure }) => isIt(cure) || reachedMixes.has(cure.mixId)).map(({ cure }) => cure.lineKey),
    ...weighings.filter(({ id }) => hung.has(id)).map(({ lineKey }) => lineKey),
  ]);
}
