import type { FormDocument, OrderDocument, SheetDocument } from '../order/document';
import { forecastDocument, workOut, type ForecastDocument } from '../order/forecastDocument';
import { readOrder } from '../order/readOrder';
import { catalogue } from './catalogue';

/** A shop of the tests: pounds, a band saw, the shipped catalogue. */
export const caseShop = { unit: 'lb' as const, tools: ['band-saw'], catalogue };

/** The usual side of each species, pounds. */
const USUAL_LB: Readonly<Record<string, number>> = { beef: 375, hog: 92, lamb: 30 };

export type Case = {
  readonly species: 'beef' | 'hog' | 'lamb';
  readonly part?: 'left' | 'whole';
  readonly sideLb?: number;
  readonly answers?: Readonly<Record<string, readonly FormDocument[]>>;
  readonly sheet?: SheetDocument;
  readonly carcass?: object;
  readonly tools?: readonly string[];
};

/** An order file of one share, with the house standard where nothing is answered. */
export function caseFile({ species, part = 'left', sideLb, answers, sheet, carcass }: Case): unknown {
  const lb = sideLb ?? USUAL_LB[species]!;
  const weights = { hot: lb, cold: lb };
  return {
    format: 'fractum.order',
    version: 1,
    unit: 'lb',
    farm: { name: 'Some farm' },
    animal: {
      tag: 'T1',
      species,
      killDate: '2026-11-11',
      inspection: 'custom-exempt',
      ...(carcass ? { carcass } : {}),
    },
    shares: [
      {
        part,
        owner: { name: 'Somebody' },
        sheet: { houseForTheRest: true, ...sheet, ...(answers ? { answers } : {}) },
      },
    ],
    weights: part === 'whole' ? { left: weights, right: weights } : { left: weights },
  };
}

function readCase(each: Case): { shop: typeof caseShop; order: OrderDocument } {
  const shop = { ...caseShop, tools: [...(each.tools ?? caseShop.tools)] };
  const read = readOrder(caseFile(each), shop);
  if (!read.ok)
    throw new Error(read.problems!.map(({ field, message }) => `${field}: ${message}`).join('\n'));
  return { shop, order: read.value };
}

/** The forecast of a case's only share. */
export function caseForecast(each: Case): ForecastDocument['shares'][number] {
  const { shop, order } = readCase(each);
  return forecastDocument(shop, order).shares[0]!;
}

/** The lines of one decision, in the order of its forms: weight in pounds, pieces, packs. */
export function caseLines(each: Case, decision: string) {
  return caseForecast(each)
    .lines.filter((line) => line.key.startsWith(`${decision}.`))
    .map(({ cut, packaged, pieces, packs, names }) => ({ cut, lb: packaged, pieces, packs, names }));
}

/** What is open or remarked on a case's sheet. */
export function caseFindings(each: Case) {
  const { shop, order } = readCase(each);
  return workOut(shop, order)[0]!.findings;
}
