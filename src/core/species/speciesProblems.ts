import { TISSUES, type Atom, type Decision, type Option, type Product, type Species } from './types';

/** Percentages that people typed add up to 100 within this. */
const PERCENT_DUST = 1e-6;

/**
 * Everything that a species' parts say of each other and that is not true: sums that are not 100, pieces, zones,
 * options or parameters that nothing is called. Empty for data that may ship.
 */
export function speciesProblems(species: Species): string[] {
  return [
    ...atlasProblems(species),
    ...species.decisions.flatMap((decision) => decisionProblems(species, decision)),
    ...referenceProblems(species),
    ...mapProblems(species),
  ];
}

function sum(numbers: readonly number[]): number {
  return numbers.reduce((total, each) => total + each, 0);
}

function atomsOf(species: Species): readonly Atom[] {
  return [...species.atlas.atoms, ...species.atlas.addOns.map((addOn) => addOn.atom)];
}

function atlasProblems(species: Species): string[] {
  const { atoms, vertebrae } = species.atlas;
  const whole = sum(atoms.map((atom) => atom.sharePct));
  const shares = Math.abs(whole - 100) < PERCENT_DUST ? [] : [`shares add up to ${whole}, not 100`];
  const each = atomsOf(species).flatMap((atom) => {
    const tissue = sum(TISSUES.map((kind) => atom.composition[kind]));
    const places = (atom.span ?? []).map((name) => vertebrae.indexOf(name));
    return [
      ...(Math.abs(tissue - 100) < PERCENT_DUST ? [] : [`${atom.id}: tissues add up to ${tissue}`]),
      ...(places.includes(-1) ? [`${atom.id}: its span is not on the spine`] : []),
      ...(places.length === 2 && places[0]! > places[1]! ? [`${atom.id}: its span runs backwards`] : []),
    ];
  });
  return [...shares, ...each];
}

function decisionProblems(species: Species, decision: Decision): string[] {
  const known = (id: string) => decision.options.some((option) => option.id === id);
  const house = [decision.house.option, decision.house.then].filter((id) => id !== undefined);
  const { addOns } = species.atlas;
  return [
    ...house.filter((id) => !known(id)).map((id) => `${decision.id}: the house wants ${id}`),
    ...(decision.zone in species.sideMap.zones
      ? []
      : [`${decision.id}: no zone "${decision.zone}" on the map`]),
    ...(decision.needsAddOn && !addOns.some((each) => each.atom.id === decision.needsAddOn)
      ? [`${decision.id}: no add-on ${decision.needsAddOn}`]
      : []),
    ...decision.options.flatMap((option) =>
      option.products.flatMap((product) =>
        productProblems(species, option, product).map((each) => `${decision.id}.${option.id}: ${each}`),
      ),
    ),
  ];
}

/** Every parameter that a product reads. */
function paramsRead(product: Product): string[] {
  const { pieces, packs, saw, cure, lastRibs } = product;
  const named = [
    product.skinParam,
    product.coverParam,
    saw && 'param' in saw ? saw.param : undefined,
    pieces.kind === 'slices' ? pieces.thickness : undefined,
    pieces.kind === 'roasts' ? pieces.weight : undefined,
    packs.kind === 'single' ? undefined : packs.param,
    cure?.param,
    lastRibs?.param,
    ...product.claims.flatMap((claim) => [claim.onlyIf, claim.sharePctParam, claim.lessPer?.param]),
  ];
  return named.filter((id) => id !== undefined);
}

function productProblems(species: Species, option: Option, product: Product): string[] {
  const atoms = new Set(atomsOf(species).map((atom) => atom.id));
  const params = new Set((option.params ?? []).map((param) => param.id));
  const run = 'run' in product.pieces ? product.pieces.run : [];
  return [
    ...product.claims.filter((claim) => !atoms.has(claim.atom)).map((claim) => `no piece ${claim.atom}`),
    ...run.filter((id) => !atoms.has(id)).map((id) => `no piece ${id} to slice along`),
    ...paramsRead(product)
      .filter((id) => !params.has(id))
      .map((id) => `no parameter ${id}`),
    ...curesOffered(option, product)
      .filter((id) => !(id in species.cures))
      .map((id) => `no cure ${id}`),
  ];
}

/** Every cure that an answer can ask of a product. */
function curesOffered(option: Option, { cure }: Product): string[] {
  if (!cure) return [];
  if (cure.param === undefined) return [cure.method ?? 'cured'];
  const asked = option.params?.find((param) => param.id === cure.param);
  return asked?.kind === 'choice' ? Object.keys(asked.options).filter((id) => id !== 'fresh') : [];
}

function referenceProblems(species: Species): string[] {
  const atoms = new Set(atomsOf(species).map((atom) => atom.id));
  const hasOption = (decision: string, option: string) =>
    species.decisions.some((each) => each.id === decision && each.options.some(({ id }) => id === option));
  return [
    ...[...species.contests, ...species.watches].flatMap(({ atoms: named, sentence }) =>
      named.filter((id) => !atoms.has(id)).map((id) => `"${sentence}": no piece ${id}`),
    ),
    ...species.watches
      .filter((watch) => !species.decisions.some((each) => each.id === watch.decision))
      .map((watch) => `watch ${watch.id}: no decision ${watch.decision}`),
    ...species.grind.sacrifices
      .filter((each) => !hasOption(each.decision, each.option))
      .map((each) => `sacrifice ${each.id}: no ${each.decision}.${each.option}`),
  ];
}

function mapProblems({ sideMap }: Species): string[] {
  return Object.entries(sideMap.zones).flatMap(([zone, walk]) => [
    ...(zone in sideMap.labels ? [] : [`zone ${zone} has no place for its label`]),
    ...walk
      .filter((edge) => !(edge.replace(/^-/, '') in sideMap.edges))
      .map((edge) => `zone ${zone}: no edge ${edge}`),
  ]);
}
