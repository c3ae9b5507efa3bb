const AND = new Intl.ListFormat('en-GB', { type: 'conjunction' });
const OR = new Intl.ListFormat('en-GB', { type: 'disjunction' });

/**
 * Several things as a sentence names them.
 *
 * @example listed(['Wray', 'Lane', 'Hale']) // => 'Wray, Lane and Hale'
 */
export function listed(words: readonly string[]): string {
  return AND.format(words);
}

/**
 * Several ways of which one is meant.
 *
 * @example oneOf(['a chop', 'a roast']) // => 'a chop or a roast'
 */
export function oneOf(words: readonly string[]): string {
  return OR.format(words);
}
