/** Small numbers as people say them; the place in the list is the number. */
export const NUMBER_WORDS: readonly string[] = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

const TENS: readonly string[] = [
  'twenty',
  'thirty',
  'forty',
  'fifty',
  'sixty',
  'seventy',
  'eighty',
  'ninety',
];

/** What a word is worth; undefined when it is no number. `no` is said of things, not counted. */
function worthOf(word: string): number | undefined {
  const [small, ten] = [NUMBER_WORDS.indexOf(word), TENS.indexOf(word)];
  if (small > 0) return small;
  return ten >= 0 ? 20 + 10 * ten : undefined;
}

/**
 * A text with its numbers in digits: words of numbers that follow each other are one, and a thousand loses its comma.
 *
 * @example inDigits('under four hundred fifty dollars') // => 'under 450 dollars'
 * @example inDigits('under $1,200') // => 'under $1200'
 */
export function inDigits(text: string): string {
  const made: string[] = [];
  let number: number | undefined;
  const keep = () => {
    if (number !== undefined) made.push(String(number));
    number = undefined;
  };
  for (const word of text.replace(/(\d),(?=\d{3}\b)/g, '$1').split(' ')) {
    const worth = worthOf(word);
    if (word === 'hundred') number = (number ?? 1) * 100;
    else if (worth !== undefined) number = (number ?? 0) + worth;
    else {
      keep();
      made.push(word);
    }
  }
  keep();
  return made.join(' ');
}
