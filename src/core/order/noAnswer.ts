import { counted } from '../quantity/counted';
import { dayWords, daysAfter, timeOn, type Day } from '../time/shopTime';
import type { ShareFile } from './shareFile';

/** The day by which a sheet must stand. */
export function answerBy({ animal, situation, rules }: ShareFile): Day {
  return daysAfter(animal.killDate, situation.species.hang.targetDays - rules.sheetDays);
}

/** `26 Nov 12:00`: until when an answer is waited for. */
function deadlineWords(file: ShareFile): string {
  return `${dayWords(answerBy(file))} ${file.rules.hours.calls.replace(/^0/, '')}`;
}

/** What happens when nobody answers, and from when, as a household is told. */
export function ifNobodyAnswers(file: ShareFile): string {
  const { animal, rules, situation } = file;
  const { does, calls } = rules.noAnswer;
  if (does === 'house') {
    const after = calls === 0 ? '' : ` and ${counted(calls, 'call')}`;
    return `From ${deadlineWords(file)}${after} on, our usual way is taken for what is open.`;
  }
  const { targetDays, longestDays } = situation.species.hang;
  const [block, longest] = [targetDays, longestDays].map((days) =>
    dayWords(daysAfter(animal.killDate, days)),
  );
  return `It waits on the rail: due on the block ${block}, and no longer than ${longest}.`;
}

/**
 * Why the house's way may not be taken yet for what nobody answered; empty when it may.
 *
 * @param calls - how often the household was called
 */
export function whyNotTheHouse(file: ShareFile, calls: number, now: Date): string {
  const { noAnswer, hours } = file.rules;
  if (noAnswer.does === 'wait') return 'By the rules of the shop an answer is waited for.';
  if (now < timeOn(file.shop.zone, answerBy(file), hours.calls)) return `Not before ${deadlineWords(file)}.`;
  const missing = noAnswer.calls - calls;
  return missing > 0 ? `Not before ${counted(missing, 'call')} more.` : '';
}
