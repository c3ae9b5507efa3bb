import { LRUCache } from 'lru-cache';
import type { ShareId } from '@/core/order/animal';
import type { ShareFile } from '@/core/order/shareFile';
import { dataVersion, type Database } from '@/data/database';
import { forgetExperiences } from '@/data/learning';
import { readShareFile } from '@/data/rail';
import type { SetUps } from '@/data/setUp';

/** More shares than a shop works on in a day. */
const MOST_KEPT = 300;

/**
 * The files of the shares that are worked on now, kept while nothing of them is written. This process is the only one
 * that writes; should another have written all the same, the database says so and nothing that was kept is believed.
 */
export class ShareFiles {
  private readonly kept = new LRUCache<ShareId, ShareFile>({ max: MOST_KEPT });
  private version = -1;

  constructor(private readonly setUps: SetUps) {}

  /** Asked at the beginning of every transaction: forgets everything when somebody else has written. */
  async begin(db: Database): Promise<void> {
    const version = await dataVersion(db);
    if (version !== this.version) this.forgetAll();
    this.version = version;
  }

  async read(db: Database, shareId: ShareId): Promise<ShareFile | undefined> {
    const known = this.kept.get(shareId);
    if (known) return known;
    const file = await readShareFile(db, this.setUps, shareId);
    if (file) this.kept.set(shareId, file);
    return file;
  }

  /** What a share has become by what is being committed; undefined when it has to be read again. */
  replace(shareId: ShareId, file: ShareFile | undefined): void {
    if (file) this.kept.set(shareId, file);
    else this.kept.delete(shareId);
  }

  /** What the shop has learnt changes how all of them are forecast. */
  forgetShares(): void {
    this.kept.clear();
  }

  /** A transaction was rolled back: what was read in it may never have been. */
  forgetAll(): void {
    this.forgetShares();
    forgetExperiences(this.setUps);
    this.setUps.forget();
  }
}
