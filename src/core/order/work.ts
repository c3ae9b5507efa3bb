import type { Bill } from '../charges/bill';
import type { Brand } from '../quantity/brand';
import type { Weight } from '../quantity/weight';
import type { Sheet } from '../sheet/types';
import type { Destination } from '../species/types';
import type { Instant } from '../time/shopTime';
import type { ShareId, SideId } from './animal';

export type WeighingId = Brand<string, 'WeighingId'>;

/** Whether a weight came signed from a scale, or was typed by hand. */
export type Origin = 'scale' | 'typed';

/** A ticket of the rail scale. A later ticket of the same kind corrects the earlier one. */
export type SideWeight = {
  readonly id: string;
  readonly clientId: string;
  readonly sideId: SideId;
  readonly kind: 'hot' | 'cold';
  readonly gross: Weight;
  /** Hook and trolley. */
  readonly tare: Weight;
  readonly origin: Origin;
  /** What was out of the ordinary and said yes to, or why an earlier ticket was corrected; empty otherwise. */
  readonly remark: string;
  readonly at: Instant;
  readonly actorId: string;
  /** Null when the ticket changed nothing in the ledger. */
  readonly transactionId: string | null;
};

/** One state of a share's sheet: a draft that is worked on, or a version that stands. */
export type SheetVersion = {
  readonly shareId: ShareId;
  /** Counts up over drafts and versions alike. */
  readonly version: number;
  readonly sheet: Sheet;
  readonly approved: boolean;
  /** Why it went to the floor with questions open; null when none were. */
  readonly overrideReason: string | null;
  readonly at: Instant;
  readonly actorId: string;
};

/** An approved sheet was opened again, to be changed and approved afresh. */
export type SheetReopening = {
  readonly id: string;
  readonly shareId: ShareId;
  /** The version that had been approved; it stands as it was. */
  readonly version: number;
  readonly reason: string;
  readonly at: Instant;
  readonly actorId: string;
};

/** A share has gone to the block, and which sheet holds. */
export type BlockStart = {
  readonly shareId: ShareId;
  readonly sheetVersion: number;
  /** What it would cost, as it was said then. */
  readonly estimate: Bill;
  /** Why it was started out of the ordinary; empty otherwise. */
  readonly reason: string;
  readonly at: Instant;
  readonly actorId: string;
};

/** What was taken from the bench scale for a share. It stands until it is voided by an entry of its own. */
export type Weighing = {
  readonly id: WeighingId;
  readonly clientId: string;
  /** Counts up over the whole shop; printed in the bars of a package. */
  readonly serial: number;
  readonly shareId: ShareId;
  readonly kind: 'package' | 'green' | 'tub' | 'barrel';
  /** Of a package, the account its weight came from; of a tub its grade; of a barrel, which one. Empty otherwise. */
  readonly source: string;
  /** The line of the plan; empty for tub and barrels. */
  readonly lineKey: string;
  /** The words on the label, kept as they were printed. */
  readonly cut: string;
  /** The weighing into whose pack it was put; null where it is a pack, or a load, of its own. */
  readonly onto: WeighingId | null;
  readonly destination: Destination;
  readonly pieces: number | null;
  readonly gross: Weight;
  readonly tare: Weight;
  readonly net: Weight;
  readonly scaleId: string;
  /** Names what lay on the platform. */
  readonly loadId: string;
  readonly origin: Origin;
  /** What was out of the ordinary and said yes to; empty otherwise. */
  readonly remark: string;
  readonly at: Instant;
  readonly actorId: string;
  readonly transactionId: string;
};

export type WeighingVoid = {
  readonly weighingId: WeighingId;
  readonly clientId: string;
  readonly reason: string;
  readonly at: Instant;
  readonly actorId: string;
  readonly transactionId: string;
};

export type VoidedWeighing = Weighing & { readonly reason: string };

/** Why a line of a plan is short, over or missing. */
export type LineNote = {
  readonly id: string;
  readonly clientId: string;
  readonly shareId: ShareId;
  readonly lineKey: string;
  readonly note: string;
  readonly at: Instant;
  readonly actorId: string;
};

/** How a call went: somebody answered, a message was left, or nobody was there. */
export type Reached = 'spoken' | 'message' | 'nobody';

/** What was said on the telephone about a share. */
export type Call = {
  readonly id: string;
  readonly clientId: string;
  readonly shareId: ShareId;
  readonly reached: Reached;
  readonly said: string;
  readonly at: Instant;
  readonly actorId: string;
  readonly actorName: string;
};
