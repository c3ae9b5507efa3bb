/** The year that an address asks for; nothing where it says none that could be one. */
export function yearSaid(said: unknown): { readonly year?: number } {
  return typeof said === 'string' && /^\d{4}$/.test(said) ? { year: Number(said) } : {};
}
