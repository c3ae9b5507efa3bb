import type { ForecastLine } from '../forecast/types';
import { allSpecies } from '../species/registry';
import type { Species } from '../species/types';

/** Room for the options of a decision, and for the decisions of a species, in an item number. */
const OPTIONS_PER_DECISION = 20;
const ITEMS_PER_SPECIES = 1000;
/** Grind and what is kept from the pools come after the decisions. */
const FIRST_GRIND_ITEM = 900;

/** The shop's number for a cut, by its place in the species' data; it goes into the bars of the label. */
export function itemNumber(
  species: Species,
  line: Pick<ForecastLine, 'kind' | 'decision' | 'ownCut'>,
): number {
  const base = (allSpecies().indexOf(species) + 1) * ITEMS_PER_SPECIES;
  if (line.kind !== 'cut') {
    const recipe = species.recipes.findIndex((each) => line.ownCut === each.name);
    const kept = species.poolKeeps.findIndex((keep) => keep.id === line.decision);
    return base + FIRST_GRIND_ITEM + (recipe >= 0 ? recipe : species.recipes.length + kept);
  }
  const decision = species.decisions.findIndex((each) => each.id === line.decision);
  const products = species.decisions[decision]!.options.flatMap((option) => option.products);
  const product = products.findIndex((each) => each.cut === line.ownCut || each.cure?.cut === line.ownCut);
  return base + decision * OPTIONS_PER_DECISION + Math.max(0, product);
}
