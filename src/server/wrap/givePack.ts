import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { PackSource, WeighingPurpose } from '@/core/ledger/ledger';
import type { ShareId } from '@/core/order/animal';
import { cutName } from '@/core/order/naming';
import type { ShareFile } from '@/core/order/shareFile';
import { planOf } from '@/core/order/standing';
import type { Weighing, WeighingId } from '@/core/order/work';
import type { Result } from '@/core/quantity/result';
import { isVoided, weighingById } from '@/data/wrap';
import { cureGround } from '../house/cureGround';
import { clientId, id, sure } from '../house/fields';
import { refuse, type Reason, type Refusal } from '../house/reasons';
import { cutFileOf, touchCut } from '../house/shareView';
import { defineUseCase, STAFF, type House } from '../house/useCase';
import { impossible, oddity, packsDependOn } from './limits';
import { namedBy, take, type Taken } from './take';
import { undoWeighing } from './undoWeighing';

type Input = {
  readonly clientId: string;
  readonly weighingId: WeighingId;
  readonly toShareId: ShareId;
  readonly sure?: boolean;
};

/**
 * Gives a pack to the share it is of: it was weighed under the wrong one. What was booked is undone there and booked here, in
 * one transaction, and it gets a label that names its owner.
 */
export const givePack = defineUseCase<Input, Taken>({
  name: 'givePack',
  roles: STAFF,
  writes: true,
  input: Joi.object({ clientId, weighingId: id, toShareId: id, sure }),
  subject: ({ weighingId, toShareId }) => `${weighingId} to ${toShareId}`,
  run: async (house, input) => {
    const weighing = await weighingById(house.db, input.weighingId);
    if (!weighing || (await isVoided(house.db, input.weighingId))) {
      return refuse('not-found', 'There is no such pack; it may have been taken back.');
    }
    const from = await cutFileOf(house, weighing.shareId);
    if (!from.ok) return from;
    const to = await cutFileOf(house, input.toShareId);
    if (!to.ok) return to;
    const refused = whyNot(house, { from: from.value, to: to.value, weighing });
    if (refused) return refused;
    return give(house, { weighing, from: from.value, to: to.value, input });
  },
});

function whyNot(
  house: House,
  { from, to, weighing }: { from: ShareFile; to: ShareFile; weighing: Weighing },
): Refusal | undefined {
  if (from.share.id === to.share.id) return refuse('invalid', `It is ${cutName(to)}'s already.`);
  if (weighing.kind !== 'package') return refuse('wrong-place', 'Only packs are given to another share.');
  if (from.situation.species.id !== to.situation.species.id) {
    return refuse('wrong-place', 'That is another kind of animal. Take it back and weigh it there.');
  }
  for (const file of [from, to]) {
    if (!file.start) return refuse('not-on-the-block', `${cutName(file)} is not on the block.`);
    if (file.closing) return refuse('closed', `${cutName(file)} is closed. Its weighings stand.`);
  }
  if (packsDependOn(weighing, from, cureGround(house)) || weighing.onto !== null) {
    return refuse('packs-depend-on-it', 'Two cuts are in that pack. Take it back and weigh it there.');
  }
  return undefined;
}

type Giving = {
  readonly weighing: Weighing;
  readonly from: ShareFile;
  readonly to: ShareFile;
  readonly input: Input;
};

async function give(house: House, { weighing, from, to, input }: Giving): Promise<Result<Taken, Reason>> {
  const line = planOf(to).expected.lines.find(({ cut }) => cut === weighing.cut);
  if (!line) return refuse('not-on-the-sheet', `${cutName(to)} has no ${weighing.cut} on the sheet.`);
  const source = weighing.source as PackSource;
  const purpose: WeighingPurpose = { kind: 'package', from: source, lineKey: line.key };
  const named = namedBy(to, purpose);
  if (!named.ok) return named;
  const asked = { file: to, purpose, net: weighing.net, ground: cureGround(house) };
  const odd = oddity(asked, named.value.line);
  const wrong = impossible(asked) ?? (odd !== '' && !input.sure ? refuse('unusual', odd) : undefined);
  if (wrong) return wrong;
  await undoWeighing(house, weighing, { clientId: randomUUID(), reason: `given to ${cutName(to)}` });
  touchCut(house, from);
  const { gross, tare, net, origin, pieces } = weighing;
  const load = { gross, tare, net, origin, scaleId: 'given', loadId: weighing.id };
  return take(house, to, {
    clientId: input.clientId,
    purpose,
    pieces,
    load: { ...load, takenAt: new Date(weighing.at), why: `Was weighed under ${cutName(from)}.` },
    named: named.value,
    odd,
  });
}
