import { failure, type Failure } from '@/core/quantity/result';

/** Why the house refuses, each with the status of its answer over HTTP. A closed list: callers may switch on it. */
export const REASONS = {
  'not-signed-in': 401,
  wrong: 401,
  'not-allowed': 403,
  'not-found': 404,
  invalid: 400,
  locked: 429,
  unexpected: 500,
  /** Something out of the ordinary: asked again with a second yes, it is done and the yes is kept. */
  unusual: 409,
  'needs-a-reason': 409,
  'id-reused': 409,
  'already-taken': 409,
  approved: 409,
  cancelled: 409,
  'changed-elsewhere': 409,
  closed: 409,
  'heavier-than-hot': 409,
  'in-cure': 409,
  'more-than-there-is': 409,
  'needs-a-note': 409,
  'no-cold-weight': 409,
  'no-establishment': 409,
  'no-hot-weight': 409,
  'no-label': 409,
  'no-owner': 409,
  'no-prices': 409,
  'no-sheet': 409,
  'no-weight': 409,
  'not-approved': 409,
  'not-closed': 409,
  /** A batch, by what was done to it so far; its sentence says what comes first. */
  'not-in-a-batch': 409,
  'not-in-cure': 409,
  'not-on-the-block': 409,
  'no-room': 409,
  'on-hold': 409,
  'not-offered': 409,
  'not-on-the-sheet': 409,
  'not-paid': 409,
  'not-steady': 409,
  /** Too early by a rule of the shop. */
  'not-yet': 409,
  'not-that-animal': 409,
  'not-the-scale': 409,
  'nothing-on-the-scale': 409,
  'nothing-to-correct': 409,
  'sold-already': 409,
  'hangs-already': 409,
  'on-the-block': 409,
  'open-questions': 409,
  overload: 409,
  'packs-depend-on-it': 409,
  'scale-away': 409,
  'still-booked': 409,
  'still-chilling': 409,
  'still-due': 409,
  'tag-taken': 409,
  'packed-already': 409,
  'several-ways': 409,
  'words-not-read': 409,
  'tare-too-big': 409,
  'too-many-words': 409,
  'no-such-letter': 409,
  'too-much': 409,
  'tub-empty': 409,
  voided: 409,
  'wrong-net': 409,
  'wrong-place': 409,
  'wrong-unit': 409,
} as const satisfies Readonly<Record<string, number>>;

export type Reason = keyof typeof REASONS;
export type Refusal = Failure<Reason>;

/** A refusal of the house: a closed reason, and a sentence that says what to do. */
export function refuse(reason: Reason, message: string, field?: string): Refusal {
  return failure(reason, message, field);
}
