import { cureStanding, type CureFile, type CureGround } from '../curing/inCure';
import type { Weighing } from '../order/work';
import { sumWeights, type Weight } from '../quantity/weight';
import { loadStanding, type SmokeFile } from './load';

/** Scales have divisions: so much more than was weighed before may come out, as a share of it. */
const SCALES_DIFFER = 0.005;

/** Brine adds to what is cured: where nobody recorded how much, more than this share of it was never in it. */
const ADDED_BY_CURE = 0.1;

/** Everything of a share that is weighed, cured and smoked. */
export type Smoked = {
  readonly weighings: readonly Weighing[];
  readonly cures: readonly CureFile[];
  readonly smokes: readonly SmokeFile[];
};

/** How a green piece stands on its way through cure and smoke. */
export type Passage = {
  readonly piece: Weighing;
  /** What it weighed last on its way. */
  readonly weight: Weight;
  /** Why nothing of it may be packed yet; empty where it may. */
  readonly waits: string;
  /** Whether a cure or a load of it is on record. */
  readonly isRecorded: boolean;
};

/**
 * How far each green piece of a line is on its way. One of which no cure and no load is on record waits for nothing that
 * is known here.
 */
export function passagesOf(
  { weighings, cures, smokes }: Smoked,
  lineKey: string,
  ground: CureGround,
): Passage[] {
  return weighings
    .filter((each) => each.kind === 'green' && each.lineKey === lineKey)
    .map((piece) => {
      const file = cures.find(({ cure }) => cure.weighingId === piece.id);
      const standing = file && cureStanding(file.cure, file.events, ground);
      const load = loadOf(smokes, piece);
      const smoked = load?.standing.pieces.find(({ weighingId }) => weighingId === piece.id)?.smoked;
      return {
        piece,
        weight: smoked ?? standing?.drained ?? standing?.pumped ?? piece.net,
        waits: (file && whyInCure(file, ground)) || (load ? whyInSmoke(load) : ''),
        isRecorded: file !== undefined || load !== undefined,
      };
    });
}

/** The last load that a piece hung in, as it stands. */
export function loadOf(smokes: readonly SmokeFile[], { id }: Pick<Weighing, 'id'>) {
  const found = smokes
    .map((file) => ({ file, standing: loadStanding(file.load, file.events) }))
    .filter(({ standing }) => standing.pieces.some(({ weighingId }) => weighingId === id));
  return found.at(-1);
}

/** Why a piece does not leave its cure; empty where it has. */
export function whyInCure({ cure, events, mixHeld }: CureFile, ground: CureGround): string {
  const { held, out, due, ppm, limit, verdict } = cureStanding(cure, events, ground);
  if (verdict === 'over')
    return `${Math.round(ppm)} ppm of nitrite, where ${limit} is the limit: it goes to nobody.`;
  if (held !== '') return `It is held: ${held}. The owner releases it.`;
  if (mixHeld !== '')
    return `What it was cured in, lot ${cure.mixLot}, is held: ${mixHeld}. The owner releases it.`;
  return out === null ? `It lies in its cure: due out on ${due}.` : '';
}

function whyInSmoke({ file, standing }: NonNullable<ReturnType<typeof loadOf>>): string {
  const { held, ended } = standing;
  if (held.length > 0) return `Load ${file.load.lot} is held: ${held[0]} The owner releases it.`;
  return ended === null ? `It hangs in load ${file.load.lot}, which is not out yet.` : '';
}

/** What may be packed of a line now: the weight of what is through, and why the rest waits. */
export type Through = {
  /** Out of so much green weight. */
  readonly green: Weight;
  /** The most that can come out: what it weighed last, and of what nobody recorded a little more than green. */
  readonly most: Weight;
  /** The first reason why something waits; empty where nothing does. */
  readonly waits: string;
};

export function throughOf(smoked: Smoked, lineKey: string, ground: CureGround): Through {
  const passages = passagesOf(smoked, lineKey, ground);
  const through = passages.filter(({ waits }) => waits === '');
  return {
    green: sumWeights(through.map(({ piece }) => piece.net)),
    most: Math.round(
      through.reduce(
        (sum, { piece, weight, isRecorded }) =>
          sum + (isRecorded ? weight * (1 + SCALES_DIFFER) : piece.net * (1 + ADDED_BY_CURE)),
        0,
      ),
    ) as Weight,
    waits: passages.find(({ waits }) => waits !== '')?.waits ?? '',
  };
}
