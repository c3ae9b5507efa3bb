import type { Catalogue } from '../catalogue/catalogue';
import { STATE_CHARGES } from '../species/recipe';
import type { GrindForm } from '../species/types';
import { WRAPS } from '../sheet/types';

/** What each form of grind is charged for besides grinding. */
export const FORM_CHARGES: Readonly<Record<GrindForm, readonly string[]>> = {
  bulk: [],
  patties: ['patties'],
  links: ['linking'],
  rings: ['linking'],
  logs: ['stuffing'],
  sticks: ['linking'],
  strips: ['stuffing'],
};

/** What fat picked from the trim by hand is charged for. */
export const PICKING_CHARGE = 'lean-picking';

/** Every key that a cut, a cure, a grind or a wrap can raise a charge by. */
export function chargeKeys({ species }: Catalogue): ReadonlySet<string> {
  const ofSpecies = species.flatMap(({ decisions, cures, poolKeeps }) => [
    ...decisions.flatMap((decision) =>
      decision.options.flatMap((option) =>
        option.products.flatMap((product) => [...product.charges, ...(product.cure?.charges ?? [])]),
      ),
    ),
    ...Object.values(cures).flatMap((cure) => cure.charges),
    ...poolKeeps.flatMap((keep) => keep.charges),
  ]);
  const ofGrind = ['grinding', 'seasoning', PICKING_CHARGE, ...Object.values(FORM_CHARGES).flat(), ...Object.values(STATE_CHARGES).flat()];
  return new Set([...ofSpecies, ...ofGrind, ...WRAPS]);
}
