import { cutNames } from './cutNames';
import { guideProblems } from './guideProblems';
import {
  TISSUES,
  type Atom,
  type Break,
  type Circumstance,
  type Decision,
  type Option,
  type Product,
  type Species,
} from './types';

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
    ...carcassProblems(species),
    ...mapProblems(species),
    ...guideProblems(species),
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
  const { option: own, then, beside } = decision.house;
  const special = (decision.house.when ?? []).flatMap((each) => [each.option, each.then]);
  const house = [own, then, beside?.otherwise, ...special].filter((id) => id !== undefined);
  const circumstances = (decision.house.when ?? []).map((each) => each.if);
  const { addOns } = species.atlas;
  return [
    ...house.filter((id) => !known(id)).map((id) => `${decision.id}: the house wants ${id}`),
    ...circumstances
      .flatMap((each) => circumstanceProblems(species, each))
      .map((each) => `${decision.id}: ${each}`),
    ...(decision.zone in species.sideMap.zones
      ? []
      : [`${decision.id}: no zone "${decision.zone}" on the map`]),
    ...(decision.needsAddOn && !addOns.some((each) => each.atom.id === decision.needsAddOn)
      ? [`${decision.id}: no add-on ${decision.needsAddOn}`]
      : []),
    ...decision.options.flatMap(({ id, takesOver = [] }) =>
      takesOver
        .filter((other) => other !== '*' && !species.decisions.some((each) => each.id === other))
        .map((other) => `${decision.id}.${id}: takes over ${other}, which is not asked`),
    ),
    ...decision.options.flatMap((option) =>
      option.products.flatMap((product) =>
        productProblems(species, option, product).map((each) => `${decision.id}.${option.id}: ${each}`),
      ),
    ),
  ];
}

function circumstanceProblems({ types, flags }: Species, said: Circumstance): string[] {
  const unknown = (wanted: readonly string[] = [], known: readonly { readonly id: string }[]) =>
    wanted.filter((id) => !known.some((each) => each.id === id));
  return [
    ...unknown(said.types, types).map((id) => `no type ${id}`),
    ...unknown(said.flags, flags).map((id) => `no flag ${id}`),
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
    pieces.kind === 'slices' ? pieces.parts : undefined,
    pieces.kind === 'discs' ? pieces.perPiece : undefined,
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
  const { pieces } = product;
  const run =
    'run' in pieces ? [...pieces.run, ...(pieces.kind === 'slices' ? (pieces.alongside ?? []) : [])] : [];
  return [
    ...product.claims.filter((claim) => !atoms.has(claim.atom)).map((claim) => `no piece ${claim.atom}`),
    ...run.filter((id) => !atoms.has(id)).map((id) => `no piece ${id} to slice along`),
    ...paramsRead(product)
      .filter((id) => !params.has(id))
      .map((id) => `no parameter ${id}`),
    ...(product.claims.some((claim) => species.onePerCarcass.includes(claim.atom)) && !product.acrossSides
      ? ['an animal has one of it, and each side would count it']
      : []),
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

/** What breaks, schools, shifts and flags say of atoms and places that are not there. */
function carcassProblems(species: Species): string[] {
  const { atlas, breaks, schools, shifts, flags, types, faceTrim, names } = species;
  const atoms = new Set(atlas.atoms.map((atom) => atom.id));
  const missing = (where: string, ids: readonly string[]) =>
    ids.filter((id) => !atoms.has(id)).map((id) => `${where}: no piece ${id}`);
  const cuts = new Set(cutNames(species).map(({ cut }) => cut));
  return [
    ...breaks.flatMap((each) => breakProblems(species, each)),
    ...schools.flatMap((school) => [
      ...Object.entries(school.breaks)
        .filter(([id, place]) => !hasPlace(species, id, place))
        .map(([id, place]) => `school ${school.id}: no ${id} ${place}`),
      ...Object.keys(school.names)
        .filter((cut) => !cuts.has(cut))
        .map((cut) => `school ${school.id}: no cut "${cut}"`),
    ]),
    ...names
      .filter((name) => !cuts.has(name.cut))
      .map((name) => `name "${name.say[0]}": no cut "${name.cut}"`),
    ...missing('fatness', Object.keys(shifts.fatness.sensitivity?.atoms ?? {})),
    ...missing('eye', shifts.eye?.atoms ?? []),
    ...flags.flatMap((flag) => missing(`flag ${flag.id}`, [...flag.wastes, ...flag.forbids])),
    ...types.flatMap((type) => missing(`type ${type.id}`, Object.keys(type.atoms ?? {}))),
    ...missing(
      'face trim',
      (faceTrim?.where ?? []).flatMap((place) => place.atoms),
    ),
    ...missing('one per carcass', species.onePerCarcass),
    ...missing('split bones', species.splitBones),
    ...(atlas.skinning
      ? missing('skinning', [atlas.skinning.back, ...atlas.skinning.covers, ...atlas.skinning.gone])
      : []),
    ...quarterProblems(species),
  ];
}

function hasPlace({ breaks }: Species, id: string, place: string): boolean {
  return breaks.some((each) => each.id === id && each.places.some((at) => at.id === place));
}

function breakProblems(species: Species, broken: Break): string[] {
  const { atlas } = species;
  const moves = [
    ...(broken.foreToHind ?? []),
    ...(broken.hindToFore ?? []),
    ...broken.places.flatMap((place) => place.moves ?? []),
  ];
  const ids = moves.flatMap((move) => [move.from, move.to]);
  const away = [
    broken.foreToHind ?? [],
    broken.hindToFore ?? [],
    ...broken.places.map((at) => at.moves ?? []),
  ];
  return [
    ...(hasPlace(species, broken.id, broken.reference) ? [] : [`break ${broken.id}: no ${broken.reference}`]),
    ...ids
      .filter((id) => !atlas.atoms.some((atom) => atom.id === id))
      .map((id) => `break ${broken.id}: no piece ${id}`),
    ...broken.places
      .filter((place) => place.behind !== undefined && !atlas.vertebrae.includes(place.behind))
      .map((place) => `break ${broken.id}: ${place.behind} is not on the spine`),
    ...away.flatMap((list) =>
      list
        .filter(
          (each) => sum(list.filter((at) => at.from === each.from).map((at) => at.share ?? 1)) > 1 + 1e-9,
        )
        .map((each) => `break ${broken.id}: more than all of ${each.from} moves`),
    ),
  ];
}

/** Every primal is in one quarter, where the species is quartered. */
function quarterProblems({ atlas }: Species): string[] {
  const { quarters } = atlas;
  if (!quarters) return [];
  return [...new Set(atlas.atoms.map((atom) => atom.primal))]
    .filter((primal) => quarters.fore.includes(primal) === quarters.hind.includes(primal))
    .map((primal) => `quarters: ${primal} is not in one of the two`);
}

function mapProblems({ sideMap }: Species): string[] {
  const ribs = (sideMap.ribs ?? []).flatMap(({ back, front }) => [back, front]);
  const unknown = ribs.filter((edge) => !(edge in sideMap.edges)).map((edge) => `ribs: no edge ${edge}`);
  return [...unknown, ...zoneProblems(sideMap)];
}

function zoneProblems(sideMap: Species['sideMap']): string[] {
  return Object.entries(sideMap.zones).flatMap(([zone, walk]) => [
    ...(zone in sideMap.labels ? [] : [`zone ${zone} has no place for its label`]),
    ...walk
      .filter((edge) => !(edge.replace(/^-/, '') in sideMap.edges))
      .map((edge) => `zone ${zone}: no edge ${edge}`),
  ]);
}
