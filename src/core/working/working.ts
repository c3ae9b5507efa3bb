/** One input of a figure, written as a person reads it, unit included. */
export type WorkingInput = { readonly label: string; readonly value: string };

/** How a figure came about: in words, with its inputs and where the rule is from. */
export type Working = {
  readonly title: string;
  readonly formula: string;
  readonly inputs: readonly WorkingInput[];
  readonly source: string;
};
