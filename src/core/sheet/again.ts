import { defaultOf, paramProblem } from './params';
import { decisionsAsked, whyNotOffered, type Situation } from './situation';
import { emptySheet } from './houseSheet';
import type { Option } from '../species/types';
import type { Answer, Form, Sheet } from './types';

/** A sheet of before at today's shop, and what of it is no longer to be had: decisions with what was asked. */
export type Again = {
  readonly sheet: Sheet;
  readonly gone: readonly { readonly decision: string; readonly title: string; readonly was: string }[];
};

/**
 * The same as last time: every answer that is still offered, with what of its sizes still holds; what is no longer
 * offered stays open and is named, so that somebody asks. Recipes that are not made any more become the plain grind.
 */
export function sheetAgain(before: Sheet, situation: Situation): Again {
  const asked = decisionsAsked(situation);
  const gone: Again['gone'][number][] = [];
  const answers: Record<string, Answer> = {};
  for (const decision of asked) {
    const was = before.answers[decision.id];
    if (!was) continue;
    const forms = was.forms.map((form) => formAgain(form, decision.options, situation));
    if (forms.every((form) => form !== undefined)) answers[decision.id] = { forms };
    else {
      const said = was.forms.map(({ option }) => option.replaceAll('-', ' ')).join(', ');
      gone.push({ decision: decision.id, title: decision.title, was: said });
    }
  }
  const empty = emptySheet(situation);
  const { lines, left } = linesAgain(before, situation);
  const sheet: Sheet = {
    ...empty,
    answers,
    keeps: Object.fromEntries(
      situation.species.poolKeeps.map(({ id }) => [id, before.keeps[id] ?? empty.keeps[id] ?? false]),
    ),
    grind: {
      ...before.grind,
      fatPct: within(before.grind.fatPct, situation.species.grind.fatPct),
      lines,
    },
    wrap: before.wrap,
    instructions: before.instructions,
  };
  return { sheet, gone: [...gone, ...left] };
}

function formAgain(form: Form, options: readonly Option[], situation: Situation): Form | undefined {
  const option = options.find(({ id }) => id === form.option);
  if (!option || whyNotOffered(option, situation) !== undefined) return undefined;
  const params = Object.fromEntries(
    (option.params ?? []).map((spec) => {
      const said = form.params[spec.id];
      const holds = said !== undefined && paramProblem(spec, said, situation.unit) === undefined;
      return [spec.id, holds ? said : defaultOf(spec, situation.unit)];
    }),
  );
  const { otherwise, ...plain } = form;
  const isThere = otherwise !== undefined && options.some(({ id }) => id === otherwise);
  return { ...plain, params, ...(isThere ? { otherwise } : {}) };
}

function within(value: number, { min, max }: { readonly min: number; readonly max: number }): number {
  return Math.max(min, Math.min(max, value));
}

function linesAgain({ grind }: Sheet, { species }: Situation) {
  const [plain] = species.recipes;
  const left: Again['gone'][number][] = [];
  const lines = grind.lines.map((line) => {
    const recipe = species.recipes.find(({ id }) => id === line.recipe);
    if (recipe?.forms.includes(line.form)) return line;
    left.push({ decision: 'grind', title: 'Grind', was: line.recipe.replaceAll('-', ' ') });
    const { size: _size, ...rest } = line;
    return { ...rest, recipe: plain!.id, form: plain!.forms[0]! };
  });
  return { lines, left };
}
