import Joi from 'joi';
import { handsOf, handWords, type Hand, type HandId } from '@/core/block/hand';
import { expectedPieces, type ExpectedPiece } from '@/core/block/pieces';
import { stepsOf, type BlockStep } from '@/core/block/steps';
import { leftOf, piecesWeighed, stepsDone, type BlockStepMark } from '@/core/block/work';
import { whoDid, type HandTask } from '@/core/block/handWork';
import { FULL, levelAt, type Level, type LevelGiven } from '@/core/block/levels';
import { drawingOf, type Drawing } from '@/core/block/drawing';
import type { ShareId } from '@/core/order/animal';
import { DEVIATION_REASONS, type DeviationReason } from '@/core/order/deviation';
import { animalWords, cutName } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { isChilling, planOf } from '@/core/order/standing';
import { success } from '@/core/quantity/result';
import { sumWeights, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import { decisionById, whyNotOffered } from '@/core/sheet/situation';
import { clockIn, instant } from '@/core/time/shopTime';
import { handWorkOf, pieceWeightsOf, stepMarksOf } from '@/data/block';
import { allStaff, levelsGiven } from '@/data/people';
import { noteReadsOf } from '@/data/wrap';
import { roleOf } from '../house/actor';
import { id } from '../house/fields';
import { cutFileOf } from '../house/shareView';
import { defineUseCase, STAFF, type House } from '../house/useCase';
import { namesOf, type NameOf } from '../ticket/names';
import { besideOf } from './beside';
import { handId } from './inHand';
import { levelIn } from './level';

/** A step with who did it; empty while it is to come. */
export type StepAtBlock = BlockStep & {
  readonly doneBy: string;
  readonly doneAt: string;
  /** Whoever did it was still learning then. */
  readonly byLearner: boolean;
  /** Whether the person who looks has come so far; else how it is done is not said. */
  readonly mayDo: boolean;
};

export type PieceAtBlock = ExpectedPiece & { readonly weighed: Weight | null; readonly typed: boolean };

/** A row of the sheet that can be done otherwise, and as what. */
export type OtherWays = {
  readonly decision: string;
  readonly title: string;
  readonly ways: readonly { readonly id: string; readonly label: string }[];
};

export type HandAtBlock = {
  readonly id: HandId;
  readonly words: string;
  readonly cold: Weight;
  readonly steps: number;
  readonly done: number;
};

export type BlockView = {
  /** ISO 8601, UTC. */
  readonly readAt: string;
  readonly shareId: ShareId;
  readonly name: string;
  readonly about: string;
  readonly unit: WeighingUnit;
  readonly started: boolean;
  /** Whether the person who looks cuts; others look on. */
  readonly mayCut: boolean;
  readonly closed: boolean;
  readonly whyNotReady: string;
  readonly chilling: boolean;
  /** Words that stop the cutter once, and who has read them, each with the time. */
  readonly words: string;
  readonly readBy: readonly string[];
  readonly isRead: boolean;
  readonly warnings: readonly string[];
  readonly cautions: readonly string[];
  readonly drawing: Drawing;
  readonly hands: readonly HandAtBlock[];
  readonly hand: HandId;
  readonly steps: readonly StepAtBlock[];
  readonly pieces: readonly PieceAtBlock[];
  /** Of the side in hand what has not been weighed yet. */
  readonly left: Weight;
  readonly otherWays: readonly OtherWays[];
  readonly reasons: readonly {
    readonly id: DeviationReason;
    readonly label: string;
    readonly out: boolean;
  }[];
  /** Who cut, boned and trimmed what is in hand, by name; empty where nobody has said. */
  readonly who: Readonly<Record<HandTask, string>>;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  /** What was done otherwise, in one line each. */
  readonly otherwise: readonly string[];
};

/** The break of a share, step by step, with what its customer wants at each, for the side that is in hand. */
export const blockView = defineUseCase<{ shareId: ShareId; hand?: HandId }, BlockView>({
  name: 'blockView',
  roles: STAFF,
  writes: false,
  input: Joi.object({ shareId: id, hand: handId }),
  run: async (house, { shareId, hand: wanted }) => {
    const found = await cutFileOf(house, shareId);
    if (!found.ok) return found;
    const file = found.value;
    const marks = await stepMarksOf(house.db, file.share.id);
    const hands = handsOf(file);
    const counted = await Promise.all(
      hands.map(async (hand) => {
        const beside = await besideOf(house, file, hand);
        return { hand, steps: stepsOf(hand, beside), done: stepsDone(marks, hand.id) };
      }),
    );
    const inHand = counted.find(({ hand }) => hand.id === wanted) ?? counted.find(isOpen) ?? counted[0]!;
    const nameOf = await namesOf(house, file);
    const given = await levelsGiven(house.db);
    const around = { file, nameOf, given, level: levelIn(house, given) };
    return success({
      readAt: instant(house.now),
      ...headOf(house, file),
      ...(await wordsOf(house, file, nameOf)),
      hands: counted.map(({ hand, steps, done }) => ({
        id: hand.id,
        words: handWords(file, hand),
        cold: sumWeights(hand.coldSides),
        steps: steps.length,
        done: steps.filter((step) => done.has(step.id)).length,
      })),
      hand: inHand.hand.id,
      steps: inHand.steps.map((step) => marked(step, inHand.done.get(step.id), around)),
      ...(await whoOf(house, { shareId: file.share.id, hand: inHand.hand.id, marks, nameOf })),
      ...(await piecesOf(house, file, inHand.hand)),
      drawing: drawingOf(inHand.hand),
      otherWays: waysOf(inHand.hand, inHand.steps),
      reasons: Object.entries(DEVIATION_REASONS).map(([reason, said]) => ({
        id: reason as DeviationReason,
        label: said.label,
        out: 'out' in said,
      })),
      otherwise: file.deviations.map(
        ({ asked, done, reason, actorId, at }) =>
          `${asked}: ${done}, ${DEVIATION_REASONS[reason].label}. ${nameOf(actorId)}, ${clockIn(file.shop.zone, at)}`,
      ),
    });
  },
});

function isOpen({
  steps,
  done,
}: {
  steps: readonly BlockStep[];
  done: ReadonlyMap<string, unknown>;
}): boolean {
  return steps.some((step) => !done.has(step.id));
}

function headOf({ now, actor }: House, file: ShareFile) {
  const { situation, sheet, sides, start, closing, animal } = file;
  const { species, unit, condition } = situation;
  const flags = condition?.flags ?? [];
  return {
    shareId: file.share.id,
    name: cutName(file),
    about: animalWords(file),
    unit,
    started: start !== undefined,
    mayCut: ['owner', 'cutter'].includes(roleOf(actor)),
    closed: closing !== undefined,
    whyNotReady: !sheet?.approved
      ? 'The sheet is not approved yet.'
      : sides.some((side) => !side.cold)
        ? 'The cold weight is missing.'
        : '',
    chilling: !start && isChilling(file, now),
    warnings: [
      ...species.flags.filter((flag) => flags.includes(flag.id)).map(({ sentence }) => sentence),
      ...(condition?.rite ? [`Kept apart: ${condition.rite}.`] : []),
      ...(animal.inspection === 'custom-exempt' ? ['Not for sale: for the owner’s household.'] : []),
    ],
    cautions: species.cautions.filter(({ where }) => where === 'block').map(({ text }) => text),
  };
}

async function wordsOf({ db, actor }: House, file: ShareFile, nameOf: NameOf) {
  const words = planOf(file).instructions;
  const reads = words === '' ? [] : await noteReadsOf(db, file.share.id);
  return {
    words,
    readBy: reads.map(({ actorId, at }) => `${nameOf(actorId)} ${clockIn(file.shop.zone, at)}`),
    isRead: words === '' || reads.some(({ actorId }) => actorId === actor.id),
  };
}

type Marked = Pick<BlockStepMark, 'actorId' | 'at'> | undefined;

type Around = {
  readonly file: ShareFile;
  readonly nameOf: NameOf;
  readonly given: readonly LevelGiven[];
  /** Of the person who looks. */
  readonly level: Level;
};

/** How a step is done, which a learner who has not come so far is not told. */
const UNTOLD = {
  ...{ where: '', with: '', hand: '', place: '', protect: '', wrong: '', look: '' },
  ...{ counted: null, line: { saw: [], knife: [] }, ask: ['', ''] as const },
};

function marked(step: BlockStep, mark: Marked, { file, nameOf, given, level }: Around): StepAtBlock {
  const mayDo = level >= step.level;
  return {
    ...step,
    ...(mayDo ? {} : UNTOLD),
    mayDo,
    doneBy: mark ? nameOf(mark.actorId) : '',
    doneAt: mark ? clockIn(file.shop.zone, mark.at) : '',
    byLearner: mark !== undefined && levelAt(given, mark.actorId, mark.at) < FULL,
  };
}

type Done = {
  readonly shareId: ShareId;
  readonly hand: HandId;
  readonly marks: readonly BlockStepMark[];
  readonly nameOf: NameOf;
};

async function whoOf(
  { db }: House,
  { shareId, hand, marks, nameOf }: Done,
): Promise<Pick<BlockView, 'who' | 'people'>> {
  const did = whoDid(await handWorkOf(db, shareId), marks, hand);
  const here = (await allStaff(db)).filter(({ state }) => state === 'here');
  return {
    who: {
      cut: nameOf(did.get('cut')),
      boned: nameOf(did.get('boned')),
      trimmed: nameOf(did.get('trimmed')),
    },
    people: here.map(({ id: personId, name }) => ({ id: personId, name })),
  };
}

async function piecesOf({ db }: House, { share }: ShareFile, hand: Hand) {
  const weighed = piecesWeighed(await pieceWeightsOf(db, share.id), hand.id);
  return {
    pieces: expectedPieces(hand).map((piece) => {
      const own = weighed.get(piece.id);
      return { ...piece, weighed: own?.net ?? null, typed: own?.origin === 'typed' };
    }),
    left: leftOf(sumWeights(hand.coldSides), weighed),
  };
}

function waysOf({ situation }: Hand, steps: readonly BlockStep[]): OtherWays[] {
  const rows = steps.flatMap(({ stays, off }) => [...off, ...stays]);
  const mine = rows.filter(
    ({ owner, isOpen: isUnanswered, isTaken }) => owner === '' && !isUnanswered && !isTaken,
  );
  return [...new Set(mine.map(({ decision }) => decision))].map((row) => {
    const decision = decisionById(situation.species, row);
    // What has the pieces of other rows was decided before the first cut.
    const ways = decision.options.filter(
      (option) => !option.takesOver && whyNotOffered(option, situation) === undefined,
    );
    return {
      decision: row,
      title: decision.title,
      ways: ways.map((way) => ({ id: way.id, label: way.label })),
    };
  });
}
