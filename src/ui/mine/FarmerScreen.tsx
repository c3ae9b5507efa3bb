'use client';

import { useMemo } from 'react';
import type { FarmSheets } from '@/server/sheet';
import { FarmScreen } from '../farm/FarmScreen';
import type { FarmPlace } from '../farm/farmPlace';
import { DoorProvider, type Door } from '../kit/door';
import { askByLink } from './byLink';

/** The page of a farm at home: the same sheets side by side, by the farmer's private link. */
export function FarmerScreen({ token, farm }: { token: string; farm: FarmSheets }) {
  const door = useMemo((): Door => (name, input) => askByLink(token, name, input), [token]);
  const place = useMemo(
    (): FarmPlace => ({
      atDesk: false,
      sheetPath: (shareId) => `/mine/${token}/${shareId}`,
      wantedPath: `/api/mine/${token}/wanted`,
    }),
    [token],
  );
  return (
    <DoorProvider value={door}>
      <main>
        <FarmScreen farm={farm} place={place} />
      </main>
    </DoorProvider>
  );
}
