import { forecast } from '../forecast/forecast';
import type { Forecast } from '../forecast/types';
import { sumWeights, type Weight } from '../quantity/weight';
import { decisionsAsked, type Job } from '../sheet/situation';
import { takenOver, takenWords, type Taker } from '../sheet/takenOver';
import type { Answer } from '../sheet/types';
import { answerOn } from '../sheet/wishes';
import type { Decision } from '../species/types';
import { formsOf, isAllGround, type FormWords } from './inWords';

/** A cut that is expected of a row of the sheet. */
export type WantedCut = {
  readonly cut: string;
  /** Null where pieces are not counted. */
  readonly pieces: number | null;
  readonly packs: number;
  readonly weight: Weight;
};

/** What is wanted at one row of the sheet, of what is in hand. */
export type BlockWish = {
  readonly decision: string;
  readonly title: string;
  /** Of the side map. */
  readonly zone: string;
  readonly forms: readonly FormWords[];
  readonly cuts: readonly WantedCut[];
  readonly isGround: boolean;
  /** Not answered: somebody must be asked before it is cut. */
  readonly isOpen: boolean;
  /** Another piece of the sheet has it. */
  readonly isTaken: boolean;
  /** Whose it is, where the step parts their meat from that in hand; empty for the share in hand. */
  readonly owner: string;
  /** What others want of the same row, where it is something else. */
  readonly others: readonly (FormWords & { readonly name: string })[];
};

/** Whoever else has a part of the same animal, or the other side of the same share. */
export type Beside = { readonly name: string; readonly job: Job };

/** A hand read once: its rows, what is expected of them, and what takes what over. */
export class Reader {
  private readonly asked: ReadonlyMap<string, Decision>;
  private readonly expected: Forecast;
  private readonly taken: ReadonlyMap<string, Taker>;

  constructor(readonly job: Job) {
    const { situation, sheet, coldSides } = job;
    this.asked = new Map(decisionsAsked(situation).map((decision) => [decision.id, decision]));
    this.expected = forecast(situation, sheet, coldSides);
    this.taken = takenOver(situation.species, (id) => answerOn(sheet, id, 1));
  }

  asks(decision: string): boolean {
    return this.asked.has(decision);
  }

  isTaken(decision: string): boolean {
    return this.taken.has(decision);
  }

  answerTo(decision: string): Answer | undefined {
    return this.taken.has(decision) ? undefined : answerOn(this.job.sheet, decision, 1);
  }

  /** Whether one of these options is answered to one of these rows. */
  wants(wishes: Readonly<Record<string, readonly string[]>>): string[] {
    return Object.entries(wishes).flatMap(([decision, options]) => {
      const answer = this.asks(decision) ? this.answerTo(decision) : undefined;
      return answer?.forms.some(({ option }) => options.includes(option)) ? [decision] : [];
    });
  }

  cutsOf(decision: string): WantedCut[] {
    return this.expected.lines
      .filter((line) => line.kind === 'cut' && line.decision === decision)
      .map(({ cut, pieces, packs, packaged }) => ({ cut, pieces, packs, weight: packaged }));
  }

  wordsOf(decision: string): readonly FormWords[] {
    const taker = this.taken.get(decision);
    if (taker) return [{ says: takenWords(taker), sizes: [] }];
    const { unit } = this.job.situation;
    return formsOf(this.asked.get(decision)!, this.answerTo(decision), { unit, packs: false });
  }

  wish(decision: string, owner: string, others: BlockWish['others']): BlockWish {
    const answer = this.answerTo(decision);
    return {
      decision,
      title: this.asked.get(decision)!.title,
      zone: this.asked.get(decision)!.zone,
      forms: this.wordsOf(decision),
      cuts: this.cutsOf(decision),
      isGround: answer !== undefined && isAllGround(this.asked.get(decision)!, answer),
      isOpen: !answer && !this.isTaken(decision) && this.asked.get(decision)!.optional !== true,
      isTaken: this.isTaken(decision),
      owner,
      others,
    };
  }
}

/** What is wanted together of several rows. */
export function weightOf(cuts: readonly WantedCut[]): Weight {
  return sumWeights(cuts.map(({ weight }) => weight));
}
