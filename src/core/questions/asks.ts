import { counted } from '../quantity/counted';
import { inSentence } from '../quantity/inSentence';
import { houseWay } from '../sheet/houseSheet';
import { optionById, whyNotOffered, type Situation } from '../sheet/situation';
import { withoutTitle } from '../sheet/summary';
import type { Decision, Option } from '../species/types';
import { titleOf, type Finding } from './findings';

/** Something to ask a household, in words to be read out. */
export type Ask = {
  /** The row that it leads to. */
  readonly decision: string;
  readonly title: string;
  readonly words: string;
  /** What the house would do, and why; empty where the house has no answer to it. */
  readonly house: string;
  /** Whether the sheet waits for it. */
  readonly waits: boolean;
};

/** More rows than these are not read out one by one: the sheet is gone through from its beginning. */
const MOST_READ_OUT = 12;

/** What is in doubt though nothing waits for it, in rows that are not open anyway. */
export function doubtsAmong(findings: readonly Finding[]): Finding[] {
  const open = new Set(findings.filter(({ blocks }) => blocks).map(({ decision }) => decision));
  return findings.filter(({ blocks, decision }) => !blocks && !open.has(decision));
}

/** What there is to ask about a sheet, what the sheet waits for first. */
export function asksOf(situation: Situation, findings: readonly Finding[]): Ask[] {
  const waited = findings.filter(({ blocks }) => blocks);
  return [...waited, ...doubtsAmong(findings)].map((finding) => askOf(situation, finding));
}

function askOf(situation: Situation, { kind, decision: row, sentence, blocks }: Finding): Ask {
  const ask = { decision: row, title: titleOf(situation.species, row), waits: blocks };
  const decision = situation.species.decisions.find(({ id }) => id === row);
  if (!decision) return { ...ask, words: sentence, house: '' };
  const way = houseWay(decision, situation);
  const house = `${said(decision, optionById(decision, way.options[0]!))}. ${way.reason}`;
  const words = kind === 'unanswered' ? choiceWords(decision, situation) : sentence;
  return { ...ask, words, house: blocks ? house : '' };
}

/** `Skirt: kept; or to grind?` Labels have commas of their own. */
function choiceWords(decision: Decision, situation: Situation): string {
  const offered = decision.options.filter((option) => whyNotOffered(option, situation) === undefined);
  const labels = offered.map((option) => said(decision, option));
  const last = labels.pop()!;
  return `${decision.title}: ${[...labels, labels.length > 0 ? `or ${last}` : last].join('; ')}?`;
}

/** A way as it is said after its row: `to grind`, not `skirt to grind`. */
function said({ title }: Decision, { label }: Option): string {
  return inSentence(withoutTitle(label, title));
}

/** The asks that are read out, and in one sentence what is left to the sheet itself. */
export function readOut(asks: readonly Ask[]): { readonly asks: readonly Ask[]; readonly more: string } {
  const waiting = asks.filter((ask) => ask.waits).length;
  if (waiting <= MOST_READ_OUT) return { asks, more: '' };
  return { asks: [], more: `${counted(waiting, 'row')} are open: go through the sheet with them.` };
}
