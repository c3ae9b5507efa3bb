import { failure, success, type Result } from '../quantity/result';
import { formatWeight, sumWeights, ZERO_WEIGHT, type Weight } from '../quantity/weight';

/**
 * Where weight can be. `intake` is the outside world that animals come from, `added` the one that water and seasoning
 * come from; every other kind holds or has lost weight that came in through them.
 */
export const ACCOUNT_KINDS = [
  'intake',
  'added',
  'side',
  'share',
  'tub',
  'batch',
  'cure',
  'package',
  'bone',
  'fat',
  'skin',
  'inedible',
  'shrink',
  'cure-change',
  'grinder',
  'pooled',
  'unaccounted',
] as const;
export type AccountKind = (typeof ACCOUNT_KINDS)[number];

/** An account is a kind and whose it is: a side, a share, a cut of a share, a package. */
export type Account = { readonly kind: AccountKind; readonly owner: string };

/** A signed movement: weight comes into an account above zero and leaves it below. */
export type Posting = Account & { readonly weight: Weight };

export class UnbalancedTransactionError extends Error {
  constructor(readonly gap: Weight) {
    super(`A weight transaction must add up to zero; this one is off by ${formatWeight(gap, 3)}.`);
    this.name = 'UnbalancedTransactionError';
  }
}

/** What is left when all postings are added: zero for an honest transaction. */
export function gapOf(postings: readonly Posting[]): Weight {
  return sumWeights(postings.map((posting) => posting.weight));
}

/**
 * Postings that may be written as one transaction.
 *
 * @throws UnbalancedTransactionError when they do not add up to zero
 * @throws RangeError when there are fewer than two, or one moves nothing
 */
export function balanced(postings: readonly Posting[]): readonly Posting[] {
  const gap = gapOf(postings);
  if (gap !== 0) throw new UnbalancedTransactionError(gap);
  if (postings.length < 2) throw new RangeError(`"postings" expected two or more, got ${postings.length}`);
  if (postings.some((posting) => posting.weight === 0 || !Number.isInteger(posting.weight))) {
    throw new RangeError('"postings" expected whole weights other than zero');
  }
  return postings;
}

/**
 * Moves a weight from one account to another.
 *
 * @param moved - thousandths, not zero
 */
export function move(from: Account, to: Account, moved: Weight): readonly Posting[] {
  return balanced([
    { ...from, weight: -moved as Weight },
    { ...to, weight: moved },
  ]);
}

/** The postings that undo a transaction; the original stays. */
export function reversed(postings: readonly Posting[]): readonly Posting[] {
  return balanced(postings.map((posting) => ({ ...posting, weight: -posting.weight as Weight })));
}

/** What an account holds under these postings. */
export function balanceOf(postings: Iterable<Posting>, account: Account): Weight {
  let total = 0;
  for (const posting of postings) {
    if (posting.kind === account.kind && posting.owner === account.owner) total += posting.weight;
  }
  return total as Weight;
}

/** What all accounts of a kind hold under these postings. */
export function balanceOfKind(postings: Iterable<Posting>, kind: AccountKind): Weight {
  let total = 0;
  for (const posting of postings) if (posting.kind === kind) total += posting.weight;
  return total as Weight;
}

/** What accounts hold, by kind and owner, each once; accounts that come out empty are left out. */
export function balances(postings: Iterable<Posting>): Posting[] {
  const accounts = new Map<string, Posting>();
  for (const { kind, owner, weight } of postings) {
    const account = `${kind} ${owner}`;
    const sum = ((accounts.get(account)?.weight ?? 0) + weight) as Weight;
    accounts.set(account, { kind, owner, weight: sum });
  }
  return [...accounts.entries()]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([, posting]) => posting)
    .filter((posting) => posting.weight !== 0);
}

/** What leaves the block and reaches no box. */
export const BARRELS = ['bone', 'fat', 'skin', 'inedible'] as const;
export type Barrel = (typeof BARRELS)[number];

/** Where a pack's weight comes from; `ends` is what slicing left of what was cured, the owner's as well. */
export const PACK_SOURCES = ['share', 'tub', 'batch', 'cure', 'ends'] as const;
export type PackSource = (typeof PACK_SOURCES)[number];

/** What is put on the scale, and where it comes from and goes to. */
export type WeighingPurpose =
  | { readonly kind: 'package'; readonly from: PackSource; readonly lineKey: string }
  /** From the block, or ground from the tub. */
  | { readonly kind: 'green'; readonly from?: 'tub' | 'batch'; readonly lineKey: string }
  /** Into which of the share's tubs; none where trim is not parted. */
  | { readonly kind: 'tub'; readonly grade?: string }
  | { readonly kind: 'barrel'; readonly barrel: Barrel };

/** The account of a cut that lies in cure. */
export function cureAccount(shareId: string, lineKey: string): Account {
  return { kind: 'cure', owner: `${shareId}/${lineKey}` };
}

/** The account of what is being ground and mixed for a line of a share. */
export function batchAccount(shareId: string, lineKey: string): Account {
  return { kind: 'batch', owner: `${shareId}/${lineKey}` };
}

/** The line of the sheet that lies in a cure's account. */
export function lineOfCure({ owner }: Account): string {
  return owner.slice(owner.indexOf('/') + 1);
}

/** What was weighed, for whom, and what for. */
export type WeighedNet = {
  readonly shareId: string;
  /** Names the package account. */
  readonly weighingId: string;
  readonly purpose: WeighingPurpose;
  readonly net: Weight;
};

/**
 * The postings of one weighing for a share.
 *
 * @returns the postings, or why there is nothing to post
 */
export function postWeighing({
  shareId,
  weighingId,
  purpose,
  net,
}: WeighedNet): Result<readonly Posting[], 'nothing-on-the-scale'> {
  if (net <= 0) {
    return failure(
      'nothing-on-the-scale',
      'There is nothing on the scale. Put the pack on and wait for steady.',
    );
  }
  const share: Account = { kind: 'share', owner: shareId };
  const tub: Account = { kind: 'tub', owner: shareId };
  switch (purpose.kind) {
    case 'package': {
      const { lineKey } = purpose;
      const sources = {
        share,
        tub,
        batch: batchAccount(shareId, lineKey),
        cure: cureAccount(shareId, lineKey),
        ends: cureAccount(shareId, lineKey),
      };
      return success(move(sources[purpose.from], { kind: 'package', owner: weighingId }, net));
    }
    case 'green': {
      const from = { share, tub, batch: batchAccount(shareId, purpose.lineKey) }[purpose.from ?? 'share'];
      return success(move(from, cureAccount(shareId, purpose.lineKey), net));
    }
    case 'tub':
      return success(move(share, tub, net));
    case 'barrel':
      return success(move(share, { kind: purpose.barrel, owner: shareId }, net));
  }
}

/** How the accounts of a side stand after its tickets: what came in, what the air took, what hangs. */
export function sideStanding(sideId: string, hot: Weight, cold: Weight | undefined): readonly Posting[] {
  const hangs = cold ?? hot;
  const accounts: Posting[] = [
    { kind: 'intake', owner: sideId, weight: -hot as Weight },
    { kind: 'side', owner: sideId, weight: hangs },
    { kind: 'shrink', owner: sideId, weight: (hot - hangs) as Weight },
  ];
  return accounts.filter((posting) => posting.weight !== 0);
}

/**
 * The postings that bring accounts from how they stand to how they should: the first ticket as well as any
 * correction. Empty when nothing changes.
 */
export function adjustment(current: readonly Posting[], wanted: readonly Posting[]): readonly Posting[] {
  const accounts = new Map<string, Posting>();
  for (const posting of [...current, ...wanted]) {
    accounts.set(`${posting.kind} ${posting.owner}`, posting);
  }
  const changes = [...accounts.values()].flatMap((account) => {
    const change = (balanceOf(wanted, account) - balanceOf(current, account)) as Weight;
    return change === 0 ? [] : [{ kind: account.kind, owner: account.owner, weight: change }];
  });
  return changes.length === 0 ? [] : balanced(changes);
}

/** A side goes to the block: from here on it is its share's meat. */
export function postToBlock(sideId: string, shareId: string, cold: Weight): readonly Posting[] {
  return move({ kind: 'side', owner: sideId }, { kind: 'share', owner: shareId }, cold);
}

/** The end of a share's part of a batch: a film stays in the grinder, and what a pool could not part evenly is said. */
export function postBatchEnd(
  shareId: string,
  lineKey: string,
  { film, given }: { readonly film: Weight; readonly given: Weight },
): readonly Posting[] {
  const postings: Posting[] = [
    { ...batchAccount(shareId, lineKey), weight: -(film + given) as Weight },
    { kind: 'grinder', owner: shareId, weight: film },
    { kind: 'pooled', owner: shareId, weight: given },
  ];
  const moved = postings.filter(({ weight }) => weight !== 0);
  return moved.length === 0 ? [] : balanced(moved);
}

/**
 * Closing a share empties what is still open: meat not weighed is unaccounted, what is left of tub and batches stayed in the
 * grinder, the rest of each cure is what cure and smoke changed.
 *
 * @param held - what the share's open accounts hold now
 */
export function postClosing(shareId: string, held: readonly Posting[]): readonly Posting[] {
  const closesTo: Partial<Record<AccountKind, AccountKind>> = {
    share: 'unaccounted',
    tub: 'grinder',
    batch: 'grinder',
    cure: 'cure-change',
  };
  return held.flatMap((open) => {
    const target = closesTo[open.kind];
    if (!target || open.weight === ZERO_WEIGHT) return [];
    return move({ kind: open.kind, owner: open.owner }, { kind: target, owner: shareId }, open.weight);
  });
}
