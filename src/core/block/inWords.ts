import { inSentence } from '../quantity/inSentence';
import type { WeighingUnit } from '../quantity/weight';
import { optionById } from '../sheet/situation';
import { amountWords, paramWords } from '../sheet/summary';
import type { Answer, Form } from '../sheet/types';
import type { Decision, Option } from '../species/types';

/** One form of an answer as the cutter reads it: what it is, and every size that was asked for. */
export type FormWords = { readonly says: string; readonly sizes: readonly string[] };

/** `Whole round steaks and stew`: an answer in one breath. */
export function says(decision: Decision, { forms }: Answer): string {
  return forms.map(({ option }) => optionById(decision, option).label).join(' and ');
}

export function isAllGround(decision: Decision, { forms }: Answer): boolean {
  return forms.every(({ option }) => {
    const { products, destination } = optionById(decision, option);
    return products.length === 0 && destination === 'grind';
  });
}

/** Sizes that the name of a cut does not say already. */
export function besidesName(sizes: readonly string[], cut: string): string[] {
  return sizes.filter((size) => !cut.toLowerCase().includes(size.toLowerCase()));
}

/** What goes into a pack is the wrap table's to know. */
const OF_PACKS = 'in a pack';

/**
 * The forms of an answer with their amounts and sizes.
 *
 * @param packs - whether what goes into a pack is among them
 */
export function formsOf(
  decision: Decision,
  answer: Answer | undefined,
  { unit, packs = true }: { readonly unit: WeighingUnit; readonly packs?: boolean },
): readonly FormWords[] {
  if (!answer) return [{ says: 'not answered: ask', sizes: [] }];
  return answer.forms.map((form, index) => {
    const option = optionById(decision, form.option);
    const otherwise =
      form.otherwise === undefined
        ? []
        : [`or ${inSentence(optionById(decision, form.otherwise).label)}, if it does not look right`];
    const isLast = index === answer.forms.length - 1;
    const amount =
      answer.forms.length === 1 || (form.amount.kind === 'rest' && !isLast)
        ? ''
        : `${amountWords(form.amount, unit)}: `;
    return {
      says: `${amount}${option.label}`,
      sizes: [
        ...sizesOf(option, form, unit).filter((size) => packs || !size.endsWith(OF_PACKS)),
        ...otherwise,
      ],
    };
  });
}

/** Every size that was asked for, as the cutter reads it: `1 in thick`, `1/4 in fat left on`, `skin on`. */
function sizesOf(option: Option, { params }: Form, unit: WeighingUnit): string[] {
  return (option.params ?? []).flatMap((spec) => {
    const value = params[spec.id];
    if (value === undefined || value === false || value === 0) return [];
    if (spec.kind === 'yesNo') return [spec.label];
    const words = paramWords(spec, value, unit);
    if (spec.kind === 'choice') return [words];
    return [/ (of|by)$/.test(spec.label) ? `${spec.label} ${words}` : `${words} ${spec.label}`];
  });
}
