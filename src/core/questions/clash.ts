import { forecast } from '../forecast/forecast';
import { findingsOf, type Finding } from './findings';
import { formOf, withAnswer } from '../sheet/houseSheet';
import { decisionById, whyNotOffered, type Job } from '../sheet/situation';
import type { Sheet } from '../sheet/types';

/** One way out of a clash: whose wish is kept, what the other becomes, and what it comes to. */
export type WayOut = {
  readonly keeps: string;
  readonly changes: string;
  /** Label of what the other decision becomes. */
  readonly becomes: string;
  readonly sheet: Sheet;
};

/**
 * The two ways out of a clash, each a whole sheet: keep what holds the piece now
 * and change the wish, or keep the wish and change what holds it. The change is the first other form of that
 * zone, in the order the zone lists them, that leaves no clash between the two.
 */
export function waysOut(job: Job, clash: Pick<Finding, 'decision' | 'holder'>): WayOut[] {
  const { situation, sheet, coldSides } = job;
  const pair = [clash.decision, clash.holder!];
  return [
    [clash.holder!, clash.decision],
    [clash.decision, clash.holder!],
  ].flatMap(([keeps, changes]) => {
    const decision = decisionById(situation.species, changes!);
    for (const option of decision.options) {
      if (option.id === 'grind' || whyNotOffered(option, situation)) continue;
      const changed = withoutSecond(
        withAnswer(sheet, changes!, { forms: [formOf(decision, option.id, situation)] }),
        changes!,
      );
      const expected = forecast(situation, changed, coldSides);
      const open = findingsOf({ ...job, sheet: changed }, expected).some(
        (finding) =>
          finding.kind === 'clash' && pair.includes(finding.decision) && pair.includes(finding.holder!),
      );
      if (open) continue;
      return [
        {
          keeps: keeps!,
          changes: changes!,
          becomes: option.label,
          sheet: changed,
        },
      ];
    }
    return [];
  });
}

function withoutSecond(sheet: Sheet, decision: string): Sheet {
  const secondSide = Object.fromEntries(Object.entries(sheet.secondSide).filter(([id]) => id !== decision));
  return { ...sheet, secondSide };
}
