import type { InputOf, OutputOf, UseCaseName } from '@/server/useCases';
import { postTo, type Answer } from '../kit/act';

const AWAY =
  'There is no network just now. What you chose stays on this telephone and goes to the shop by itself.';

/** Asks the house by a household's private link. */
export function askByLink<Name extends UseCaseName>(
  token: string,
  name: Name,
  input: InputOf<Name>,
): Promise<Answer<OutputOf<Name>>> {
  return postTo(`/api/mine/${token}/${name}`, input, { offline: AWAY, noAnswer: AWAY });
}
