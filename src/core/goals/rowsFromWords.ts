import { formOf, houseAnswer } from '../sheet/houseSheet';
import { decisionsAsked, optionById, whyNotOffered, type Situation } from '../sheet/situation';
import { answerSummary } from '../sheet/summary';
import type { Answer, Sheet } from '../sheet/types';
import type { Decision, ParamSpec } from '../species/types';
import { rowNamed } from './sayGoals';

/** Words that became a row: shown for a yes before they count. */
export type RowSaid = {
  readonly words: string;
  readonly decision: string;
  readonly answer: Answer;
  /** `Center loin: chops, bone-in, 1 1/2 in` */
  readonly says: string;
};

export type RowsSaid = {
  readonly rows: readonly RowSaid[];
  /** What is left: it stops the cutter once. */
  readonly left: readonly string[];
};

/** So much thicker or thinner is meant by a word, times the usual. */
const THICKER = { thick: 1.5, thin: 0.5 } as const;

/** Instructions in free words as rows, where the words are known: `no liver`, `thick chops`, `grind the shanks`. */
export function rowsFromWords(situation: Situation, sheet: Sheet, text: string): RowsSaid {
  const phrases = text
    .split(/[,;.\n]+|\s+and\s+/i)
    .map((phrase) => phrase.trim())
    .filter((phrase) => phrase !== '');
  const rows: RowSaid[] = [];
  const left: string[] = [];
  for (const words of phrases) {
    const found = rowOf(situation, sheet, words.toLowerCase());
    if (!found) {
      left.push(words);
      continue;
    }
    const { decision, answer } = found;
    const says = `${decision.title}: ${answerSummary(decision, answer, situation.unit)}`;
    rows.push({ words, decision: decision.id, answer, says });
  }
  return { rows, left };
}

function rowOf(
  situation: Situation,
  sheet: Sheet,
  phrase: string,
): { decision: Decision; answer: Answer } | undefined {
  const decisionNamed = (words: string) => {
    const id = rowNamed(situation, words);
    return decisionsAsked(situation).find((each) => each.id === id);
  };
  const none = /^(?:no|without|leave out|skip) (?:the )?(.+)$/.exec(phrase);
  if (none) return byWay(situation, decisionNamed(none[1]!), 'none');
  const ground =
    /^(?:grind (?:the |all the )?(.+)|(?:the )?(.+?) (?:to|into) (?:the )?(?:grind|burger|sausage))$/.exec(
      phrase,
    );
  if (ground) return byWay(situation, decisionNamed((ground[1] ?? ground[2])!), 'grind');
  const kept = /^(?:keep|save) (?:the |all the )?(.+)$/.exec(phrase);
  if (kept) return byWay(situation, decisionNamed(kept[1]!), 'kept');
  const sized = /^(?:(extra )?(thick|thin)) (.+)$/.exec(phrase);
  if (!sized) return undefined;
  const decision = decisionNamed(sized[3]!);
  if (!decision) return undefined;
  // Where nothing is said yet, it is our usual way, so thick.
  const answer = sheet.answers[decision.id] ?? houseAnswer(decision, situation);
  const times = THICKER[sized[2] as keyof typeof THICKER];
  const forms = answer.forms.map((form) => {
    const spec = optionById(decision, form.option).params?.find(isThickness);
    if (!spec) return form;
    const inches = Math.round(spec.defaultIn * times * 4) / 4;
    const thickness = Math.min(spec.maxIn, Math.max(spec.minIn, inches));
    return { ...form, params: { ...form.params, [spec.id]: thickness } };
  });
  return forms.every((form, at) => form === answer.forms[at]) ? undefined : { decision, answer: { forms } };
}

type Length = Extract<ParamSpec, { kind: 'length' }>;

function isThickness(spec: ParamSpec): spec is Length {
  return spec.kind === 'length' && spec.id === 'thickness';
}

/** The way of a row that leaves it out, grinds it, or keeps it whole; nothing where it has no such way. */
function byWay(
  situation: Situation,
  decision: Decision | undefined,
  way: 'none' | 'grind' | 'kept',
): { decision: Decision; answer: Answer } | undefined {
  if (!decision) return undefined;
  const offered = decision.options.filter((option) => !whyNotOffered(option, situation));
  const nothing = offered.filter(({ products }) => products.length === 0);
  const option =
    way === 'kept'
      ? offered.find(({ products }) => products.length > 0)
      : (nothing.find(({ destination }) => (destination === 'grind') === (way === 'grind')) ??
        (way === 'none' ? nothing[0] : undefined));
  return option && { decision, answer: { forms: [formOf(decision, option.id, situation)] } };
}
