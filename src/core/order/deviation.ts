import type { Weight } from '../quantity/weight';
import type { Instant } from '../time/shopTime';
import type { ShareId } from './animal';

/** What the household is told of a deviation; each as it stands inside a sentence. */
export type Told = {
  /** `round steaks` */
  readonly cut: string;
  readonly asked: string;
  readonly done: string;
  /** `1.4 lb`; of all that there was where no weight was said. */
  readonly weight: string;
  readonly days: number;
  /** By the shop's calendar. */
  readonly day: string;
};

type ReasonWords = {
  /** As it is pressed at the block. */
  readonly label: string;
  /** When it is true. */
  readonly when: string;
  /** Whether the shop is to blame: then it is said first and plainly. */
  readonly ours?: true;
  /** Cut away rather than cut otherwise: the first thing offered to be done. */
  readonly out?: true;
  readonly told: (said: Told) => string;
};

/** Why a cutter does otherwise than the sheet says: a closed list, so that it can be counted and told in one voice. */
export const DEVIATION_REASONS = {
  tough: {
    label: 'tough',
    when: 'Coarse fibre, the knife drags, a finger leaves no dent.',
    told: ({ cut, done }) =>
      `The ${cut} was coarse on this animal, so it became ${done}, which serves you better.`,
  },
  small: {
    label: 'too small',
    when: 'The slice or the muscle is less than can be served.',
    told: ({ cut, done }) => `The ${cut} was too small to stand by itself; it is with the ${done}.`,
  },
  large: {
    label: 'too large',
    when: 'Over the weight that was asked for, at the thickness that was asked for.',
    told: ({ cut, done }) =>
      `On an animal of this size the ${cut} would have been very large, so we made ${done}.`,
  },
  bruise: {
    label: 'bruised',
    when: 'Dark, wet, blood in the seam.',
    out: true,
    told: ({ cut, weight }) =>
      `There was a bruise at the ${cut}: ${weight} had to be cut away. It happened before the animal came to us.`,
  },
  clot: {
    label: 'blood clot',
    when: 'Blood at the sticking place, round the neck and the breast.',
    out: true,
    told: ({ cut, weight }) =>
      `Blood spots at the ${cut} were cut away, ${weight}; that meat is not fit for anything else.`,
  },
  dried: {
    label: 'dried out',
    when: 'Crust or mould has reached the piece.',
    out: true,
    told: ({ cut, days, weight }) =>
      `After ${days} days the ${cut} had dried too far to pack: ${weight}. A crust is never ground.`,
  },
  discoloured: {
    label: 'lost its colour',
    when: 'A brown face, a dark cutter, a green or sour spot.',
    out: true,
    told: ({ cut, weight }) => `Of the ${cut} ${weight} had lost its colour and was left out.`,
  },
  abscess: {
    label: 'abscess, gland',
    when: 'Pus, the scar of a needle, a swollen gland. Stop; your local rule and the inspector decide.',
    out: true,
    told: ({ cut, weight }) => `A part of the ${cut} was not fit to eat and was taken out: ${weight}.`,
  },
  torn: {
    label: 'torn before',
    when: 'The hide pull, rough boning or an earlier hand tore the muscle.',
    told: ({ cut, done }) => `The ${cut} came to us torn; what could be cut of it is ${done}.`,
  },
  miscut: {
    label: 'miscut, ours',
    when: 'Our own knife or saw.',
    ours: true,
    told: ({ asked, done, weight }) =>
      `Our cut ran off its line: ${weight} meant as ${asked} became ${done}. We are sorry; ask us about it.`,
  },
  split: {
    label: 'split off centre',
    when: 'The saw left the middle of the spine.',
    told: ({ cut }) => `The two halves were not split evenly, which the ${cut} shows.`,
  },
  missing: {
    label: 'not there',
    when: 'Gone when the side came.',
    told: ({ cut }) => `The ${cut} was not on the side when it came to us.`,
  },
  'spine-out': {
    label: 'spine was out',
    when: 'The backbone was taken out elsewhere, the eye or the edge of the chuck nicked.',
    told: ({ cut, done }) =>
      `The backbone had been taken out before, so the ${cut} became ${done}; some faces show a cut.`,
  },
  fat: {
    label: 'too fat',
    when: 'More fat than the wish can be met with.',
    told: ({ cut, done }) => `This animal was fat, so the ${cut} became ${done}.`,
  },
  lean: {
    label: 'too lean',
    when: 'Less fat than the wish can be met with.',
    told: ({ cut, done }) => `This animal was lean, so the ${cut} became ${done}.`,
  },
  called: {
    label: 'customer called',
    when: 'The household asked for it on the telephone.',
    told: ({ asked, done, day }) => `As agreed on ${day}: ${asked} became ${done}.`,
  },
  tool: {
    label: 'saw or tool down',
    when: 'The saw, the tenderizer or the slicer is down.',
    told: ({ cut, done }) => `The ${cut} became ${done}, cut by knife, so its thickness follows the bones.`,
  },
  law: {
    label: 'not allowed',
    when: 'Age class, status or a condemned part. Your local code decides.',
    told: ({ asked }) => `The rules do not allow ${asked} from this animal.`,
  },
} as const satisfies Readonly<Record<string, ReasonWords>>;

export type DeviationReason = keyof typeof DEVIATION_REASONS;

/** Done as this where it was cut away and leaves as waste; otherwise the id of one of the row's options. */
export const OUT = 'out';

/** At the block something was done otherwise than the sheet says: what was asked and what was done both stand. */
export type Deviation = {
  readonly id: string;
  readonly clientId: string;
  readonly shareId: ShareId;
  readonly hand: 'left' | 'right' | 'both';
  readonly decision: string;
  readonly reason: DeviationReason;
  readonly doneAs: string;
  /** So much of the row; null where it is all of it. */
  readonly weight: Weight | null;
  /** The words of the sheet as they were then, and of what was done. */
  readonly asked: string;
  readonly done: string;
  readonly at: Instant;
  readonly actorId: string;
};

/** What the household reads of it. */
export function deviationTold(reason: DeviationReason, said: Told): string {
  return DEVIATION_REASONS[reason].told(said);
}

export function isDeviationReason(id: string): id is DeviationReason {
  return id in DEVIATION_REASONS;
}
