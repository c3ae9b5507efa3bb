import type { ForecastLine } from '../forecast/types';
import { BARRELS, type Barrel } from '../ledger/ledger';
import { counted } from '../quantity/counted';
import { formatWeight, sumWeights, type Weight } from '../quantity/weight';
import type { ShareFile } from './shareFile';
import { reconciliationOf } from './settling';
import { planOf } from './standing';
import type { Weighing } from './work';

/** What may explain weight that nothing accounts for, found in the entries themselves. */
export type LikelyReason = {
  readonly kind: 'packs' | 'barrel' | 'tub' | 'typed' | 'light' | 'twice';
  readonly words: string;
  /** What it would explain; below zero where more was weighed than there was. */
  readonly weight: Weight;
  /** The entry it is pinned to; undefined where there is none and that is the matter. */
  readonly weighingId?: string;
  readonly lineKey: string;
  /** The barrel or tub that it is about. */
  readonly part?: Barrel | 'inTub';
};

/** So many are shown; more is no help. */
const MOST_SHOWN = 3;
/** Drip, saw dust and drying take about this of the cold weight, and want no reason. */
const USUAL_SHARE = 0.02;
/** Less than this of the cold weight explains nothing. */
const LEAST_SHARE = 0.002;
/** A barrel, a tub or a line of packs that holds less than this of what was expected is asked about. */
const FULL = 0.75;
const LINE_FULL = 0.9;
/** A typed weight so far beside an even share of its line may be a slip. */
const SLIP = 0.2;
/** Two loads of the same weight so soon after each other may be one. */
const SOON_MS = 90_000;

const BARREL_WORDS: Readonly<Record<Barrel, string>> = {
  bone: 'The bone barrel',
  fat: 'Fat out',
  skin: 'Skin',
  inedible: 'Glands and condemned',
};

/**
 * The likeliest reasons for a balance beyond what is usual, nearest to what is missing first. No two of them explain the
 * same pounds: each entry, line or barrel is named once. Empty while the balance is usual.
 */
export function likelyReasons(file: ShareFile): LikelyReason[] {
  const { unaccounted, cold, verdict } = reconciliationOf(file);
  if (verdict !== 'ask' && verdict !== 'investigate') return [];
  const excess = unaccounted - cold * USUAL_SHARE;
  const found = unaccounted < 0 ? tooMuch(file) : [...lines(file), ...barrels(file), ...tub(file)];
  const one = new Map<string, LikelyReason>();
  for (const each of found.sort((a, b) => Math.abs(a.weight - excess) - Math.abs(b.weight - excess))) {
    const about = each.lineKey === '' ? each.words : each.lineKey;
    if (Math.abs(each.weight) >= cold * LEAST_SHARE && !one.has(about)) one.set(about, each);
  }
  return [...one.values()].slice(0, MOST_SHOWN);
}

function show(file: ShareFile, weight: number): string {
  return `${formatWeight(Math.round(weight) as Weight, 1)} ${file.shop.unit}`;
}

/** Lines with packs that are not there, packs that were typed, and lines that are light for their packs. */
function lines(file: ShareFile): LikelyReason[] {
  const settled = new Set(file.notes.map(({ lineKey }) => lineKey));
  // What is ground comes out of the tub: its packs and the tub are the same pounds.
  const cut = planOf(file).expected.lines.filter(({ kind }) => kind !== 'grind');
  return cut.flatMap((line): LikelyReason[] => {
    const packs = file.weighings.filter((each) => each.kind === 'package' && each.lineKey === line.key);
    if (line.packs === 0) return [];
    if (line.cure !== null) return greenMissing(file, line);
    const perPack = line.packaged / line.packs;
    const missing = line.packs - packs.length;
    const short = line.packaged - sumWeights(packs.map(({ net }) => net));
    const typed = packs.flatMap((pack): LikelyReason[] => {
      const off = perPack - pack.net;
      if (pack.origin !== 'typed' || off < perPack * SLIP) return [];
      const words = `${line.cut}, label ${pack.serial}: ${show(file, pack.net)} was typed, about ${show(file, perPack)} is expected`;
      return [{ kind: 'typed', words, weight: off as Weight, weighingId: pack.id, lineKey: line.key }];
    });
    if (missing > 0 && (packs.length === 0 || !settled.has(line.key))) {
      const words = `${line.cut}: ${counted(missing, 'pack')} of ${line.packs} ${missing === 1 ? 'is' : 'are'} not weighed`;
      return [{ kind: 'packs', words, weight: (missing * perPack) as Weight, lineKey: line.key }, ...typed];
    }
    if (short > line.packaged * (1 - LINE_FULL)) {
      const words = `${line.cut}: ${counted(packs.length, 'pack')} weigh ${show(file, short)} less than expected`;
      return [...typed, { kind: 'light', words, weight: short as Weight, lineKey: line.key }];
    }
    return typed;
  });
}

/** What goes into a cure leaves the block by its green weight. */
function greenMissing(file: ShareFile, line: ForecastLine): LikelyReason[] {
  const isIn = file.weighings.some(({ kind, lineKey }) => kind === 'green' && lineKey === line.key);
  if (isIn) return [];
  const green = (line.packaged + line.cureLoss) as Weight;
  const words = `${line.cut} was not weighed green; about ${show(file, green)} is expected`;
  return [{ kind: 'packs', words, weight: green, lineKey: line.key }];
}

function barrels(file: ShareFile): LikelyReason[] {
  const { losses } = planOf(file).expected;
  return BARRELS.flatMap((barrel) => {
    const held = netOf(file, (each) => each.kind === 'barrel' && each.source === barrel);
    return halfEmpty(file, {
      ...{ kind: 'barrel', part: barrel, name: BARREL_WORDS[barrel] },
      ...{ held, expected: losses[barrel] },
    });
  });
}

function tub(file: ShareFile): LikelyReason[] {
  const { lean, fatUsed } = planOf(file).expected.pool;
  const held = netOf(file, (each) => each.kind === 'tub');
  return halfEmpty(file, {
    kind: 'tub',
    part: 'inTub',
    name: 'The trim tub',
    held,
    expected: lean + fatUsed,
  });
}

type Held = {
  readonly kind: 'barrel' | 'tub';
  readonly part: NonNullable<LikelyReason['part']>;
  readonly name: string;
  readonly held: number;
  readonly expected: number;
};

function halfEmpty(file: ShareFile, { kind, part, name, held, expected }: Held): LikelyReason[] {
  if (held >= expected * FULL) return [];
  const words =
    held === 0
      ? `${name} was not weighed; about ${show(file, expected)} is expected`
      : `${name} holds ${show(file, held)}, about ${show(file, expected)} is expected`;
  return [{ kind, part, words, weight: (expected - held) as Weight, lineKey: '' }];
}

function netOf({ weighings }: ShareFile, of: (each: Weighing) => boolean): number {
  return sumWeights(weighings.filter(of).map(({ net }) => net));
}

/** More was weighed than there was: the same load twice, or a weight that was typed too high. */
function tooMuch(file: ShareFile): LikelyReason[] {
  const { lines: planned } = planOf(file).expected;
  return file.weighings.flatMap((each, at): LikelyReason[] => {
    const before = file.weighings
      .slice(0, at)
      .find((other) => isSame(other, each) && Date.parse(each.at) - Date.parse(other.at) < SOON_MS);
    const entry = { weighingId: each.id, lineKey: `${each.lineKey} ${each.serial}` };
    if (before) {
      const words = `${each.cut}: ${show(file, each.net)} twice within a minute and a half, ${before.serial} and ${each.serial}`;
      return [{ kind: 'twice', words, weight: -each.net as Weight, ...entry }];
    }
    const line = planned.find(({ key }) => key === each.lineKey);
    const perPack = line && line.packs > 0 ? line.packaged / line.packs : undefined;
    if (each.origin !== 'typed' || perPack === undefined || each.net < perPack * (1 + SLIP)) return [];
    const words = `${each.cut}, label ${each.serial}: ${show(file, each.net)} was typed, about ${show(file, perPack)} is expected`;
    return [{ kind: 'typed', words, weight: (perPack - each.net) as Weight, ...entry }];
  });
}

function isSame(a: Weighing, b: Weighing): boolean {
  return a.kind === b.kind && a.lineKey === b.lineKey && a.source === b.source && a.net === b.net;
}
