import { rateWords, type PriceList } from '../charges/priceList';
import { houseWay } from '../sheet/houseSheet';
import { numberedOptions } from '../sheet/digits';
import { decisionsAsked, type Situation } from '../sheet/situation';

/** An answer as a household reads it: what it is, what it gives and takes, what it costs besides. */
type BlankAnswer = {
  /** What is typed for it when the paper is entered; empty where there are more ways than digits. */
  readonly digit: string;
  readonly label: string;
  readonly note: string;
  readonly cost: string;
  readonly house: boolean;
};

/** The blank sheet of a species: all that can be asked for, in the cutter's order, with the prices of the day. */
export type BlankSheet = {
  readonly shopName: string;
  readonly species: string;
  readonly prices: string;
  readonly charges: readonly string[];
  readonly decisions: readonly {
    readonly title: string;
    readonly reason: string;
    readonly answers: readonly BlankAnswer[];
  }[];
  readonly kinds: readonly { readonly name: string; readonly made: string; readonly contains: string }[];
  readonly cautions: readonly string[];
};

/** Made from the same data as the sheet that the counter fills. */
export function blankSheetOf(
  situation: Situation,
  { shopName, list }: { shopName: string; list: PriceList | undefined },
): BlankSheet {
  const { species } = situation;
  const rules = (list?.rules ?? []).filter((rule) => rule.species?.includes(species.id) ?? true);
  const price = (keys: readonly string[]) =>
    rules
      .filter((rule) => rule.key !== undefined && keys.includes(rule.key) && rule.payer !== 'farm')
      .map((rule) => `${rule.label.toLowerCase()} ${rateWords(rule, list!.sign)}`)
      .join(', ');
  return {
    shopName,
    species: species.name,
    prices: list ? `${list.name}, in force from ${list.effectiveFrom}` : 'ask for our prices',
    charges: rules
      .filter((rule) => rule.key === undefined)
      .map(
        (rule) =>
          `${rule.label}: ${rateWords(rule, list!.sign)}${rule.payer === 'farm' ? ', the farm pays' : ''}`,
      ),
    decisions: decisionsAsked(situation).map((decision) => {
      const way = houseWay(decision, situation);
      return {
        title: decision.title,
        reason: way.reason,
        answers: numberedOptions(decision, situation).map(({ option, digit }) => ({
          digit,
          label: option.label,
          note: option.note ?? '',
          cost: price([
            ...new Set(
              option.products.flatMap(({ charges, cure }) => [...charges, ...(cure?.charges ?? [])]),
            ),
          ]),
          house: way.options.includes(option.id),
        })),
      };
    }),
    kinds: species.recipes.map(({ name, forms, allergens }) => ({
      name,
      made: forms.join(', '),
      contains: allergens.join(', '),
    })),
    cautions: species.cautions.filter(({ where }) => where === 'label').map(({ text }) => text),
  };
}
