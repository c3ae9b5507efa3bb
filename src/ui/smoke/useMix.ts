'use client';

import { useState } from 'react';
import type { DueIngredient } from '@/core/curing/ingredients';
import type { MixAtSmoke, SmokeView } from '@/server/smoke';
import { useAsk } from '../kit/useAsk';
import type { Typed } from '../wrap/TypedWeight';
import { useScale } from '../wrap/useScale';
import { whyNoReading } from '../wrap/whyNotTaken';

type Props = {
  view: SmokeView;
  mix: MixAtSmoke | undefined;
  /** A weight is to be typed. */
  onType: () => void;
  onLeave: () => void;
  onMixed: (mixId: string) => void;
};

/** What can be done with the brine or the rub that is being weighed. */
export function useMix({ view, mix, onType, onLeave, onMixed }: Props) {
  const scale = useScale('spice-scale');
  const [chosen, setChosen] = useState('');
  const [lots, setLots] = useState<Readonly<Record<string, string>>>({});
  const weigh = useAsk('weighMix');
  const deed = useAsk('doMix');
  const { toLook, due } = nextOf(mix, chosen);
  const lotOf = (name: string) => lots[name] ?? view.lots[name] ?? '';
  const net = scale.reading?.net ?? 0;
  const mixId = mix?.id ?? '';

  async function take(typed?: Typed): Promise<void> {
    if (!due) return;
    const { name } = due;
    const said = { mixId, ingredient: name, lot: lotOf(name), otherwise: '' };
    const load = typed ? { typed } : scale.reading && { reading: scale.reading };
    if (!load) return;
    const answer = await weigh.ask({ ...said, ...load });
    if (answer.ok) setChosen('');
  }

  return {
    due,
    toLook,
    net,
    why: due && scale.away ? 'The scale is away.' : due && net > 0 ? whyNoReading(scale.reading) : undefined,
    isOver: due !== undefined && due.poured + net / 100 > due.high,
    lot: due ? lotOf(due.name) : '',
    busy: weigh.busy || deed.busy,
    refusal: weigh.refusal ?? deed.refusal,
    choose: setChosen,
    sayLot: (name: string, lot: string) => setLots({ ...lots, [name]: lot }),
    again: (ingredient: string) => void deed.ask({ mixId, said: { kind: 'again', ingredient } }),
    type: onType,
    typed: take,
    leave: onLeave,
    forward: async () => {
      if (due) return take();
      const answer = await deed.ask({ mixId, said: { kind: 'mixed' } });
      if (answer.ok) onMixed(mixId);
      return undefined;
    },
  };
}

export type AtMix = ReturnType<typeof useMix>;

/** What is to be looked at by a second person, else what is weighed next: what was chosen, or the first that is missing. */
function nextOf(
  mix: MixAtSmoke | undefined,
  chosen: string,
): { readonly toLook?: DueIngredient; readonly due?: DueIngredient } {
  const ingredients = mix && !mix.standing.isMixed ? mix.standing.ingredients : [];
  const open = ingredients.find(({ name, weighed }) => name === chosen && weighed === null);
  const unseen = ingredients.find(({ cures, weighed, second }) => cures && weighed !== null && second === '');
  if (unseen && !open) return { toLook: unseen };
  const due = open ?? ingredients.find(({ weighed }) => weighed === null);
  return due ? { due } : {};
}
