import type { ShareId } from '@/core/order/animal';
import type { ShareFile } from '@/core/order/shareFile';
import { planOf } from '@/core/order/standing';
import type { WeighingId } from '@/core/order/work';
import { WORTH } from '@/core/split/lots';
import { splitPackages } from '@/core/split/splitPackages';

/** Percentages that people typed add up within this. */
const LEAST_PCT = 0.01;

/**
 * Who gets which package where several households were cut as one: whole packages, every cut as evenly as it goes, as
 * fair in weight and in worth as whole packages can be. What nobody bought is the farm's, and is in nobody's list.
 */
export async function allot(file: ShareFile): Promise<ReadonlyMap<ShareId, readonly WeighingId[]>> {
  const packages = file.weighings.filter((each) => each.kind === 'package');
  const destinations = new Map(planOf(file).expected.lines.map((line) => [line.key, line.destination]));
  const parties = file.together.map(({ id, sharePct }) => ({ name: id as string, sharePct }));
  const nobodys = 100 - parties.reduce((sum, { sharePct }) => sum + sharePct, 0);
  const all = nobodys > LEAST_PCT ? [...parties, { name: 'farm', sharePct: nobodys }] : parties;
  const lots = packages.map(({ cut, net, lineKey, destination }) => ({
    cut,
    packages: 1,
    weight: net,
    worth: net * WORTH[destinations.get(lineKey) ?? destination],
  }));
  if (lots.length === 0) return new Map();
  const { counts } = await splitPackages({ lots, parties: all });
  return new Map(
    file.together.map(({ id }, party) => [
      id,
      packages.filter((_, lot) => counts[lot]![party]! > 0).map((each) => each.id),
    ]),
  );
}
