import { groundOf, type GroundSent } from '../questions/groundOf';
import { answerSummary } from '../sheet/summary';
import type { Sheet } from '../sheet/types';
import type { Species } from '../species/types';
import { divideWanted, type Divided, type RowChanged, type Want, type WantedShare } from './wanted';

/** What is to be divided, as it is handed to a thread: plain data. */
export type WantedJob = {
  readonly species: Species;
  readonly shares: readonly (Pick<WantedShare, 'shareId' | 'sheet' | 'mayChange'> & {
    readonly view: GroundSent;
    readonly version: number;
  })[];
  readonly wants: readonly Want[];
};

/** A row that is to change, in words: `Center loin`, `chops, bone-in, 1 in`. */
export type RowToChange = RowChanged & {
  readonly version: number;
  readonly title: string;
  readonly was: string;
  readonly says: string;
};

export type DividedInWords = Pick<Divided, 'gives'> & { readonly changes: readonly RowToChange[] };

export async function wantedJob({ species, shares, wants }: WantedJob): Promise<DividedInWords> {
  const worked = shares.map(({ view, ...share }) => ({ ...share, ground: groundOf(view, species) }));
  const { gives, changes } = await divideWanted(worked, wants);
  return {
    gives,
    changes: changes.map((change) => {
      const { version, sheet, ground } = worked.find(({ shareId }) => shareId === change.shareId)!;
      const decision = species.decisions.find(({ id }) => id === change.decision)!;
      const words = (said: Sheet['answers'][string] | undefined) =>
        said ? answerSummary(decision, said, ground.situation.unit) : 'not answered';
      return {
        ...change,
        version,
        title: decision.title,
        was: words(sheet.answers[decision.id]),
        says: words(change.answer),
      };
    }),
  };
}
