/** Normal numbers from a seed: a 32-bit xorshift and the Box-Muller transform. */
export function normalsFrom(seed: number): () => number {
  let state = (seed ^ 0x9e3779b9) >>> 0 || 1;
  const uniform = () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    state >>>= 0;
    return (state + 0.5) / 2 ** 32;
  };
  return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
}
