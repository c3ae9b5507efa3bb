/** How often something was timed, and what is told of it; milliseconds. */
export type Measured = { readonly median: number; readonly p95: number; readonly calls: number };

export function told(taken: readonly number[]): Measured {
  const sorted = [...taken].sort((a, b) => a - b);
  const at = (part: number) => sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))] ?? 0;
  return { median: at(0.5), p95: at(0.95), calls: sorted.length };
}

/** Times one call after another; the first few are not counted. */
export async function timed(
  calls: number,
  call: (turn: number) => Promise<unknown>,
  warmUp = 3,
): Promise<Measured> {
  const taken: number[] = [];
  for (let turn = 0; turn < calls + warmUp; turn += 1) {
    const start = performance.now();
    await call(turn);
    if (turn >= warmUp) taken.push(performance.now() - start);
  }
  return told(taken);
}
