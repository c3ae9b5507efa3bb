/** An id of small letters and dashes that a name gives. */
export function idOf(name: string): string {
  return (
    name
      .normalize('NFD')
      .toLowerCase()
      .replace(/\p{M}/gu, '')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 40) || 'one'
  );
}
