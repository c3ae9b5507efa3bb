import { LEAST_ODD_PACK_LB } from '../forecast/pieces';

/** Guards divisions that should come out whole against floating-point dust. */
const ROUNDING_DUST = 1e-9;

export type Tubes = { readonly tubes: number; readonly left: number; readonly oddPack: number };

/**
 * Tubes of a grind: n = floor((G - D) / t). What is left over and what is pushed out of the head make one odd pack.
 *
 * @param grind - pounds, as are `dead`, what stays in the head until it is opened, and `tube`
 * @example tubesOf(37.4, 1.2, 1).tubes // => 36
 */
export function tubesOf(grind: number, dead: number, tube: number): Tubes {
  const tubes = Math.max(0, Math.floor((grind - dead) / tube + ROUNDING_DUST));
  const left = Math.max(0, grind - dead - tubes * tube);
  const recovered = left + Math.min(dead, grind);
  return { tubes, left, oddPack: recovered >= LEAST_ODD_PACK_LB ? recovered : 0 };
}

export type Patties = {
  readonly patties: number;
  readonly packs: number;
  readonly oddPatties: number;
  readonly left: number;
};

/**
 * Patties of a grind, so many to a pack; the odd ones make a short pack.
 *
 * @param size - pounds of one, and how many to a pack
 * @example pattiesOf(24.6, 1, { patty: 1 / 3, perPack: 4 }).patties // => 70
 */
export function pattiesOf(
  grind: number,
  dead: number,
  { patty, perPack }: { patty: number; perPack: number },
): Patties {
  const patties = Math.max(0, Math.floor((grind - dead) / patty + ROUNDING_DUST));
  return {
    patties,
    packs: Math.floor(patties / perPack),
    oddPatties: patties % perPack,
    left: Math.max(0, grind - dead - patties * patty),
  };
}

/**
 * Links of a stuffed batch.
 *
 * @example linksOf(25.28, 5, 5) // => { links: 126, packs: 25, oddLinks: 1 }
 */
export function linksOf(stuffed: number, linksPerLb: number, perPack: number) {
  const links = Math.max(0, Math.floor(stuffed * linksPerLb + ROUNDING_DUST));
  return { links, packs: Math.floor(links / perPack), oddLinks: links % perPack };
}

/**
 * Smallest batches that a pool fills, and what is left for bulk.
 *
 * @example batchesOf(18.5, 15) // => { batches: 1, left: 3.5 }
 */
export function batchesOf(pool: number, smallest: number): { batches: number; left: number } {
  const batches = Math.max(0, Math.floor(pool / smallest + ROUNDING_DUST));
  return { batches, left: pool - batches * smallest };
}

/** A sausage mix and what the stuffer gives of it; weights in one unit. */
export type SausageMix = {
  readonly seasoning: number;
  readonly water: number;
  readonly binder: number;
  readonly mix: number;
  readonly stuffed: number;
};

/**
 * A sausage batch: mix = meat x (1 + seasoning + water + binder), less what stays in the stuffer.
 *
 * @param recipe - shares of the meat: 0.021 is 2.1 lb to the hundred
 */
export function sausageMix(
  meat: number,
  recipe: { seasoning: number; water: number; binder: number },
  dead: number,
): SausageMix {
  const part = (share: number) => meat * share;
  const mix = meat + part(recipe.seasoning) + part(recipe.water) + part(recipe.binder);
  return {
    seasoning: part(recipe.seasoning),
    water: part(recipe.water),
    binder: part(recipe.binder),
    mix,
    stuffed: Math.max(0, mix - dead),
  };
}
