/** A piece that a side comes apart into and that is weighed as it comes off; together they are the whole side. */
export type GuidePiece = {
  readonly id: string;
  readonly label: string;
  /** The quarter it is of; absent where the species is not quartered. */
  readonly part?: 'fore' | 'hind';
  /** Primals of the atlas. */
  readonly primals: readonly string[];
};

/** What on a sheet, or on the carcass, stops the usual way of a step. */
export type GuideStop = {
  /** Any of these options, by decision. */
  readonly wishes?: Readonly<Record<string, readonly string[]>>;
  /** A flag of the carcass. */
  readonly flag?: string;
  /** What must not be done, as it is said at the block. */
  readonly says: string;
  readonly because: string;
};

/** One step of a break: where the hand goes, with what, and what the eye decides. */
export type GuideStep = {
  readonly id: string;
  readonly title: string;
  readonly part: 'fore' | 'hind' | 'both';
  /** Only in these schools; in every one when absent. */
  readonly schools?: readonly string[];
  readonly except?: readonly string[];
  /** Only where one of these is asked for. */
  readonly needs?: Readonly<Record<string, readonly string[]>>;
  /** The landmark. */
  readonly where: string;
  readonly with: string;
  readonly hand?: string;
  /** How far somebody must have come to do it; a full cutter's when absent. */
  readonly level?: 1 | 2 | 3;
  /** Pulled by hand before any saw. */
  readonly first?: boolean;
  /** The break whose place it is. */
  readonly break?: string;
  /** Edges of the side map that the saw and the knife follow. */
  readonly line?: { readonly saw?: readonly string[]; readonly knife?: readonly string[] };
  /** Decisions about what stays up, where the step parts. */
  readonly stays?: readonly string[];
  /** Decisions about what comes off or is worked on. */
  readonly opens: readonly string[];
  /** Pieces that are alone from here on. */
  readonly weigh?: readonly string[];
  readonly protect: string;
  readonly wrong: string;
  readonly look: string;
  readonly caution: string;
  readonly ask: readonly [question: string, answer: string];
  /** A trained hand's and a beginner's. */
  readonly minutes: readonly [trained: number, beginner: number];
  readonly stops?: readonly GuideStop[];
};

/** How a side is broken, step by step. */
export type Guide = { readonly pieces: readonly GuidePiece[]; readonly steps: readonly GuideStep[] };
