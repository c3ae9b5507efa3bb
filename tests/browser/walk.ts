/** A walk of many steps, each of which stands on the one before: after one has failed the others fail at once. */
export function walkOf(): (name: string, walk: () => Promise<void>) => void {
  let broken = false;
  return (name, walk) => {
    it(name, async () => {
      if (broken) throw new Error('An earlier step failed.');
      broken = true;
      await walk();
      broken = false;
    });
  };
}
