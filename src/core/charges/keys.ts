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

/** A recipe in whatever form, of the item that is one form of it: `grind/fennel/links` is of `grind/fennel`. */
export function recipeKey(item: string): string {
  return item.split('/').slice(0, 2).join('/');
}

/** The work that a cut, a cure, a grind or a wrap can raise a charge by. */
export function workKeys({ species }: Catalogue): ReadonlySet<string> {
  const ofSpecies = species.flatMap(({ decisions, cures, poolKeeps }) => [
    ...decisions.flatMap((decision) =>
      decision.options.flatMap((option) =>
        option.products.flatMap((product) => [...product.charges, ...(product.cure?.charges ?? [])]),
      ),
    ),
    ...Object.values(cures).flatMap((cure) => cure.charges),
    ...poolKeeps.flatMap((keep) => keep.charges),
  ]);
  const ofGrind = [
    'grinding',
    'seasoning',
    PICKING_CHARGE,
    ...Object.values(FORM_CHARGES).flat(),
    ...Object.values(STATE_CHARGES).flat(),
  ];
  return new Set([...ofSpecies, ...ofGrind, ...WRAPS]);
}

/** Everything that a charge can hang on: work, a very item, a recipe in whatever form. */
export function chargeKeys(catalogue: Catalogue): ReadonlySet<string> {
  const items = catalogue.species.flatMap((each) => Object.keys(each.items));
  const recipes = items.filter((item) => item.startsWith('grind/')).map(recipeKey);
  return new Set([...workKeys(catalogue), ...items, ...recipes]);
}

/** A key as people read it: `butt/Butt roast, bone-in/fresh` is `Butt roast, bone-in, fresh`. */
export function keyWords(key: string): string {
  const parts = key.split('/');
  if (parts.length === 1) return key.replaceAll('-', ' ');
  return parts.slice(1).join(', ').replaceAll('-', ' ');
}
