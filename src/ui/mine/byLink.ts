import { failure, type Result } from '@/core/quantity/result';
import type { Reason } from '@/server/house/reasons';
import type { InputOf, OutputOf, UseCaseName } from '@/server/useCases';

type Answer<Output> = Result<Output, Reason | 'offline' | 'no-answer'>;

const LONGEST_ANSWER_MS = 15_000;

const AWAY =
  'There is no network just now. What you chose stays on this telephone and goes to the shop by itself.';

/** Asks the house by a household's private link. A lost network is a refusal like any other. */
export async function askByLink<Name extends UseCaseName>(
  token: string,
  name: Name,
  input: InputOf<Name>,
): Promise<Answer<OutputOf<Name>>> {
  try {
    const response = await fetch(`/api/mine/${token}/${name}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(input),
      signal: AbortSignal.timeout(LONGEST_ANSWER_MS),
    });
    return (await response.json()) as Answer<OutputOf<Name>>;
  } catch (error) {
    const hangs = error instanceof Error && error.name === 'TimeoutError';
    return failure(hangs ? 'no-answer' : 'offline', AWAY);
  }
}
