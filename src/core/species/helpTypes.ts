/** Help with one way to have a row, in plain sentences; ways that give nothing to pack say what is given up. */
export type OptionHelp = {
  /** Where it sits on the animal. */
  readonly sits: string;
  /** What it eats like and is good for; of the grind and of what leaves, what is given up. */
  readonly eats: string;
  readonly bones?: string;
  readonly cook?: string;
  readonly not?: string;
  /** Raw pounds that make a plate: more with bones. */
  readonly plateLb?: number;
};

/** By decision and option. */
export type SpeciesHelp = Readonly<Record<string, Readonly<Record<string, OptionHelp>>>>;
