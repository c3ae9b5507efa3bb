import highs from 'highs';

/** What a solver is asked to heed; gaps in the unit of the objective. */
export type SolveOptions = {
  readonly gap?: number;
  readonly nodes?: number;
  /** After so many the best so far is told. */
  readonly seconds?: number;
  /** Part of the search that looks for better solutions beside proving; 0 where a good one is known. */
  readonly lookingAround?: number;
};

export type Solution = {
  readonly optimal: boolean;
  readonly objective: number;
  /** Value of each variable; empty when the search was cut short. */
  readonly values: Readonly<Record<string, number>>;
};

/**
 * Solves a linear or mixed-integer program given as LP text. One thread and a fixed seed: the same program gives the
 * same solution on every machine. Heavy: for the server, the command line or a worker.
 */
export async function solve(
  model: string,
  { gap = 0, nodes, lookingAround, seconds }: SolveOptions = {},
): Promise<Solution> {
  const solver = await highs();
  const found = solver.solve(model, {
    mip_abs_gap: gap,
    mip_rel_gap: 0,
    random_seed: 1,
    threads: 1,
    ...(seconds === undefined ? {} : { time_limit: seconds }),
    ...(nodes === undefined ? {} : { mip_max_nodes: nodes }),
    ...(lookingAround === undefined ? {} : { mip_heuristic_effort: lookingAround }),
  });
  const columns = Object.entries(found.Columns as Record<string, { Primal?: number }>);
  return {
    optimal: found.Status === 'Optimal',
    objective: found.ObjectiveValue,
    values: Object.fromEntries(
      columns.flatMap(([name, { Primal }]) => (Primal === undefined ? [] : [[name, Primal]])),
    ),
  };
}
