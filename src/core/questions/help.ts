import { keepsMonths } from '../label/label';
import { convertUnits, inUnits, type Weight, type WeighingUnit } from '../quantity/weight';
import type { Wrap } from '../sheet/types';
import type { Decision, Option, Species } from '../species/types';

/** Help in short lines, each with what it is about. */
export type HelpLine = { readonly about: string; readonly words: string };

type Packed = { readonly packed: Weight; readonly unit: WeighingUnit; readonly wrap: Wrap };

/** What to know of a way: where it sits, bones, taste, cooking, what not, how many it feeds, how long it keeps. */
export function helpLines(
  species: Species,
  { decision, option }: { readonly decision: Decision; readonly option: Option },
  { packed, unit, wrap }: Packed,
): HelpLine[] {
  const help = species.help?.[decision.id]?.[option.id];
  if (!help) return [];
  const [product] = option.products;
  const lb = convertUnits(inUnits(packed), unit, 'lb');
  const plates = help.plateLb ? Math.round(lb / help.plateLb) : 0;
  const months = product && keepsMonths(wrap, product.destination, species.months);
  const lines: readonly (readonly [string, string | undefined])[] = [
    ['where it sits', help.sits],
    ['bones', help.bones],
    [product ? 'it is' : 'then', help.eats],
    ['cook it so', help.cook],
    ['better not', help.not],
    ['feeds', plates > 0 ? `about ${plates} plates` : undefined],
    ['keeps', months === undefined ? undefined : `${months} months in the freezer`],
  ];
  return lines.flatMap(([about, words]) => (words ? [{ about, words }] : []));
}
