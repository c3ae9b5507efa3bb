import type { CureFile } from '../curing/inCure';
import type { BatchFile } from '../grindroom/batch';
import type { Quartered } from '../hang/quarters';
import type { PriceList } from '../charges/priceList';
import type { Posting } from '../ledger/ledger';
import type { Situation } from '../sheet/situation';
import type { HouseRules } from '../shop/houseRules';
import type { Shop } from '../shop/shop';
import type { SmokeFile } from '../smokehouse/load';
import type { Animal, Share, Side } from './animal';
import type { Cancellation } from './changes';
import type { DeepTemperature } from './deepTemperature';
import type { Found } from './found';
import type { Deviation } from './deviation';
import type { OnRail } from './onRail';
import type { Plan } from './plan';
import type { Closing, Payment, PickUp } from './settlement';
import type { BlockStart, LineNote, SheetVersion, SideWeight, Weighing, WeighingId } from './work';

/** A side with the tickets that count. */
export type HungSide = {
  readonly side: Side;
  /** The first hot ticket ever written: the chill runs from it, whatever corrected it later. */
  readonly firstHot: SideWeight | undefined;
  readonly hot: SideWeight | undefined;
  readonly cold: SideWeight | undefined;
  /** How warm it was inside when it was last measured; null where it never was. */
  readonly deep: DeepTemperature | null;
  /** Where and how it hangs, as far as somebody said. */
  readonly onRail: OnRail;
  /** What its quarters weighed; null where it was not parted on the rail. */
  readonly quarters: Quartered | null;
  /** What was found on it, and stands. */
  readonly found: readonly Found[];
};

/** Everything known of one share, as of one moment. What follows from it is computed by the functions beside. */
export type ShareFile = {
  readonly shop: Shop;
  readonly rules: HouseRules;
  readonly catalogueVersion: string;
  /** The step of the shop's set-up that it stands on. */
  readonly setUpNumber: number;
  readonly priceList: PriceList;
  readonly animal: Animal;
  readonly share: Share;
  /** All shares of the animal that are not called off, in order; this one among them, whatever became of it. */
  readonly siblings: readonly Share[];
  readonly sides: readonly HungSide[];
  /** Those whose meat is cut as one with this share's, the one that decides first; this one among them. */
  readonly together: readonly Share[];
  /** The packages that this household got when they were shared out; undefined before, and where nothing is shared. */
  readonly allotted: ReadonlySet<WeighingId> | undefined;
  /** Sides of the animal that are not of this share. */
  readonly otherSides: readonly HungSide[];
  readonly situation: Situation;
  /** The draft that is worked on, or the last version. */
  readonly sheet: SheetVersion | undefined;
  readonly start: BlockStart | undefined;
  /** Frozen with the start, and made anew when something is done otherwise. */
  readonly plan: Plan | undefined;
  /** What was done otherwise at the block, the first first. */
  readonly deviations: readonly Deviation[];
  readonly weighings: readonly Weighing[];
  /** What of it was ground and mixed in batches, one to a line. */
  readonly batches: readonly BatchFile[];
  /** What of it lies or lay in a cure, piece by piece, and the loads of the smokehouse it hung in. */
  readonly cures: readonly CureFile[];
  readonly smokes: readonly SmokeFile[];
  readonly notes: readonly LineNote[];
  readonly closing: Closing | undefined;
  readonly payments: readonly Payment[];
  readonly pickUp: PickUp | undefined;
  readonly cancellation: Cancellation | undefined;
  /** What the accounts of the share, its cures and its packages hold. */
  readonly held: readonly Posting[];
};
