/**
 * A label as it stands inside a sentence: its first letter small, unless it is a letter-name such as the T of T-bone.
 *
 * @example inSentence('Strip steaks, boneless') // => 'strip steaks, boneless'
 * @example inSentence('T-bones and porterhouses') // => 'T-bones and porterhouses'
 */
export function inSentence(label: string): string {
  const [first = '', second = ''] = label;
  return /\p{Ll}/u.test(second) ? first.toLowerCase() + label.slice(1) : label;
}
