import type { CarcassFacts } from '../carcass/condition';
import type { Portion } from '../shares/own';
import type { Situation } from '../sheet/situation';
import type { Species } from '../species/types';
import type { Ground } from './evaluate';

/** What of a share's sheet is sent to where it is answered, for it to be worked out there without the house. */
export type GroundSent = Pick<Ground, 'coldSides' | 'priceList' | 'bill'> &
  Pick<Situation, 'unit' | 'sides' | 'addOns' | 'tools'> & {
    readonly shareId: string;
    /** Which quarter of a side, when it is one. */
    readonly part: Situation['part'] | null;
    readonly carcass: CarcassFacts;
    /** What the house's advice goes by besides the carcass. */
    readonly known: Situation['known'] | null;
    /** The shop's own figures for animals like this one; null where it has none yet. */
    readonly experience: Situation['experience'] | null;
    /** The households that are cut by this sheet as one, this one among them. */
    readonly together: readonly Portion[];
  };

/** What of a situation is sent; its species is fetched by itself. */
export function situationSent({
  unit,
  sides,
  part,
  addOns,
  tools,
  school,
  breaks,
  condition,
  known,
  experience,
}: Situation): Pick<
  GroundSent,
  'unit' | 'sides' | 'part' | 'addOns' | 'tools' | 'carcass' | 'known' | 'experience'
> {
  const carcass = {
    ...(school ? { school } : {}),
    ...(breaks ? { breaks } : {}),
    ...(condition ? { condition } : {}),
  };
  return {
    unit,
    sides,
    part: part ?? null,
    addOns,
    tools,
    carcass,
    known: known ?? null,
    experience: experience ?? null,
  };
}

/** What a sheet is worked out against, from what was sent and the species that it names. */
export function groundOf(sent: GroundSent, species: Species): Ground {
  const { unit, sides, part, addOns, tools, carcass, known, experience, coldSides, priceList, bill } = sent;
  return {
    situation: {
      species,
      unit,
      sides,
      ...(part ? { part } : {}),
      addOns,
      tools,
      ...(known ? { known } : {}),
      ...(experience ? { experience } : {}),
      ...carcass,
    },
    coldSides,
    priceList,
    bill,
    own: { share: { id: sent.shareId }, together: sent.together },
  };
}
