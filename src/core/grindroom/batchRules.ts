import { formatWeight, ZERO_WEIGHT, type Weight, type WeighingUnit } from '../quantity/weight';
import { missingIngredients, whyNotIngredient, type IngredientDeed } from '../curing/ingredients';
import type { BatchDeed, BatchEvent, BatchStanding } from './batch';

/** Film, drip and dust of a batch: at most so much of its mix; above it somebody recounts (leftover rule: 0.5 to 1 %). */
const MOST_FILM = 0.01;

/**
 * Why a deed cannot be done to a batch; empty where it can. Above the limit of its class nitrite goes into no batch,
 * whoever says yes.
 *
 * @param actorId - who wants to do it
 */
export function whyNot(
  standing: BatchStanding,
  deed: BatchDeed,
  { actorId, unit }: { readonly actorId: string; readonly unit: WeighingUnit },
): string {
  if (deed.kind === 'held') return '';
  if (deed.kind === 'released') return standing.held === '' ? 'This batch is not held.' : '';
  if (standing.isClosed) return 'This batch is closed. What comes now is another batch.';
  if (standing.held !== '') return `This batch is held: ${standing.held}. The owner releases it.`;
  switch (deed.kind) {
    case 'meat':
      return standing.ingredients.some(({ weighed, poured }) => weighed !== null || poured > 0)
        ? 'Ingredients are weighed for the meat as it was. Take them out first, then weigh more meat in.'
        : '';
    case 'ingredient':
    case 'again':
    case 'second':
      return whyNotPutIn(standing, deed, actorId);
    case 'mixed':
      return missingFromMix(standing)[0] ?? '';
    case 'head':
      return standing.isMixed ? '' : 'Nothing is mixed yet.';
    case 'closed':
      return missingFrom(standing, unit)[0] ?? '';
  }
}

function whyNotPutIn(
  { ingredients, isMixed, meat }: BatchStanding,
  deed: IngredientDeed,
  actorId: string,
): string {
  const why = whyNotIngredient(ingredients, deed, actorId);
  if (!ingredients.some(({ name }) => name === deed.ingredient)) return why;
  if (isMixed) return 'It is mixed: nothing goes in or out any more.';
  return meat === 0 ? 'Weigh the meat in first: what is due depends on it.' : why;
}

/** What is missing before a batch can be packed, in sentences. */
export function missingFromMix({ meat, ingredients, isMixed }: BatchStanding): string[] {
  if (isMixed) return ['It is mixed already.'];
  if (meat === 0) return ['No meat is weighed in yet.'];
  return missingIngredients(ingredients);
}

/** What is missing before a batch can close, in sentences: what went in is in packs, but for a film. */
export function missingFrom(standing: BatchStanding, unit: WeighingUnit): string[] {
  const { isMixed, packed, mix, headOpened } = standing;
  if (!isMixed) return missingFromMix(standing);
  const show = (w: Weight) => `${formatWeight(w, unit)} ${unit}`;
  const left = (mix - packed) as Weight;
  return [
    ...(packed === 0 ? ['Nothing of it is packed yet.'] : []),
    ...(headOpened ? [] : ['The head is not opened: what is in it is of this batch.']),
    ...(left < 0 ? [`${show(-left as Weight)} more are packed than went in. Weigh again.`] : []),
    ...(packed > 0 && left > mostFilm(mix) ? [`${show(left)} are in no pack. Count again.`] : []),
  ];
}

/** Why nothing of a batch may be packed, wherever it lies now; empty where it may be. */
export function heldWords(events: readonly BatchEvent[]): string {
  const hold = events.filter(({ kind }) => kind === 'held' || kind === 'released').at(-1);
  return hold?.kind === 'held' ? `This batch is held: ${hold.reason}. Nothing of it is packed.` : '';
}

/** Why nothing comes out of a batch now; empty where it may. */
export function whyNoPackYet(events: readonly BatchEvent[]): string {
  const held = heldWords(events);
  if (held !== '') return held;
  const isMixed = events.some(({ kind }) => kind === 'mixed');
  return isMixed ? '' : 'This batch is not mixed yet: it is at the grinder.';
}

/** The most that stays as film in grinder and stuffer. */
export function mostFilm(mix: Weight): Weight {
  return mix > 0 ? (Math.round(mix * MOST_FILM) as Weight) : ZERO_WEIGHT;
}
