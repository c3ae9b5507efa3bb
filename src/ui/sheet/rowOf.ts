import { decisionDestination } from '@/core/questions/zones';
import type { ForecastLine } from '@/core/forecast/types';
import { P90_DEVIATIONS } from '@/core/forecast/spread';
import { formatWeight, sumWeights, type Weight } from '@/core/quantity/weight';
import { isHouses } from '@/core/setUp/houseFromAnswer';
import { answerSummary, extrasSummary, grindSummary, withoutTitle } from '@/core/sheet/summary';
import { takenOver, takenWords } from '@/core/sheet/takenOver';
import type { Decision, Destination } from '@/core/species/types';
import { EXTRAS_ROW, FAT_BESIDE, GRIND_ROW } from './rows';
import type { SheetState } from './useSheet';

/** What a row says; plain words and figures, so that a row that says the same is not drawn again. */
export type RowWords = {
  readonly id: string;
  readonly title: string;
  readonly words: string;
  readonly weight: string;
  /** How far eight in ten lie on either side. */
  readonly spread: string;
  readonly destination: Destination | undefined;
  /** It waits for an answer, or something is wrong with it. */
  readonly alarming: boolean;
  /** It is otherwise than the house says. */
  readonly changed: boolean;
  /** The right side is cut otherwise. */
  readonly otherSide: boolean;
};

/** What a row is made of. */
type Stands = Pick<SheetState, 'sheet' | 'situation' | 'findings' | 'now'>;

/** A decision in a row: what is asked, what comes of it, and how sure that is. */
export function decisionRow({ sheet, situation, findings, now }: Stands, decision: Decision): RowWords {
  const { unit, species } = situation;
  const [answer, right] = [sheet.answers[decision.id], sheet.secondSide[decision.id]];
  const trouble = findings.find((finding) => finding.decision === decision.id && finding.blocks);
  const lines = now.forecast.lines.filter((line) => line.decision === decision.id);
  const taker = takenOver(species, (id) => sheet.answers[id]).get(decision.id);
  const asked = answer
    ? `${answerSummary(decision, answer, unit)}${right ? `; right side ${answerSummary(decision, right, unit)}` : ''}`
    : 'not answered';
  return {
    id: decision.id,
    title: decision.title,
    words:
      trouble && trouble.kind !== 'unanswered'
        ? trouble.sentence
        : taker
          ? takenWords(taker)
          : withoutTitle(asked, decision.title),
    ...figuresOf(lines),
    destination: decisionDestination({ species, sheet, expected: now.forecast }, decision),
    alarming: trouble !== undefined,
    changed: answer !== undefined && !isHouses(decision, answer, situation),
    otherSide: right !== undefined,
  };
}

function figuresOf(lines: readonly ForecastLine[]): Pick<RowWords, 'weight' | 'spread'> {
  const packed = sumWeights(lines.map((line) => line.packaged));
  if (packed === 0) return { weight: '', spread: '' };
  const sd = Math.hypot(...lines.map((line) => line.relativeSd * line.packaged));
  return {
    weight: formatWeight(packed, 1),
    spread: formatWeight(Math.round(P90_DEVIATIONS * sd) as Weight, 1),
  };
}

export function grindRow({ sheet, situation, findings, now }: Stands): RowWords {
  const own = findings.filter((finding) => finding.decision === GRIND_ROW);
  const { fatPct, grind } = now.forecast.pool;
  const beside = Math.abs(fatPct - sheet.grind.fatPct) > FAT_BESIDE ? `; reaches ${fatPct.toFixed(0)} %` : '';
  const said =
    grind === 0
      ? 'nothing is ground'
      : `${grindSummary(situation.species, sheet.grind, situation.unit)}${beside}`;
  return {
    ...figuresOf(now.forecast.lines.filter((line) => line.kind === 'grind')),
    id: GRIND_ROW,
    title: 'Grind',
    words: own[0]?.sentence ?? said,
    weight: formatWeight(grind, 1),
    destination: 'grind',
    alarming: own.some((finding) => finding.blocks),
    changed: false,
    otherSide: false,
  };
}

export function extrasRow({ sheet, situation, now }: Stands): RowWords {
  const words = extrasSummary(situation.species, sheet);
  return {
    ...figuresOf(now.forecast.lines.filter((line) => line.kind === 'kept')),
    id: EXTRAS_ROW,
    title: 'Wrap, extras',
    words: sheet.instructions ? `${words}; “${sheet.instructions}”` : words,
    destination: undefined,
    alarming: false,
    changed: sheet.instructions !== '',
    otherSide: false,
  };
}
