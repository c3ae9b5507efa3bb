import type { Atom, FaceTrim, Species } from '../species/types';
import type { Condition } from './condition';

/** Thin cover lets the face dry deeper (docs/figures.md). */
const THIN_COVER_FACTOR = 1.5;

/**
 * Which part of each atom leaves as waste before anything is cut: condemned and bruised pieces, what a flag of the
 * carcass wastes, and the dried face. By atom id, 0 to 1; atoms that are sound are left out.
 *
 * @param atoms - the atoms of this carcass, after its shifts
 */
export function condemnedShares(
  species: Species,
  condition: Condition,
  atoms: readonly Atom[],
): ReadonlyMap<string, number> {
  const shares = new Map<string, number>();
  const add = (id: string, share: number) => shares.set(id, Math.min(1, (shares.get(id) ?? 0) + share));
  for (const flag of species.flags.filter((each) => condition.flags?.includes(each.id))) {
    flag.wastes.forEach((id) => add(id, 1));
  }
  for (const [id, share] of Object.entries(condition.condemned ?? {})) add(id, share);
  const dried = driedFaceShare(species.faceTrim, condition);
  if (dried > 0) {
    for (const place of species.faceTrim!.where) {
      const here = atoms.filter((atom) => place.atoms.includes(atom.id));
      const weighs = here.reduce((sum, atom) => sum + atom.sharePct, 0) / 100;
      if (weighs > 0) here.forEach((atom) => add(atom.id, (dried * place.share) / weighs));
    }
  }
  return shares;
}

/**
 * Share of the cutting-day weight that dried on the rail and is cut off.
 *
 * @example driedFaceShare({ perDay: [{ afterDay: 7, share: 0.001 }], where: [] }, { daysHung: 17 }) // => 0.01
 */
export function driedFaceShare(rule: FaceTrim | undefined, { daysHung = 0, thinCover }: Condition): number {
  if (!rule) return 0;
  const steps = [...rule.perDay].sort((a, b) => a.afterDay - b.afterDay);
  const share = steps.reduce((sum, step, index) => {
    const until = Math.min(daysHung, steps[index + 1]?.afterDay ?? daysHung);
    return sum + Math.max(0, until - step.afterDay) * step.share;
  }, 0);
  return share * (thinCover ? THIN_COVER_FACTOR : 1);
}
