import { besidesName } from '@/core/block/inWords';
import type { BlockWish } from '@/core/block/wishes';
import { inSentence } from '@/core/quantity/inSentence';
import type { Weight } from '@/core/quantity/weight';

/** One thing that is wanted, as it is read from two metres. */
export type Item = {
  readonly key: string;
  /** Pieces, or packs where pieces are not counted; empty where nothing is counted. */
  readonly count: string;
  readonly words: string;
  readonly sizes: string;
  readonly weight: Weight | null;
  readonly isOpen: boolean;
  readonly owner: string;
};

/** What is wanted at a step, what is packed first, the larger first. */
export function itemsOf(wishes: readonly BlockWish[]): Item[] {
  const items = wishes.flatMap(itemsOfRow);
  return [...items].sort((a, b) => Number(b.isOpen) - Number(a.isOpen) || (b.weight ?? 0) - (a.weight ?? 0));
}

function itemsOfRow(wish: BlockWish): Item[] {
  const { decision, title, forms, cuts, isOpen, owner, isGround } = wish;
  const plain = { count: '', sizes: '', weight: null, isOpen, owner };
  if (isOpen) return [{ ...plain, key: decision, words: `${title}: not answered, ask` }];
  if (cuts.length === 0) {
    const said = forms.map(({ says }) => says).join(' and ');
    return [{ ...plain, key: decision, words: isGround ? said : `${title}: ${inSentence(said)}` }];
  }
  return cuts.map(({ cut, pieces, packs, weight }, at) => {
    const form = forms[forms.length === cuts.length ? at : 0]!;
    const count = pieces ?? packs;
    return {
      ...plain,
      key: `${decision} ${cut} ${at}`,
      count: count > 1 ? String(count) : '',
      words: cut,
      sizes: besidesName(form.sizes, cut).join(', '),
      weight,
    };
  });
}
