import type { OnRail } from '@/core/order/onRail';
import type { AnimalId, Side } from '@/core/order/animal';
import type { HungSide, ShareFile } from '@/core/order/shareFile';
import type { Rail } from '@/core/room/railPlan';
import type { SetUp } from '@/core/setUp/types';
import { dayIn } from '@/core/time/shopTime';
import type { Role } from '@/data/people';
import { liveShares, readShareFiles, sidesWithoutShare } from '@/data/rail';
import type { House } from '../house/useCase';

/** Who handles what hangs; others look on. */
export const RAIL_HANDS: readonly Role[] = ['owner', 'counter', 'cutter'];

/** A side that hangs now, with the share it is of; what nobody has is the farm's. */
export type Hanging = {
  readonly side: Side;
  readonly hung: HungSide;
  readonly file: ShareFile;
  readonly tag: string;
  readonly feet: number;
  readonly onRail: OnRail;
};

export function railsOf({ places }: Pick<SetUp, 'places'>): Rail[] {
  return places.filter(({ kind }) => kind === 'rail').map(({ id, name, size }) => ({ id, name, feet: size }));
}

export type OnRailNow = {
  readonly files: readonly ShareFile[];
  readonly unsold: ReadonlyMap<AnimalId, readonly HungSide[]>;
};

/** Shares that are on no block yet, with the sides of theirs that hang and those that nobody has. */
export async function sharesOnRail({ db, setUps }: House): Promise<OnRailNow> {
  const shareIds = await liveShares(db, ['book', 'hang', 'sheet', 'wrap']);
  const files = (await readShareFiles(db, setUps, shareIds)).filter((file) => !file.start);
  const unsold = await sidesWithoutShare(
    db,
    files.map((file) => file.animal.id),
  );
  return { files, unsold };
}

/** Every side that hangs, each once: weighed in, or killed by today. */
export async function sidesHanging(house: House): Promise<Hanging[]> {
  return hangingOf(await sharesOnRail(house), house.now);
}

/** The sides of these shares that hang. */
export function hangingOf({ files, unsold }: OnRailNow, now: Date): Hanging[] {
  const all = files.flatMap((file) => [
    ...file.sides.map((hung) => ({ hung, file })),
    ...(unsold.get(file.animal.id) ?? []).map((hung) => ({ hung, file })),
  ]);
  const once = [...new Map(all.map((each) => [each.hung.side.id, each])).values()].filter(
    ({ hung, file }) => hung.hot !== undefined || file.animal.killDate <= dayIn(file.shop.zone, now),
  );
  return once.map(({ hung, file }) => ({
    side: hung.side,
    hung,
    file,
    tag: file.animal.tag,
    feet: file.situation.species.room.feetPerSide,
    onRail: hung.onRail,
  }));
}
