import { searchCuts } from '../names/searchCuts';
import { inDigits } from '../quantity/numberWords';
import type { Cents } from '../quantity/money';
import { decisionsAsked, type Situation } from '../sheet/situation';
import type { AmountOf, Goal, Wish } from './goals';

/** What was understood of a sentence, and what was not. */
export type Said = { readonly goals: readonly Goal[]; readonly unknown: readonly string[] };

const AMOUNTS: readonly (readonly [RegExp, AmountOf])[] = [
  [/sausage|burger|ground|grind|hamburger|mince/, 'grind'],
  [/steak|chop/, 'steaks'],
  [/roast|joint/, 'roasts'],
  [/bacon|ham|cured|smoked|jerky/, 'cured'],
  [/bone|rib/, 'bones'],
  [/meat|weight|home|everything/, 'home'],
];

const NUMBER = '(\\d+(?:[.,]\\d+)?)';

/** `5`, `4.5`, `4,5` */
function numberOf(digits: string): number {
  return Number(digits.replace(',', '.'));
}

/** Fat of a grind that is worth asking for, percent. */
const FAT = { least: 1, most: 60 };

/**
 * Wishes as people say them: phrases apart by commas, `but`, `and`. A limit or a thing to keep is a must, an amount is
 * wanted rather.
 * `as much sausage as possible but keep the hams` is two of them.
 */
export function sayGoals(situation: Situation, text: string): Said {
  const phrases = text
    .toLowerCase()
    .split(/[,;.]\s+|[,;]$|\s+but\s+|\s+and\s+|\n/)
    .map((phrase) => phrase.trim().replace(/^(?:and|but)\s+|[.!]$/g, ''))
    .filter((phrase) => phrase !== '');
  const goals: Goal[] = [];
  const unknown: string[] = [];
  for (const phrase of phrases) {
    const wish = wishOf(situation, inDigits(phrase));
    if (wish) goals.push({ wish, must: wish.kind !== 'most' && wish.kind !== 'least', weight: 1 });
    else unknown.push(phrase);
  }
  return { goals, unknown };
}

function wishOf(situation: Situation, phrase: string): Wish | undefined {
  const fat = new RegExp(`${NUMBER}\\s*(?:%|percent|per cent)`).exec(phrase);
  if (fat && /fat|lean/.test(phrase)) {
    const said = numberOf(fat[1]!);
    const pct = /lean/.test(phrase) && !/fat/.test(phrase) ? 100 - said : said;
    return pct >= FAT.least && pct <= FAT.most ? { kind: 'fatAtMost', pct } : undefined;
  }
  const room = new RegExp(`${NUMBER}\\s*(?:cubic feet|cubic foot|cu ?ft)`).exec(phrase);
  if (room) return { kind: 'freezerAtMost', cuFt: numberOf(room[1]!) };
  const money =
    /(?:under|below|at most|no more than|less than|up to)\s*\$?\s*(\d+(?:[.,]\d{1,2})?)\s*(?:dollars)?/.exec(
      phrase,
    );
  if (money && /\$|dollar|bill|pay|cost|under/.test(phrase)) {
    return { kind: 'billAtMost', cents: Math.round(numberOf(money[1]!) * 100) as Cents };
  }
  const roasts = new RegExp(`roasts? for ${NUMBER}\\s|${NUMBER} (?:sunday )?roasts`).exec(`${phrase} `);
  if (roasts) return { kind: 'roastsAtLeast', count: numberOf((roasts[1] ?? roasts[2])!) };
  if (/no bones?|boneless|without bones?|bone-?free/.test(phrase)) return { kind: 'noBones' };
  if (/quick|fast|weeknight|easy/.test(phrase)) return { kind: 'most', of: 'quick' };
  if (/cheap|least money|save money/.test(phrase)) return { kind: 'least', of: 'bill' };
  if (/little (?:room|space|freezer)|small freezer/.test(phrase)) return { kind: 'least', of: 'freezer' };
  const keep = /^(?:keep|save|leave|not grind|don.t grind)\s+(?:all |me |us )?(?:the |my |our )?(.+)$/.exec(
    phrase,
  );
  if (keep) {
    const decision = rowNamed(situation, keep[1]!);
    return decision === undefined ? undefined : { kind: 'keep', decision };
  }
  const most = /(?:as much|as many|most|more|lots? of|plenty of|mostly|mainly)\s+(.+)/.exec(phrase);
  const of = most && AMOUNTS.find(([words]) => words.test(most[1]!));
  return of ? { kind: 'most', of: of[1] } : undefined;
}

/** The row that a cut, a dish or a row's own title names. */
export function rowNamed(situation: Situation, words: string): string | undefined {
  const said = words.trim();
  const one = said.replace(/s$/, '');
  const asked = decisionsAsked(situation);
  const byTitle = asked.find(({ title }) => [said, one].includes(title.toLowerCase()));
  if (byTitle) return byTitle.id;
  for (const text of [said, one]) {
    const [hit] = searchCuts(situation.species, text).hits;
    if (hit && asked.some(({ id }) => id === hit.decision)) return hit.decision;
  }
  return undefined;
}
