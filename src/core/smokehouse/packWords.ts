import { inCureOrder } from '../curing/cureRecipe';
import type { ForecastLine } from '../forecast/types';
import type { ShareFile } from '../order/shareFile';
import { listed } from '../quantity/listed';
import { STATE_WORDS, type Pantry } from '../species/recipe';
import { loadOf } from './throughSmoke';

type Own = Pick<ShareFile, 'weighings' | 'cures' | 'smokes' | 'batches' | 'situation'>;

/**
 * What a label says of a pack beyond its cut: what is in it in descending order, allergens, whether it is cooked, and the
 * lots it comes from; as written in the species' data where nothing of it was recorded.
 */
export function packWords(file: Own, line: ForecastLine, pantry: Pantry): string[] {
  const cures = file.cures.filter(({ cure }) => cure.lineKey === line.key);
  const batch = file.batches.find((each) => each.batch.lineKey === line.key)?.batch;
  const loads = file.weighings
    .filter(({ kind, lineKey }) => kind === 'green' && lineKey === line.key)
    .flatMap((piece) => loadOf(file.smokes, piece)?.file.load ?? []);
  const lots = [...(batch ? [batch] : []), ...cures.map(({ cure }) => cure), ...loads].map(({ lot }) => lot);
  return once([
    ...(cures.length > 0 ? curedWords(file, cures, line, pantry) : withoutState(line, loads.length > 0)),
    ...loads.map(({ plan }) => plan.label),
    ...(lots.length > 0 ? [`Lot ${listed(once(lots))}.`] : []),
  ]);
}

/** What is in it by the cures it lay in, in place of what is usual. */
function curedWords({ situation }: Own, cures: Own['cures'], line: ForecastLine, pantry: Pantry): string[] {
  const meat = situation.species.recipes[0]?.parts.find(({ ingredient }) => pantry.get(ingredient)?.meat);
  if (!meat) return [...line.labelWords];
  const own = cures.flatMap(({ cure }) => inCureOrder(cure.recipe));
  const names = once([meat.ingredient, ...own]);
  const parts = names.map((name) => {
    const of = pantry.get(name)?.of;
    return of ? `${name} (${of.join(', ')})` : name;
  });
  const allergens = once(names.flatMap((name) => pantry.get(name)?.allergens ?? [])).sort();
  return [
    `Ingredients: ${parts.join(', ')}.`,
    ...(allergens.length > 0 ? [`Contains: ${allergens.join(', ')}.`] : []),
    ...line.labelWords.filter((words) => !/^(Ingredients|Contains):/.test(words)),
  ];
}

/** Where a load says whether it is cooked, the recipe's own word for it gives way. */
function withoutState({ labelWords }: ForecastLine, isInLoad: boolean): readonly string[] {
  const states: readonly string[] = Object.values(STATE_WORDS);
  return isInLoad ? labelWords.filter((words) => !states.includes(words)) : labelWords;
}

function once<T>(list: readonly T[]): T[] {
  return [...new Set(list)];
}
