import { breakPlan, placeOf } from '../carcass/breaks';
import type { Part } from '../carcass/condition';
import { counted } from '../quantity/counted';
import { inSentence } from '../quantity/inSentence';
import { listed } from '../quantity/listed';
import { formatWeight } from '../quantity/weight';
import { extrasSummary, grindSummary } from '../sheet/summary';
import { decisionsAsked, optionById, type Situation } from '../sheet/situation';
import { takenOver, takenWords } from '../sheet/takenOver';
import type { Answer } from '../sheet/types';
import { answerOn } from '../sheet/wishes';
import type { Break, Decision, Option } from '../species/types';
import { formsOf, isAllGround, says, type FormWords } from './inWords';
import { animalWords, cutName } from '../order/naming';
import type { ShareFile } from '../order/shareFile';
import { coldWeight, daysHung, openQuestions, planOf, sheetInForce } from '../order/standing';

/** One thing to cut: what it is, what is wanted of it, how large, and how much of it there should be. */
export type BlockRow = {
  readonly title: string;
  readonly forms: readonly FormWords[];
  /** `about 17 pieces in 9 packs`; empty where nothing is packed of it. */
  readonly count: string;
  readonly isGround: boolean;
  /** What is wanted on the other side, where that is something else. */
  readonly otherSide: string;
};

/** One page for the block: a quarter, or a side that is not quartered, in the order in which it is broken. */
export type BlockPage = {
  readonly title: string;
  readonly breaks: readonly string[];
  /** What is pulled by hand before any saw. */
  readonly first: readonly BlockRow[];
  readonly rows: readonly BlockRow[];
  /** What must not be cut as usual because of this sheet. */
  readonly protect: readonly string[];
};

/** What the cutter gets on paper: no prices and no telephone numbers. */
export type BlockSheet = {
  readonly order: number;
  readonly name: string;
  readonly about: string;
  /** `approved`, or why it must not be cut yet. */
  readonly stands: string;
  readonly isApproved: boolean;
  /** Words that stop the cutter once. */
  readonly words: string;
  readonly warnings: readonly string[];
  readonly pages: readonly BlockPage[];
  readonly grind: string;
  readonly extras: string;
  readonly cautions: readonly string[];
};

const QUARTER_WORDS: Readonly<Record<Part, string>> = {
  side: '',
  fore: ', fore quarter',
  hind: ', hind quarter',
};

/** The paper of a share for the block, a page for each quarter of each of its sides. */
export function blockSheetOf(file: ShareFile, now: Date): BlockSheet {
  const { situation, share, animal } = file;
  const { species, unit } = situation;
  const sheet = sheetInForce(file);
  const open = openQuestions(file).filter(({ blocks }) => blocks).length;
  const carried = situation.condition?.flags ?? [];
  return {
    order: share.number,
    name: cutName(file),
    about: `${animalWords(file)}; hung ${counted(daysHung(file, now), 'day')}; ${formatWeight(coldWeight(file), 1)} ${unit}`,
    stands: file.sheet?.approved
      ? 'approved'
      : open > 0
        ? `NOT APPROVED: ${counted(open, 'question')} open`
        : 'NOT APPROVED',
    isApproved: file.sheet?.approved === true,
    words: sheet.instructions,
    warnings: [
      ...species.flags.filter(({ id }) => carried.includes(id)).map(({ sentence }) => sentence),
      ...(situation.condition?.rite ? [`Kept apart: ${situation.condition.rite}.`] : []),
      ...(animal.inspection === 'custom-exempt' ? ['Not for sale: for the owner’s household.'] : []),
    ],
    pages: file.sides.flatMap(({ side: { position } }, index) =>
      quartersOf(situation).map((part) => {
        const where = `${animal.tag} ${position}${QUARTER_WORDS[part]}`;
        return pageOf(file, { part, side: index === 0 ? 1 : 2 }, where);
      }),
    ),
    grind: grindSummary(species, sheet.grind, unit),
    extras: extrasSummary(species, { ...sheet, offal: [] }),
    cautions: species.cautions.filter(({ where }) => where === 'block').map(({ text }) => text),
  };
}

/** A side comes to the block in quarters where its species is quartered. */
function quartersOf({ species, part = 'side' }: Situation): Part[] {
  if (part !== 'side') return [part];
  return species.atlas.quarters ? ['fore', 'hind'] : ['side'];
}

function pageOf(
  file: ShareFile,
  { part, side }: { readonly part: Part; readonly side: 1 | 2 },
  title: string,
): BlockPage {
  const { situation } = file;
  const sheet = sheetInForce(file);
  const decisions = [...decisionsAsked({ ...situation, part })].sort((a, b) => a.step - b.step);
  const answerTo = (id: string, on: 1 | 2 = side) => answerOn(sheet, id, on);
  const taken = takenOver(situation.species, (id) => answerTo(id));
  const both = situation.sides === 2;
  const rows = decisions.map((decision) => {
    const taker = taken.get(decision.id);
    const answer = answerTo(decision.id);
    const other = both ? answerTo(decision.id, side === 1 ? 2 : 1) : undefined;
    const row: BlockRow = {
      title: decision.title,
      forms: taker ? [{ says: takenWords(taker), sizes: [] }] : formsOf(decision, answer, situation),
      count: taker ? '' : countOf(file, decision),
      isGround: !taker && answer !== undefined && isAllGround(decision, answer),
      otherSide: other && other !== answer ? says(decision, other) : '',
    };
    const isKept = answer?.forms.some(({ option }) => optionById(decision, option).products.length > 0);
    return { row, isFirst: decision.pulledFirst === true && isKept === true };
  });
  return {
    title,
    breaks: breaksOf(situation, part),
    first: rows.filter(({ isFirst }) => isFirst).map(({ row }) => row),
    rows: rows.filter(({ isFirst }) => !isFirst).map(({ row }) => row),
    protect: protectedOf(situation, decisions, (id) => answerTo(id)),
  };
}

/** How many pieces and packs there should be, over all sides of the share. */
function countOf(file: ShareFile, decision: Decision): string {
  const lines = planOf(file).expected.lines.filter((line) => line.decision === decision.id);
  const packs = lines.reduce((sum, line) => sum + line.packs, 0);
  if (packs === 0) return '';
  const pieces = lines.every((line) => line.pieces !== null)
    ? lines.reduce((sum, line) => sum + line.pieces!, 0)
    : undefined;
  const over = file.situation.sides === 2 ? ', both sides' : '';
  return `about ${pieces === undefined ? '' : `${counted(pieces, 'piece')} in `}${counted(packs, 'pack')}${over}`;
}

/** Where this part of the carcass is broken: `Chuck from rib: between ribs 5 and 6`. */
function breaksOf({ species, school, breaks }: Situation, part: Part): string[] {
  const plan = breakPlan(species, school, breaks);
  return species.breaks
    .filter((each) => part === 'side' || isOn(each, part, species))
    .map((each) => `${each.title}: ${placeOf(each, plan[each.id]!).label}`);
}

/** Quarters are parted by one break, which stands on both; any other is where the atoms are that it moves. */
function isOn(
  { foreToHind = [], hindToFore = [], places }: Break,
  part: Exclude<Part, 'side'>,
  { atlas }: Situation['species'],
): boolean {
  const moves = [...foreToHind, ...hindToFore, ...places.flatMap((place) => place.moves ?? [])];
  const primals = atlas.quarters?.[part] ?? [];
  return moves
    .flatMap(({ from, to }) => [from, to])
    .some((id) => atlas.atoms.some((atom) => atom.id === id && primals.includes(atom.primal)));
}

/** Of pieces that exclude each other: what has them on this sheet, and what must then do without. */
function protectedOf(
  { species }: Situation,
  decisions: readonly Decision[],
  answerTo: (id: string) => Answer | undefined,
): string[] {
  return species.contests.flatMap(({ atoms }) => {
    const wanting = decisions.filter(({ options }) =>
      options.some((option) => !option.takesOver && claims(option, atoms)),
    );
    const holds = (decision: Decision) =>
      answerTo(decision.id)?.forms.some(({ option }) => claims(optionById(decision, option), atoms));
    const holders = decisions
      .filter(holds)
      .map(
        (decision) => `${inSentence(decision.title)} (${inSentence(says(decision, answerTo(decision.id)!))})`,
      );
    const without = wanting.filter((decision) => !holds(decision)).map(({ title }) => inSentence(title));
    if (holders.length === 0 || without.length === 0) return [];
    const piece = species.atlas.atoms.find(({ id }) => id === atoms[0])!.name;
    return [`${piece}: with ${listed(holders)}, not for ${listed(without)}.`];
  });
}

function claims({ products }: Option, atoms: readonly string[]): boolean {
  return products.some((product) =>
    product.claims.some((claim) => claim.yields !== true && atoms.includes(claim.atom)),
  );
}
