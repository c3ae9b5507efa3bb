'use client';

import { useMemo } from 'react';
import type { Species } from '@/core/species/types';
import type { HouseholdSheet } from '@/server/links';
import type { SheetWay } from '../sheet/useSheet';
import { askByLink } from './byLink';
import { SendToShop } from './SendToShop';
import { SheetPages } from './SheetPages';
import { Start } from './Start';

type Props = { token: string; mine: HouseholdSheet; species: Species };

/** The sheet of a household, kept with the shop by its private link. */
export function MineSheet({ token, mine, species }: Props) {
  const { shareId } = mine;
  const way = useMemo(
    (): SheetWay => ({
      reopens: false,
      save: (asked) => askByLink(token, 'saveSheet', { shareId, ...asked }),
      fetch: async () => {
        const answer = await askByLink(token, 'householdSheetView', { shareId });
        return answer.ok ? { ok: true, value: answer.value.sheet } : answer;
      },
    }),
    [shareId, token],
  );
  return (
    <SheetPages
      page={mine}
      species={species}
      way={way}
      first={(page) => <Start token={token} mine={mine} page={page} />}
      ending={(state, onChange) => <SendToShop token={token} mine={mine} state={state} onChange={onChange} />}
    />
  );
}
