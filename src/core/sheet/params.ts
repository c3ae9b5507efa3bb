import { convertUnits, weight, weightField, type WeighingUnit, type Weight } from '../quantity/weight';
import type { Option, ParamSpec, Product } from '../species/types';
import type { ParamValues } from './types';

/** The value a parameter has when nobody says otherwise, in the shop's unit. */
export function defaultOf(spec: ParamSpec, unit: WeighingUnit): number | boolean | string {
  switch (spec.kind) {
    case 'length':
      return spec.defaultIn;
    case 'weight':
      return weight(convertUnits(spec.defaultLb, 'lb', unit));
    case 'count':
    case 'yesNo':
    case 'choice':
      return spec.default;
  }
}

/** All parameters of an option at their defaults. */
export function defaultParams(option: Option, unit: WeighingUnit): ParamValues {
  return Object.fromEntries((option.params ?? []).map((spec) => [spec.id, defaultOf(spec, unit)]));
}

const RANGE = /^(\d+(?:\.\d+)?)\s*(?:-|to|–)\s*(\d+(?:\.\d+)?)\s*(lb|kg)?$/;
const SINGLE = /^(\d+(?:\.\d+)?)\s*(lb|kg)?$/;

/**
 * A weight as people say it: `3.5 lb`, `3-4 lb`, `3 to 4`. Of a range, its middle. Undefined when it is none.
 *
 * @param unit - what a number without a unit is in
 * @example spokenWeight('3 to 4 lb', 'lb') // => { value: 3.5, unit: 'lb' }
 */
export function spokenWeight(
  text: string,
  unit: WeighingUnit,
): { readonly value: number; readonly unit: WeighingUnit } | undefined {
  const said = text.trim().toLowerCase();
  const [, from, to, ofRange] = RANGE.exec(said) ?? [];
  if (from !== undefined && to !== undefined) {
    return { value: (Number(from) + Number(to)) / 2, unit: (ofRange as WeighingUnit | undefined) ?? unit };
  }
  const [, single, ofSingle] = SINGLE.exec(said) ?? [];
  if (single === undefined) return undefined;
  return { value: Number(single), unit: (ofSingle as WeighingUnit | undefined) ?? unit };
}

/** Why a value cannot stand for a parameter; undefined when it can. Lengths in inches, weights in thousandths. */
export function paramProblem(spec: ParamSpec, value: unknown, unit: WeighingUnit): string | undefined {
  switch (spec.kind) {
    case 'yesNo':
      return typeof value === 'boolean' ? undefined : `${spec.label}: yes or no.`;
    case 'choice':
      return typeof value === 'string' && Object.hasOwn(spec.options, value)
        ? undefined
        : `${spec.label}: one of ${Object.values(spec.options).join(', ')}.`;
    case 'count':
      return rangeProblem(spec.label, value, { least: spec.min, most: spec.max, whole: true });
    case 'length':
      return rangeProblem(`${spec.label} in inches`, value, { least: spec.minIn, most: spec.maxIn });
    case 'weight': {
      const [least, most] = [spec.minLb, spec.maxLb].map((lb) => weight(convertUnits(lb, 'lb', unit)));
      const fits = Number.isInteger(value) && (value as number) >= least! && (value as number) <= most!;
      if (fits) return undefined;
      const said =
        typeof value === 'number' ? `${weightField(Math.round(value) as Weight)} ${unit}` : String(value);
      return `${spec.label}: ${weightField(least!)} to ${weightField(most!)} ${unit}, not ${said}.`;
    }
  }
}

type Range = { readonly least: number; readonly most: number; readonly whole?: boolean };

function rangeProblem(label: string, value: unknown, { least, most, whole = false }: Range) {
  const fits =
    typeof value === 'number' && (!whole || Number.isInteger(value)) && value >= least && value <= most;
  return fits ? undefined : `${label}: ${least} to ${most}, not ${String(value)}.`;
}

/** Reads a number parameter, or what stands for it when the option has none. */
export function numberParam(values: ParamValues, id: string, otherwise: number): number {
  const value = values[id];
  return typeof value === 'number' ? value : otherwise;
}

export function weightParam(values: ParamValues, id: string): Weight {
  const value = values[id];
  if (typeof value !== 'number') throw new RangeError(`"${id}" expected a weight, got ${String(value)}`);
  return value as Weight;
}

/** What a product can be called: as it is, and cured. */
export function cutsOf({ cut, cure }: Product): string[] {
  return cure ? [cut, cure.cut] : [cut];
}

/** The cure a product gets under these answers; undefined when it stays fresh. */
export function cureChosen(product: Product, values: ParamValues): string | undefined {
  if (!product.cure) return undefined;
  if (product.cure.param === undefined) return product.cure.method ?? 'cured';
  const said = values[product.cure.param];
  return typeof said === 'string' && said !== 'fresh' ? said : undefined;
}
