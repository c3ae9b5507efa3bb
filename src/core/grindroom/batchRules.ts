import { formatWeight, ZERO_WEIGHT, type Weight, type WeighingUnit } from '../quantity/weight';
import { gramsWords, type BatchDeed, type BatchEvent, type BatchStanding } from './batch';

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
      return standing.ingredients.some(({ weighed }) => weighed !== null)
        ? 'Ingredients are weighed for the meat as it was. Take them out first, then weigh more meat in.'
        : '';
    case 'ingredient':
    case 'again':
    case 'second':
      return whyNotIngredient(standing, deed, actorId);
    case 'mixed':
      return missingFromMix(standing)[0] ?? '';
    case 'head':
      return standing.isMixed ? '' : 'Nothing is mixed yet.';
    case 'closed':
      return missingFrom(standing, unit)[0] ?? '';
  }
}

function whyNotIngredient(
  { ingredients, isMixed, meat }: BatchStanding,
  deed: Extract<BatchDeed, { ingredient: string }>,
  actorId: string,
): string {
  const due = ingredients.find(({ name }) => name === deed.ingredient);
  if (!due) return `${deed.ingredient} is not in this recipe.`;
  if (isMixed) return 'It is mixed: nothing goes in or out any more.';
  if (meat === 0) return 'Weigh the meat in first: what is due depends on it.';
  if (deed.kind === 'again') return due.weighed === null ? `No ${due.name} is weighed.` : '';
  if (deed.kind === 'second') {
    if (due.weighed === null) return `No ${due.name} is weighed yet.`;
    return due.by === actorId ? 'Whoever weighed it cannot look for the second time. Ask somebody else.' : '';
  }
  if (due.most !== null && deed.tenths > due.most) {
    return `Over the limit of its class: at most ${gramsWords(due.most)} for this meat. Take out ${gramsWords(deed.tenths - due.most)}.`;
  }
  if (due.cures && deed.origin === 'typed') return `${due.name} is weighed on the scale, never typed.`;
  if (deed.tenths >= due.low && deed.tenths <= due.high) return '';
  if (!due.cures && deed.otherwise !== '') return '';
  return deed.tenths > due.high
    ? `Take out ${gramsWords(deed.tenths - due.high)} or more: ${gramsWords(due.low)} to ${gramsWords(due.high)} are due.`
    : `Put in ${gramsWords(due.low - deed.tenths)} or more: ${gramsWords(due.low)} to ${gramsWords(due.high)} are due.`;
}

/** What is missing before a batch can be packed, in sentences. */
export function missingFromMix({ meat, ingredients, isMixed }: BatchStanding): string[] {
  if (isMixed) return ['It is mixed already.'];
  if (meat === 0) return ['No meat is weighed in yet.'];
  return ingredients.flatMap(({ name, weighed, cures, second }) => {
    if (weighed === null) return [`${name} is not weighed yet.`];
    return cures && second === '' ? [`Somebody else must look at the ${name}.`] : [];
  });
}

/** What is missing before a batch can close, in sentences: what went in is in packs, but for a film. */
export function missingFrom(standing: BatchStanding, unit: WeighingUnit): string[] {
  const { isMixed, packed, mix, headOpened } = standing;
  if (!isMixed) return missingFromMix(standing);
  const show = (w: Weight) => `${formatWeight(w, unit)} ${unit}`;
  const left = (mix - packed) as Weight;
  return [
    ...(packed === 0 ? ['Nothing of it is packed yet.'] : []),
    ...(headOpened ? [] : ['The head is not opened: what is in it is the same owner’s.']),
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
