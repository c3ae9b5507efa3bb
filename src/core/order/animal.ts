import type { CarcassFacts } from '../carcass/condition';
import type { InspectionClass } from '../label/label';
import type { SharePart } from '../shares/parts';
import type { Brand } from '../quantity/brand';
import type { Cents } from '../quantity/money';
import type { Day, Instant } from '../time/shopTime';

export type PersonId = Brand<string, 'PersonId'>;
export type AnimalId = Brand<string, 'AnimalId'>;
export type SideId = Brand<string, 'SideId'>;
export type ShareId = Brand<string, 'ShareId'>;

export type Person = {
  readonly id: PersonId;
  readonly name: string;
  readonly phone: string | null;
  readonly email: string | null;
};

/** Somebody else who can be reached for a household or a farm. */
export type OtherContact = {
  readonly id: string;
  readonly personId: PersonId;
  readonly name: string;
  readonly phone: string | null;
  readonly email: string | null;
};

/** What the farm says of an animal; nothing is worked out by it. */
export type AnimalFacts = {
  readonly breed?: string;
  readonly months?: number;
  readonly grade?: string;
  /** In the shop's unit. */
  readonly liveWeight?: number;
};

export type Animal = {
  readonly id: AnimalId;
  readonly tag: string;
  readonly species: string;
  readonly sex: string | null;
  readonly killDate: Day;
  readonly inspection: InspectionClass;
  readonly addOns: readonly string[];
  readonly carcass: CarcassFacts;
  /** Owns the animal until it is sold. */
  readonly farm: Person;
  /** The price list in force on the day of booking; it stays with the animal. */
  readonly priceListId: string;
  readonly bookedAt: Instant;
  readonly facts: AnimalFacts;
  /** Hangs in one piece: weighed once, with a left and a right all the same. */
  readonly unsplit: boolean;
  /** Made up, to look at; it can be taken away again. */
  readonly sample: boolean;
};

export type SidePosition = 'left' | 'right';
export type Side = { readonly id: SideId; readonly animalId: AnimalId; readonly position: SidePosition };

export type Share = {
  readonly id: ShareId;
  /** The order's number: counts up over the whole shop. */
  readonly number: number;
  readonly animalId: AnimalId;
  /** 0, 1: the order in which an animal's shares are listed and charges are split. */
  readonly position: number;
  readonly part: SharePart;
  /** Percent of the part's packages, where several households share it; they are cut as one. */
  readonly sharePct: number;
  /** Eats it. */
  readonly owner: Person;
  readonly payer: Person;
  /** Is called about it. */
  readonly contact: Person;
  readonly deposit: Cents;
  /** The step of the shop's set-up that its sheet was begun under. */
  readonly setUpNumber: number;
  /** Called off: its part is not sold. */
  readonly cancelled: boolean;
};
