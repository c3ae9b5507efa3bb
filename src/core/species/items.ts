import type { GrindForm, Option, Product, Species } from './types';

/** The item that a cut of a decision is, fresh or by the cure it gets. */
export function cutItem(decision: string, ownCut: string, cure: string | null): string {
  return `${decision}/${ownCut}/${cure ?? 'fresh'}`;
}

/** The item that a recipe makes in one of its forms. */
export function grindItem(recipe: string, form: GrindForm): string {
  return `grind/${recipe}/${form}`;
}

/** The item that is kept of the fat, bone or skin. */
export function keptItem(keep: string): string {
  return `kept/${keep}`;
}

/** Everything that can be packed of a species, each once, in the order of its data. */
export function itemsOf(species: Species): string[] {
  const cuts = species.decisions.flatMap((decision) =>
    decision.options.flatMap((option) =>
      option.products.flatMap((product) => [
        ...(isOnlyCured(product) ? [] : [cutItem(decision.id, product.cut, null)]),
        ...curesOf(option, product).map((cure) => cutItem(decision.id, product.cure!.cut, cure)),
      ]),
    ),
  );
  const grind = species.recipes.flatMap((recipe) => recipe.forms.map((form) => grindItem(recipe.id, form)));
  const kept = species.poolKeeps.map((keep) => keptItem(keep.id));
  return [...new Set([...cuts, ...grind, ...kept])];
}

function isOnlyCured({ cure }: Product): boolean {
  return cure !== undefined && cure.param === undefined;
}

/** The cures that a product can get: its one method, or what the customer may choose besides fresh. */
function curesOf({ params }: Option, { cure }: Product): string[] {
  if (!cure) return [];
  if (cure.param === undefined) return [cure.method ?? 'cured'];
  const spec = params?.find((each) => each.id === cure.param);
  return spec?.kind === 'choice' ? Object.keys(spec.options).filter((id) => id !== 'fresh') : [];
}
