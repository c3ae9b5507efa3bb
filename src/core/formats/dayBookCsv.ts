import { DAY_SECTION_WORDS, type DayBook } from '../dayBook/dayBook';
import { writeCsv } from './csv';

/** The book of a day as CSV: a line each with its part, its moment (UTC), what it was and who did it; signatures last. */
export function writeDayBook({ entries, signed }: DayBook): string {
  const rows = [
    ...entries.map(({ section, at, words, by }) => ({
      part: DAY_SECTION_WORDS[section],
      at,
      what: words,
      by: by.join(' and '),
    })),
    ...signed.map(({ at, by, words }) => ({ part: 'Signed', at, what: words, by })),
  ];
  return writeCsv(['part', 'at', 'what', 'by'], rows);
}
