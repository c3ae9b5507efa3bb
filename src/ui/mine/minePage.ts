import type { ShopFront } from '@/server/links';
import type { OpenSheet } from '@/server/sheet';

/** What the pages of a sheet on the telephone are about, whether its animal hangs or somebody only tries. */
export type MinePage = {
  readonly shop: ShopFront;
  readonly sheet: OpenSheet;
  /** Whether what it costs is shown. */
  readonly prices: boolean;
};
