import { cureStanding, type CureGround } from '../curing/inCure';
import type { ShareFile } from '../order/shareFile';
import { planOf } from '../order/standing';
import { formatWeight, type Weight } from '../quantity/weight';
import { loadStanding } from './load';
import { passagesOf } from './throughSmoke';

/**
 * What cure and smoke did to a share, piece by piece, each in a sentence: its weights in their order, its nitrite, and
 * why its load was held and let go.
 */
export function smokedWords(file: ShareFile, ground: CureGround): string[] {
  const { unit } = file.shop;
  const show = (net: Weight) => `${formatWeight(net, unit)} ${unit}`;
  const lines = planOf(file).expected.lines.filter(({ cure }) => cure !== null);
  return lines.flatMap((line) =>
    passagesOf(file, line.key, ground)
      .filter(({ isRecorded }) => isRecorded)
      .map(({ piece, waits }) => {
        const own = file.cures.find(({ cure }) => cure.weighingId === piece.id);
        const cure = own && cureStanding(own.cure, own.events, ground);
        const loads = file.smokes
          .map((each) => ({ lot: each.load.lot, standing: loadStanding(each.load, each.events) }))
          .filter(({ standing }) => standing.pieces.some(({ weighingId }) => weighingId === piece.id));
        const smoked = loads
          .at(-1)
          ?.standing.pieces.find(({ weighingId }) => weighingId === piece.id)?.smoked;
        const weights = [
          `${show(piece.net)} green`,
          ...(cure?.pumped ? [`${show(cure.pumped)} pumped`] : []),
          ...(cure?.drained ? [`${show(cure.drained)} drained`] : []),
          ...(smoked ? [`${show(smoked)} smoked`] : []),
        ];
        const nitrite = cure && cure.ppm > 0 ? [`${Math.round(cure.ppm)} ppm nitrite of ${cure.limit}`] : [];
        const released = loads.flatMap(({ lot, standing }) =>
          standing.released === '' ? [] : [`load ${lot} released: ${standing.released}`],
        );
        return `${line.cut}: ${[...weights, ...nitrite, ...released].join(', ')}.${waits === '' ? '' : ` ${waits}`}`;
      }),
  );
}
