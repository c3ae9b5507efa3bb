import type { ForecastLine } from '../forecast/types';
import type { ShareFile } from '../order/shareFile';
import { planOf, sheetInForce } from '../order/standing';
import { inSentence } from '../quantity/inSentence';
import { decisionById, decisionsAsked, optionById } from '../sheet/situation';
import { takenOver } from '../sheet/takenOver';
import { answerOn } from '../sheet/wishes';
import { asCutOf } from './asCutOf';
import { besidesName, formsOf, isAllGround } from './inWords';

/** What the sheet asks of a share, as the hands after the block need it. */
export type Asked = {
  /** Every size and extra of a line of the plan, and of which side where they differ; by the line's key. */
  readonly ofLine: Readonly<Record<string, string>>;
  /** Rows of which all goes to the tub. */
  readonly toTub: readonly string[];
};

/** No answer of the sheet is lost on its way to the hand: thickness, fat left on, skin, cure, the side. */
export function askedOf(file: ShareFile): Asked {
  const cut = asCutOf(file);
  const cuts = planOf(file).expected.lines.filter(({ kind }) => kind === 'cut');
  return {
    ofLine: Object.fromEntries(cuts.map((line) => [line.key, wordsOf(cut, line)])),
    toTub: groundRows(cut),
  };
}

function wordsOf(file: ShareFile, line: ForecastLine): string {
  const { situation, sides } = file;
  const sheet = sheetInForce(file);
  const decision = decisionById(situation.species, line.decision);
  const form = Number(line.key.split('.')[1]);
  const isOn = (side: 1 | 2) => {
    const option = answerOn(sheet, decision.id, side)?.forms[form]?.option;
    const products = option === undefined ? [] : optionById(decision, option).products;
    return products.some(({ cut }) => cut === line.ownCut);
  };
  const on = ([1, 2] as const).slice(0, situation.sides).filter(isOn);
  const side = line.key.endsWith('.second') ? 2 : (on[0] ?? 1);
  const answer = answerOn(sheet, decision.id, side);
  const differs = situation.sides === 2 && decision.id in sheet.secondSide;
  const { sizes = [] } = formsOf(decision, answer, situation)[form] ?? {};
  return [
    ...besidesName(sizes, line.cut),
    ...(differs ? [`${sides[side - 1]!.side.position} side`] : []),
  ].join(', ');
}

function groundRows(file: ShareFile): string[] {
  const sheet = sheetInForce(file);
  const taken = takenOver(file.situation.species, (id) => answerOn(sheet, id, 1));
  return decisionsAsked(file.situation).flatMap((decision) => {
    const answer = answerOn(sheet, decision.id, 1);
    return answer && !taken.has(decision.id) && isAllGround(decision, answer)
      ? [inSentence(decision.title)]
      : [];
  });
}
