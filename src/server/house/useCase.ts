import type Joi from 'joi';
import type { PersonId, ShareId } from '@/core/order/animal';
import type { ShareFile } from '@/core/order/shareFile';
import type { Result } from '@/core/quantity/result';
import type { Catalogue } from '@/core/catalogue/catalogue';
import type { Role } from '@/data/people';
import type { ShopSetUp } from '@/data/setUp';
import { roleOf, type Actor } from './actor';
import type { Reason } from './reasons';
import type { Surroundings } from './surroundings';

/** What a use case works with. `db` is a transaction: of one moment when it reads, of one piece when it writes. */
export type House = Omit<Surroundings, 'events'> & {
  readonly actor: Actor;
  /** As of now. */
  readonly setUp: ShopSetUp;
  /** What can be cut now. */
  readonly catalogue: Catalogue;
  /**
   * Says that a share stands differently now; its stage is worked out anew in the same transaction, from the file when
   * the use case knows what it has become.
   */
  readonly touch: (shareId: ShareId, file?: ShareFile) => void;
};

/** Rows that something is asked of: shares, or everything of a farm. */
export type Rows = { readonly shares?: readonly ShareId[]; readonly farm?: PersonId };

/** One thing that can be asked of the house. */
export type UseCase<Input, Output> = {
  readonly name: string;
  /** The roles of the shop's own people that may ask it. */
  readonly roles: readonly Role[];
  /** Others that may: a household for its own share, a farmer for the shares of the own farm, devices, the system. */
  readonly others?: readonly Exclude<Actor['kind'], 'staff'>[];
  readonly input: Joi.Schema<Input>;
  /** Writers run in one transaction that a refusal rolls back, and leave an audit line. */
  readonly writes: boolean;
  /** What the audit line is about. */
  readonly subject?: (input: Input) => string;
  /** What an actor with a right to some rows only must have a right to; `input.shareId` when absent. */
  readonly rows?: (input: Input) => Rows;
  /** Drafts that come every second are kept, but neither audited nor remembered by id. */
  readonly isDraft?: boolean;
  readonly run: (house: House, input: Input) => Promise<Result<Output, Reason>>;
};

/** Keeps input and output types while declaring. */
export function defineUseCase<Input, Output>(declared: UseCase<Input, Output>): UseCase<Input, Output> {
  return declared;
}

/** Everybody who works in the shop. */
export const STAFF: readonly Role[] = ['owner', 'counter', 'cutter', 'wrapper', 'smoker'];
export const OFFICE: readonly Role[] = ['owner', 'counter'];

/** Whether somebody is of the office: prices, bills, telephones and approval are theirs, and are sent to nobody else. */
export function isOffice(actor: Actor): boolean {
  return (OFFICE as readonly string[]).includes(roleOf(actor));
}
