import { breakPlan, placeOf } from '../carcass/breaks';
import { pointOnEdge } from '../species/sideMapPath';
import type { MapPoint } from '../species/types';
import type { Situation } from '../sheet/situation';

/** A rib as it is drawn: its number, counted from the head, where it leaves the back and where it ends. */
export type DrawnRib = { readonly number: number; readonly back: MapPoint; readonly front: MapPoint };

/** The ribs of the side map, numbered as the shop breaks: the hindmost first. */
export function ribsOf({ species, school, breaks }: Situation, sideMap = species.sideMap): DrawnRib[] {
  const plan = breakPlan(species, school, breaks);
  /** The number of the rib in front of a break, or a rib's own. */
  const numberOf = (end: string): number | undefined => {
    const broken = species.breaks.find(({ id }) => id === end);
    const place = broken ? (placeOf(broken, plan[broken.id]!).behind ?? '') : end;
    const [, number] = /^T(\d+)$/.exec(place) ?? [];
    return number === undefined ? undefined : Number(number);
  };
  const isBreak = (end: string) => species.breaks.some(({ id }) => id === end);
  return (sideMap.ribs ?? []).flatMap(({ back, front, from, until }) => {
    const [hind, head] = [numberOf(from), numberOf(until)];
    if (hind === undefined || head === undefined) return [];
    // A run from a break begins with the rib in front of it, and one until a break ends with the rib behind.
    const last = isBreak(until) ? head + 1 : head;
    const count = hind - last + 1;
    return Array.from({ length: Math.max(0, count) }, (_, index) => {
      const part = (index + 0.5) / count;
      return {
        number: hind - index,
        back: pointOnEdge(sideMap, back, part),
        front: pointOnEdge(sideMap, front, part),
      };
    });
  });
}
