import { typeOf } from '../carcass/shiftAtlas';
import { railLossQuestion } from '../hang/railLoss';
import { convertUnits, formatWeight, weight } from '../quantity/weight';
import type { Finding } from '../questions/findings';
import { sidesOfPart } from '../shares/parts';
import type { Job } from '../sheet/situation';
import type { OrderDocument, ShareDocument } from './document';

/** Sides lighter or heavier than these parts of the band that the species' figures hold for are asked about. */
const BAND = { least: 0.75, most: 1.4 };
/** An eye muscle smaller or larger than these parts of the usual is asked about. */
const EYE = { least: 0.5, most: 1.8 };

/** A split that gives a side less or more of the spine than this, percent, is asked about. */
const SPLIT_PCT = { least: 40, most: 60 };

/**
 * What is unlikely about the weights and measures of an order file: nobody stood at a scale that would have asked.
 * Wrong weights block; an odd measure is a remark.
 */
export function weightFindings(order: OrderDocument, share: ShareDocument, job: Job): Finding[] {
  return [...bandFindings(job), ...lossFindings(order, share), ...eyeFindings(job), ...splitFindings(job)];
}

function finding(side: 1 | 2, sentence: string, blocks: boolean): Finding {
  return { kind: 'weight', decision: 'weights', side, sentence, blocks };
}

/** A weight that no animal of the species has is more often a slip of the hand. */
function bandFindings({ situation, coldSides }: Job): Finding[] {
  const { species, unit, condition = {}, part = 'side' } = situation;
  if (part !== 'side') return [];
  const type = typeOf(species, condition);
  const [least, most] = type?.sideLb ?? species.shifts.sideLb;
  const kind = type?.sideLb ? type.label.toLowerCase() : `${species.name.toLowerCase()} sides`;
  return coldSides.flatMap((cold, index): Finding[] => {
    const lb = convertUnits(cold / 1000, unit, 'lb');
    if (lb >= least * BAND.least && lb <= most * BAND.most) return [];
    const usual = [least, most].map((each) => Math.round(convertUnits(each, 'lb', unit))).join(' to ');
    const sentence = `A side of ${formatWeight(cold, 1)} ${unit} is unusual: ${kind} weigh ${usual} ${unit}. Is the weight right?`;
    return [finding(index === 0 ? 1 : 2, sentence, true)];
  });
}

function lossFindings({ weights }: OrderDocument, { part }: ShareDocument): Finding[] {
  return sidesOfPart(part).flatMap((position, index): Finding[] => {
    const { hot, cold } = weights?.[position] ?? {};
    if (hot === undefined || cold === undefined) return [];
    const question = railLossQuestion(weight(hot), weight(cold));
    return question ? [finding(index === 0 ? 1 : 2, question, true)] : [];
  });
}

function eyeFindings({ situation: { species, condition } }: Job): Finding[] {
  const { eye } = species.shifts;
  const measured = condition?.eyeSqIn;
  if (!eye || measured === undefined) return [];
  const [least, most] = [eye.referenceSqIn * EYE.least, eye.referenceSqIn * EYE.most].map(Math.round);
  if (measured >= least! && measured <= most!) return [];
  const sentence = `An eye of ${measured} sq in is unusual: it measures ${least} to ${most}. Was it read right?`;
  return [finding(1, sentence, false)];
}

function splitFindings({ situation: { condition } }: Job): Finding[] {
  const spinePct = condition?.spinePct;
  if (spinePct === undefined || (spinePct >= SPLIT_PCT.least && spinePct <= SPLIT_PCT.most)) return [];
  const sentence = `The split gave this side ${spinePct} % of the spine: that is far off its middle. Is it right?`;
  return [finding(1, sentence, false)];
}
