import { zoneDestinations } from '@/core/questions/zones';
import type { ShareFile } from '@/core/order/shareFile';
import { planOf, sheetInForce } from '@/core/order/standing';
import { decisionsAsked } from '@/core/sheet/situation';
import { takenOver, takenWords } from '@/core/sheet/takenOver';
import { answerSummary, extrasSummary, grindSummary } from '@/core/sheet/summary';
import type { Destination, SideMap } from '@/core/species/types';

/** One answer of the sheet in short. */
export type ShortAnswer = {
  readonly zone: string;
  readonly title: string;
  readonly words: string;
  /** What the right side gets otherwise; empty when both are the same. */
  readonly right: string;
};

export type SheetInShort = {
  readonly version: number;
  readonly approved: boolean;
  readonly open: number;
  /** The step of the shop's set-up that it stands on. */
  readonly setUp: number;
  readonly answers: readonly ShortAnswer[];
  readonly grind: string;
  /** How it is wrapped and what is kept besides. */
  readonly wrap: string;
  readonly instructions: string;
  readonly map: SideMap;
  readonly zones: Readonly<Record<string, Destination | null>>;
};

/** The sheet as one reads it at a glance: what each zone becomes, and the side as a picture. */
export function sheetInShort(file: ShareFile, open: number): SheetInShort {
  const { situation } = file;
  const { species, unit } = situation;
  const sheet = sheetInForce(file);
  const { expected } = planOf(file);
  const taken = takenOver(species, (id) => sheet.answers[id]);
  return {
    version: file.sheet?.version ?? 0,
    approved: file.sheet?.approved ?? false,
    setUp: file.setUpNumber,
    open,
    answers: decisionsAsked(situation).map((decision) => {
      const [answer, right] = [sheet.answers[decision.id], sheet.secondSide[decision.id]];
      const taker = taken.get(decision.id);
      return {
        zone: decision.zone,
        title: decision.title,
        words: taker ? takenWords(taker) : answer ? answerSummary(decision, answer, unit) : '',
        right: right ? answerSummary(decision, right, unit) : '',
      };
    }),
    grind: grindSummary(species, sheet.grind, unit),
    wrap: extrasSummary(species, sheet),
    instructions: sheet.instructions,
    map: species.sideMap,
    zones: zoneDestinations({ species, sheet, expected }),
  };
}
