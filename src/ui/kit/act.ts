import { failure, type Result } from '@/core/quantity/result';
import type { InputOf, OutputOf, UseCaseName } from '@/server/useCases';

/** Asks the house for something from the browser. A lost network is a refusal like any other: `offline`. */
export async function act<Name extends UseCaseName>(
  name: Name,
  input: InputOf<Name>,
): Promise<Result<OutputOf<Name>>> {
  try {
    const response = await fetch(`/api/act/${name}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(input),
    });
    const answer = (await response.json()) as Result<OutputOf<Name>>;
    if (!answer.ok && answer.reason === 'not-signed-in') window.location.assign('/sign-in');
    return answer;
  } catch {
    return failure('offline', 'The network is away. Nothing is lost; it is sent when the network is back.');
  }
}

/** An id for one press of a key, so that sending it twice does it once. Works on plain http in the shop's net. */
export function newClientId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6]! & 0x0f) | 0x40;
  bytes[8] = (bytes[8]! & 0x3f) | 0x80;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}
