import type { Pantry } from '../species/recipe';
import type { RecipePart } from '../species/recipeTypes';
import { CURE_CLASS_WORDS, limitOf, verdictOf, type CureClass, type NitriteRules } from './limits';
import type { CureMethod } from './days';
import { equilibriumPpm, ingoingPpm, takenUpPpm } from './nitrite';

/** Erythorbate or ascorbate that pumped bacon must have beside its nitrite, ppm (usual figure; local code stands above). */
export const ERYTHORBATE_PPM = 550;
const ERYTHORBATE = 'erythorbate';

/**
 * How a shop cures a piece. A brine is written to a hundred pounds of it, water included; a rub or a marinade to a
 * hundred pounds of green meat.
 */
export type CureRecipe = {
  readonly id: string;
  readonly name: string;
  /** What sheets call what it does: `cured`, `natural`, `dry`. */
  readonly for: readonly string[];
  readonly of: CureClass;
  readonly method: CureMethod;
  /** Immersed to the end, until meat and brine come level: another recipe than by pick-up, and reckoned otherwise. */
  readonly level?: boolean;
  /** Brine that goes in, percent of the green weight: by the pump, or as it is picked up; 0 for a rub. */
  readonly takesPct: number;
  /** Brine to a pound of meat, where they come level. */
  readonly brinePerMeat?: number;
  readonly parts: readonly RecipePart[];
};

/** Whether a recipe is weighed to the green meat, and not to a brine. */
export function isToMeat({ method }: Pick<CureRecipe, 'method'>): boolean {
  return method === 'dry' || method === 'overnight';
}

/** Whether a recipe is weighed before and after brine goes in. */
export function isPumped({ method }: Pick<CureRecipe, 'method'>): boolean {
  return method === 'pumped' || method === 'pumped-covered';
}

/** Whether it is mixed for one piece, by its weight; any other brine serves as many as it suffices for. */
export function isForOne(recipe: Pick<CureRecipe, 'method' | 'level'>): boolean {
  return isToMeat(recipe) || recipe.level === true;
}

/** Ingoing nitrite of a piece, ppm, where so much brine went in. */
export function ppmOf(recipe: CureRecipe, pantry: Pantry, takesPct: number = recipe.takesPct): number {
  return ingoing(recipe, nitriteIn(recipe, pantry), takesPct);
}

/** Ingoing erythorbate of a piece, ppm. */
export function erythorbateOf(recipe: CureRecipe, takesPct: number = recipe.takesPct): number {
  const lb = recipe.parts.find(({ ingredient }) => ingredient === ERYTHORBATE)?.lb ?? 0;
  return ingoing(recipe, lb, takesPct);
}

/** @param inHundred - pounds of what counts to a hundred of brine, or of meat */
function ingoing(
  { method, level, brinePerMeat = 0 }: CureRecipe,
  inHundred: number,
  takesPct: number,
): number {
  const pure = { cure: inHundred, nitriteShare: 1 };
  if (isToMeat({ method })) return ingoingPpm(pure, 100);
  if (level)
    return equilibriumPpm(
      { cure: inHundred * brinePerMeat, nitriteShare: 1 },
      { meat: 100, brine: 100 * brinePerMeat },
    );
  return takenUpPpm(ingoingPpm(pure, 100), takesPct);
}

/** Sodium nitrite, pounds to a hundred of brine or of meat. */
function nitriteIn({ parts }: CureRecipe, pantry: Pantry): number {
  return parts.reduce((sum, { ingredient, lb }) => sum + lb * (pantry.get(ingredient)?.nitriteShare ?? 0), 0);
}

/** What is wrong with a recipe, and what is to be thought of, in sentences. */
export type CureCheck = { readonly refused: readonly string[]; readonly warned: readonly string[] };

/**
 * Whether a shop may cure by a recipe. Over the limit of its class it is refused, whoever asks.
 *
 * @param skinOn - bacon with its skin on, which takes up no cure
 */
export function checkCure(
  recipe: CureRecipe,
  { pantry, rules, skinOn = false }: { pantry: Pantry; rules: NitriteRules; skinOn?: boolean },
): CureCheck {
  const ppm = ppmOf(recipe, pantry);
  const limit = limitOf(rules, recipe.of, skinOn);
  const verdict = verdictOf(rules, ppm, limit);
  const words = `${CURE_CLASS_WORDS[recipe.of]}${skinOn ? ', skin on' : ''}`;
  const refused =
    verdict === 'over' ? [`${Math.round(ppm)} ppm nitrite, where ${words} may have ${limit}.`] : [];
  const pumpsBacon = recipe.of === 'bacon-pumped' && ppm > 0;
  if (pumpsBacon && Math.round(erythorbateOf(recipe)) < ERYTHORBATE_PPM) {
    refused.push(
      `Pumped bacon needs ${ERYTHORBATE_PPM} ppm erythorbate; this brings ${Math.round(erythorbateOf(recipe))}.`,
    );
  }
  const warned =
    verdict === 'low'
      ? [`Under ${rules.warnUnder} ppm: what keeps by nitrite may not keep, and cools by the shorter plan.`]
      : verdict === 'none'
        ? ['No nitrite: keep it frozen, and never cool it by the plan of cured meat.']
        : [];
  return { refused, warned };
}

/** What a cure brings into a piece, the heaviest first. */
export function inCureOrder({ parts }: CureRecipe): string[] {
  return [...parts].sort((a, b) => b.lb - a.lb).map(({ ingredient }) => ingredient);
}
