import { counted } from '../quantity/counted';
import { formatInches } from '../quantity/length';
import { formatWeight, weightField, type WeighingUnit } from '../quantity/weight';
import type { Decision, Option, ParamSpec, Species } from '../species/types';
import { grindSize } from './grindSizes';
import { optionById } from './situation';
import type { Amount, Answer, Form, GrindOrder, Sheet, Wrap } from './types';

/** How much a form takes, as people say it. */
export function amountWords(amount: Amount, unit: WeighingUnit): string {
  switch (amount.kind) {
    case 'rest':
      return 'the rest';
    case 'share':
      return `${amount.pct} %`;
    case 'packs':
      return counted(amount.count, 'pack') + sideWords(amount);
    case 'pieces':
      return counted(amount.count, 'piece') + sideWords(amount);
    case 'weight':
      return `${formatWeight(amount.weight, unit)} ${unit}${sideWords(amount)}`;
    case 'length':
      return formatInches(amount.inches);
  }
}

const sideWords = ({ eachSide }: { readonly eachSide?: boolean }) => (eachSide ? ' each side' : '');

/** A parameter's answer as people say it. */
export function paramWords(spec: ParamSpec, value: unknown, unit: WeighingUnit): string {
  switch (spec.kind) {
    case 'length':
      return formatInches(value as number);
    case 'weight':
      return `${weightField(value as never)} ${unit}`;
    case 'count':
      return String(value);
    case 'yesNo':
      return value === true ? 'yes' : 'no';
    case 'choice':
      return spec.options[value as string] ?? String(value);
  }
}

/** Parameters that say something beyond the default, with the thickness always. */
function formDetails(option: Option, form: Form, unit: WeighingUnit): string {
  return (option.params ?? [])
    .flatMap((spec) => {
      const value = form.params[spec.id];
      if (spec.id === 'thickness' || spec.id === 'cure') return [paramWords(spec, value, unit)];
      if (spec.kind === 'yesNo' && value === true) return [spec.label];
      return [];
    })
    .join(', ');
}

/** One line for a zone: `Butt roast, bone-in: 50 %, rest Blade steaks 3/4 in`. */
export function answerSummary(decision: Decision, answer: Answer, unit: WeighingUnit): string {
  return answer.forms
    .map((form, index) => {
      const option = optionById(decision, form.option);
      const details = formDetails(option, form, unit);
      const chosen = details ? `${option.label}, ${details}` : option.label;
      const words =
        form.otherwise === undefined ? chosen : `${chosen}${otherwiseWords(decision, form.otherwise)}`;
      if (answer.forms.length === 1) return words;
      if (form.amount.kind !== 'rest') return `${amountWords(form.amount, unit)} ${words}`;
      return index === answer.forms.length - 1 ? `rest ${words}` : words;
    })
    .join('; ');
}

function otherwiseWords(decision: Decision, otherwise: string): string {
  return ` (if it does not look right: ${optionById(decision, otherwise).label})`;
}

/** One line for the grind. */
export function grindSummary(species: Species, grind: GrindOrder, unit: WeighingUnit): string {
  const lines = grind.lines.map((line) => {
    const recipe = species.recipes.find((each) => each.id === line.recipe)?.name ?? line.recipe;
    const amount = line.amount.kind === 'rest' ? 'rest' : `${formatWeight(line.amount.weight, 1)} ${unit}`;
    const size = grindSize(line.form, line.size)?.label;
    const form = `${line.form === 'bulk' ? '' : ` in ${line.form}`}${size ? `, ${size}` : ''}`;
    return grind.lines.length === 1 ? `${recipe}${form}` : `${amount} ${recipe}${form}`;
  });
  return `${lines.join('; ')}, ${grind.fatPct} % fat${grind.picked ? ', picked by hand' : ''}`;
}

/** How a sheet is wrapped, in words. */
export const WRAP_WORDS: Readonly<Record<Wrap, string>> = { vacuum: 'vacuum bag', paper: 'film and paper' };

/** How it is wrapped, what is kept besides, and what is asked for at the kill: `vacuum bag, leaf lard kept`. */
export function extrasSummary(
  species: Species,
  { wrap, keeps, offal = [] }: Pick<Sheet, 'wrap' | 'keeps' | 'offal'>,
): string {
  const kept = species.poolKeeps.filter((keep) => keeps[keep.id]).map((keep) => keep.title.toLowerCase());
  const asked = species.offal.filter(({ id }) => offal.includes(id)).map(({ label }) => label.toLowerCase());
  const words = [WRAP_WORDS[wrap], ...kept.map((title) => `${title} kept`)].join(', ');
  return asked.length === 0 ? words : `${words}; from the kill floor: ${asked.join(', ')}`;
}

/** What is said of a row without the row's own name at its beginning: `Flank steak kept` is `kept`. */
export function withoutTitle(words: string, title: string): string {
  if (!words.toLowerCase().startsWith(title.toLowerCase())) return words;
  const rest = words.slice(title.length);
  return /^[\s,]+\S/.test(rest) ? rest.replace(/^[\s,]+/, '') : words;
}
