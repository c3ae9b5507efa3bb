import type { Failure } from '@/core/quantity/result';
import { isUnanswered, newClientId } from './act';

/**
 * The ids of what is asked: the same words sent again, because the answer was lost, carry the same id and are done
 * once; other words, or the same after an answer, are something new.
 */
export class AskedIds {
  private words = '';
  private id = '';

  constructor(private readonly fresh: () => string = newClientId) {}

  /** @param input - whatever is asked, without its id */
  idFor(input: unknown): string {
    const words = JSON.stringify(input);
    if (this.id === '' || words !== this.words) [this.words, this.id] = [words, this.fresh()];
    return this.id;
  }

  /** Call with every answer. */
  answered(reason: string | undefined): void {
    if (reason === undefined || !isUnanswered(reason)) this.id = '';
  }
}

export type FieldProblem = { readonly field: string; readonly message: string };

/** The problems of a refusal that stand on a field of the form, and the sentence that stands on none. */
export function onFields(
  failure: Failure<string>,
  fields: readonly string[],
): { readonly onField: FieldProblem[]; readonly beside: string } {
  const said = failure.problems ?? [{ field: failure.field ?? '', message: failure.message }];
  const onField = said.flatMap(({ field, message }) => {
    const own = fields.find((each) => field === each || field.startsWith(`${each}.`));
    return own === undefined ? [] : [{ field: own, message }];
  });
  const beside = said.filter(
    ({ field }) => !fields.some((each) => field === each || field.startsWith(`${each}.`)),
  );
  return { onField, beside: beside.map((each) => each.message).join(' ') };
}
