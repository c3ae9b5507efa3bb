'use client';

import { useMemo, type ReactNode } from 'react';
import type { FarmSheets } from '@/server/sheet';
import type { FarmSeason } from '@/core/yields/farmSeason';
import { FarmScreen } from '../farm/FarmScreen';
import type { FarmPlace } from '../farm/farmPlace';
import { SeasonScreen } from '../farm/SeasonScreen';
import { DoorProvider, type Door } from '../kit/door';
import { askByLink } from './byLink';

/** A page of a farm at home, by the farmer's private link. */
function AtHome({ token, show }: { token: string; show: (place: FarmPlace) => ReactNode }) {
  const door = useMemo((): Door => (name, input) => askByLink(token, name, input), [token]);
  const place = useMemo(
    (): FarmPlace => ({
      atDesk: false,
      sheetPath: (shareId) => `/mine/${token}/${shareId}`,
      wantedPath: `/api/mine/${token}/wanted`,
      seasonPath: () => `/mine/${token}/season`,
      seasonPapers: () => `/api/mine/${token}/season`,
    }),
    [token],
  );
  return (
    <DoorProvider value={door}>
      <main>{show(place)}</main>
    </DoorProvider>
  );
}

/** The same sheets side by side as at the desk. */
export function FarmerScreen({ token, farm }: { token: string; farm: FarmSheets }) {
  return <AtHome token={token} show={(place) => <FarmScreen farm={farm} place={place} />} />;
}

/** The farm's season. */
export function FarmersSeason({ token, season }: { token: string; season: FarmSeason }) {
  return (
    <AtHome
      token={token}
      show={(place) => <SeasonScreen season={season} place={place} back={`/mine/${token}`} />}
    />
  );
}
