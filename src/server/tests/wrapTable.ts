import type { Posting, WeighingPurpose } from '@/core/ledger/ledger';
import type { ShareId } from '@/core/order/animal';
import { sumWeights, type Weight } from '@/core/quantity/weight';
import type { OutputOf } from '../useCases';
import { TestShop } from './testShop';

export const CHOPS: WeighingPurpose = { kind: 'package', from: 'share', lineKey: 'center-loin.0.0' };
export const BACON: WeighingPurpose = { kind: 'package', from: 'cure', lineKey: 'belly.0.0' };
export const GROUND: WeighingPurpose = { kind: 'package', from: 'tub', lineKey: 'grind.0' };
export const TUB: WeighingPurpose = { kind: 'tub' };
export const BELLY: WeighingPurpose = { kind: 'green', lineKey: 'belly.0.0' };

/** The wrap table before each test: a shop of its own with the half of a hog on the block, 91 lb cold. */
export class WrapTable {
  shop!: TestShop;
  shareId!: ShareId;

  constructor() {
    beforeEach(async () => {
      this.shop = await TestShop.open();
      this.shareId = await this.shop.onTheBlock();
    });
    afterEach(() => this.shop.close());
  }

  /** Input of one weighing of the share on the block; `net` in thousandths. */
  input(purpose: WeighingPurpose, net: number): ReturnType<TestShop['weighing']> {
    return this.shop.weighing(this.shareId, purpose, net);
  }

  weigh(purpose: WeighingPurpose, net: number): Promise<OutputOf<'weigh'>> {
    return this.shop.get('weigh', this.input(purpose, net), 'wrapper');
  }

  async held(): Promise<readonly Posting[]> {
    return (await this.shop.file(this.shareId)).held;
  }

  /** What lies in accounts of a kind, in thousandths. */
  async holds(kind: Posting['kind']): Promise<Weight> {
    const postings = (await this.held()).filter((posting) => posting.kind === kind);
    return sumWeights(postings.map((posting) => posting.weight));
  }
}
