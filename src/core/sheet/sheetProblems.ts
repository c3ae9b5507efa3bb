import type { FieldProblem } from '../quantity/result';
import { convertUnits, formatWeight, weight } from '../quantity/weight';
import { GRIND_FORMS } from '../species/types';
import { GRIND_SIZES } from './grindSizes';
import { paramProblem } from './params';
import { decisionsAsked, type Situation } from './situation';
import type { Amount, Form, Sheet } from './types';

/** Everything on a sheet that its species does not know or allow. A sheet with problems is not saved. */
export function sheetProblems(situation: Situation, sheet: Sheet): FieldProblem[] {
  const known = new Map(decisionsAsked(situation).map((decision) => [decision.id, decision]));
  const answerProblems = (['answers', 'secondSide'] as const).flatMap((where) =>
    Object.entries(sheet[where]).flatMap(([id, answer]) => {
      const decision = known.get(id);
      const field = `${where}.${id}`;
      if (!decision) return [{ field, message: notAsked(situation, id) }];
      if (answer.forms.length === 0) return [{ field, message: `${decision.title}: no form is given.` }];
      if (answer.forms.length > 1 && !decision.divisible) {
        return [{ field, message: `${decision.title} has one form only.` }];
      }
      return answer.forms.flatMap((form, at) =>
        formProblems(situation, decision, {
          form,
          field: `${field}.forms[${at}]`,
          forms: answer.forms.length,
        }),
      );
    }),
  );
  return [
    ...speciesProblem(situation, sheet),
    ...answerProblems,
    ...keepsProblems(situation, sheet),
    ...offalProblems(situation, sheet),
    ...grindProblems(situation, sheet),
  ];
}

function notAsked({ species }: Situation, id: string): string {
  const addOn = species.decisions.find((decision) => decision.id === id)?.needsAddOn;
  const words = `"${id}" is not asked of this ${species.name}`;
  return addOn === undefined ? `${words}.` : `${words} unless "${addOn}" is named among its add-ons.`;
}

function speciesProblem({ species }: Situation, sheet: Sheet): FieldProblem[] {
  if (sheet.species === species.id) return [];
  return [{ field: 'species', message: `This sheet is for ${sheet.species}, the animal is ${species.id}.` }];
}

function keepsProblems({ species }: Situation, { keeps }: Sheet): FieldProblem[] {
  const known = new Set(species.poolKeeps.map((keep) => keep.id));
  return Object.keys(keeps)
    .filter((id) => !known.has(id))
    .map((id) => ({
      field: `keeps.${id}`,
      message: `"${id}" is nothing that is kept of this ${species.name}.`,
    }));
}

function offalProblems({ species }: Situation, { offal = [] }: Sheet): FieldProblem[] {
  const known = species.offal.map((each) => each.id);
  return offal.flatMap((id, at) =>
    known.includes(id)
      ? []
      : [
          {
            field: `offal[${at}]`,
            message: `"${id}" is no offal of a ${species.name}. Known: ${known.join(', ')}.`,
          },
        ],
  );
}

function formProblems(
  situation: Situation,
  decision: Situation['species']['decisions'][number],
  { form, field, forms }: { form: Form; field: string; forms: number },
): FieldProblem[] {
  const option = decision.options.find((each) => each.id === form.option);
  if (!option) {
    const offered = decision.options.map((each) => each.id).join(', ');
    const message = `"${form.option}" is not offered for ${decision.title}. Offered: ${offered}.`;
    return [{ field: `${field}.option`, message }];
  }
  const problems: FieldProblem[] = [];
  if (option.aloneOnly && forms > 1) {
    problems.push({ field, message: `${option.label} takes all of it and stands alone.` });
  }
  for (const spec of option.params ?? []) {
    const message = paramProblem(spec, form.params[spec.id], situation.unit);
    if (message) problems.push({ field: `${field}.params.${spec.id}`, message });
  }
  const specs = new Set((option.params ?? []).map((spec) => spec.id));
  for (const id of Object.keys(form.params).filter((each) => !specs.has(each))) {
    problems.push({ field: `${field}.params.${id}`, message: `${option.label} has no "${id}".` });
  }
  const { otherwise } = form;
  if (
    otherwise !== undefined &&
    (otherwise === form.option || !decision.options.some(({ id }) => id === otherwise))
  ) {
    const others = decision.options.map(({ id }) => id).filter((id) => id !== form.option);
    const message = `"${otherwise}" is no other answer of ${decision.title}: ${others.join(', ')}.`;
    problems.push({ field: `${field}.otherwise`, message });
  }
  const amount = amountProblem(form.amount);
  if (amount) problems.push({ field: `${field}.amount`, message: amount });
  return problems;
}

function amountProblem(amount: Amount): string | undefined {
  switch (amount.kind) {
    case 'rest':
      return undefined;
    case 'share':
      return amount.pct > 0 && amount.pct <= 100 ? undefined : 'A share is above 0 and up to 100 %.';
    case 'packs':
    case 'pieces':
      return amount.count > 0 && Number.isInteger(amount.count) ? undefined : 'A whole number above 0.';
    case 'weight':
      return amount.weight > 0 ? undefined : 'A weight above 0.';
    case 'length':
      return amount.inches > 0 ? undefined : 'A length above 0.';
  }
}

function grindProblems({ species, unit }: Situation, { grind }: Sheet): FieldProblem[] {
  const { grind: rules, recipes } = species;
  const problems: FieldProblem[] = [];
  if (!(grind.fatPct >= rules.fatPct.min && grind.fatPct <= rules.fatPct.max)) {
    const message = `Fat in the grind: ${rules.fatPct.min} to ${rules.fatPct.max} %, not ${grind.fatPct}.`;
    problems.push({ field: 'grind.fatPct', message });
  }
  if (grind.lines.length === 0) problems.push({ field: 'grind.lines', message: 'The grind needs one line.' });
  if (grind.lines.length > 0 && grind.lines.filter((line) => line.amount.kind === 'rest').length !== 1) {
    problems.push({ field: 'grind.lines', message: 'One line of the grind takes the rest.' });
  }
  const [least, most] = [rules.packLb.min, rules.packLb.max].map((lb) =>
    weight(convertUnits(lb, 'lb', unit)),
  );
  grind.lines.forEach((line, at) => {
    const recipe = recipes.find((each) => each.id === line.recipe);
    const field = `grind.lines[${at}]`;
    if (!recipe) problems.push({ field: `${field}.recipe`, message: `"${line.recipe}" is not made here.` });
    else if (!recipe.forms.includes(line.form) || !GRIND_FORMS.includes(line.form)) {
      problems.push({ field: `${field}.form`, message: `${recipe.name} is not made as ${line.form}.` });
    }
    const sizes = GRIND_SIZES[line.form] ?? [];
    if (line.size !== undefined && !sizes.some(({ id }) => id === line.size)) {
      const message = `"${line.size}" is no size of ${line.form}: ${sizes.map(({ id }) => id).join(', ')}.`;
      problems.push({ field: `${field}.size`, message });
    }
    if (line.packWeight < least! || line.packWeight > most!) {
      const message = `A pack of grind: ${formatWeight(least!, unit)} to ${formatWeight(most!, unit)} ${unit}.`;
      problems.push({ field: `${field}.packWeight`, message });
    }
  });
  return problems;
}
