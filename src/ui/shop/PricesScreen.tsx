'use client';

import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { billsBeside } from '@/core/charges/besides';
import { withChange } from '@/core/charges/changes';
import type { ListInHand, PricesView, StandingList } from '@/server/shop';
import { useKey, useScope } from '../kit/keys/useKey';
import { useLive } from '../kit/live/useLive';
import { Note } from '../kit/Note';
import { onDemand } from '../kit/onDemand';
import { useAsk } from '../kit/useAsk';
import { BillFoot } from './BillFoot';
import { ListLine } from './ListLine';
import styles from './PricesScreen.module.css';
import { PriceHistory } from './PriceHistory';
import { RateTable, type Typed } from './RateTable';
import { ShopHeading } from './ShopHeading';

const BeginList = onDemand(() => import('./BeginList').then((module) => module.BeginList));
const EditCharge = onDemand(() => import('./EditCharge').then((module) => module.EditCharge));
const EditList = onDemand(() => import('./EditList').then((module) => module.EditList));
const YearUnder = onDemand(() => import('./YearUnder').then((module) => module.YearUnder));
const PriceFiles = onDemand(() => import('./PriceFiles').then((module) => module.PriceFiles));

type Opened =
  | { readonly what: 'begin' | 'files' | 'list' | 'year' }
  | { readonly what: 'charge'; readonly id: string | null }
  | null;

/** The shop's prices: lists on a line of days, and one of them worked on a real order, beside the one before it. */
export function PricesScreen({ view: first }: { view: PricesView }) {
  const { value: view } = useLive('pricesView', {}, first);
  const [chosen, setChosen] = useState<string>();
  const [order, setOrder] = useState(0);
  const [typed, setTyped] = useState<Typed>(null);
  const [opened, setOpened] = useState<Opened>(null);
  const shown = useMemo(() => shownOf(view, chosen), [view, chosen]);
  const worked = view.orders[order % view.orders.length]!;
  const { list, beside, inHand } = shown;
  const asTyped = useMemo(
    () => (typed ? withChange(list, { kind: 'rate', rule: typed.rule, rateCents: typed.rateCents }) : list),
    [list, typed],
  );
  const bills = useMemo(() => billsBeside(beside, asTyped, worked.basis), [beside, asTyped, worked]);
  const put = useAsk('putPricesInForce');
  const back = useAsk('takeBackPrice');
  const another = (by: number) => setOrder((at) => (at + by + view.orders.length) % view.orders.length);
  const last = inHand?.history.find((step) => !step.takenBack);
  useScope('prices');
  useKey('prices', 'orderBefore', () => another(-1));
  useKey('prices', 'orderAfter', () => another(1));
  useKey('prices', 'charge', () => setOpened({ what: 'charge', id: null }), inHand !== undefined);
  useKey(
    'prices',
    'back',
    () => inHand && last && void back.ask({ draftId: inHand.id, changeId: last.id }),
    last !== undefined,
  );
  return (
    <div className={styles.page}>
      <ShopHeading>
        <Button onClick={() => setOpened({ what: 'files' })}>Files</Button>
        <Button onClick={() => setOpened({ what: 'year' })}>The last year under it</Button>
        {inHand ? (
          <>
            <Button onClick={() => setOpened({ what: 'list' })}>Name, day, tax</Button>
            <Button
              disabled={last === undefined}
              loading={back.busy}
              onClick={() => last && void back.ask({ draftId: inHand.id, changeId: last.id })}
            >
              Back one <kbd>Ctrl Z</kbd>
            </Button>
            <Button type="primary" loading={put.busy} onClick={() => void put.ask({ draftId: inHand.id })}>
              In force from {list.effectiveFrom}
            </Button>
          </>
        ) : (
          <Button type="primary" onClick={() => setOpened({ what: 'begin' })}>
            Another list from this one
          </Button>
        )}
      </ShopHeading>
      <Note failure={put.refusal ?? back.refusal} />
      <ListLine view={view} chosen={list.id} onChoose={setChosen} />
      <div className={styles.columns}>
        <section>
          <RateTable
            bills={bills}
            lists={{ was: beside, now: asTyped }}
            kept={list}
            worked={worked}
            unit={view.unit}
            draftId={inHand?.id}
            onTyped={setTyped}
            onCharge={(id) => setOpened({ what: 'charge', id })}
            onOrder={another}
          />
        </section>
        <PriceHistory view={view} list={list} {...(inHand ? { inHand } : {})} />
      </div>
      <BillFoot bills={bills} lists={{ was: beside, now: asTyped }} />
      {opened?.what === 'begin' && (
        <BeginList from={list} today={view.today} onDone={setChosen} onClose={() => setOpened(null)} />
      )}
      {opened?.what === 'charge' && inHand && (
        <EditCharge
          view={view}
          inHand={inHand}
          {...(opened.id === null ? {} : { charge: list.rules.find((rule) => rule.id === opened.id)! })}
          onClose={() => setOpened(null)}
        />
      )}
      {opened?.what === 'list' && inHand && (
        <EditList draftId={inHand.id} list={list} onClose={() => setOpened(null)} />
      )}
      {opened?.what === 'year' && <YearUnder list={list} beside={beside} onClose={() => setOpened(null)} />}
      {opened?.what === 'files' && (
        <PriceFiles list={list} {...(inHand ? { inHand } : {})} onClose={() => setOpened(null)} />
      )}
    </div>
  );
}

type Shown = {
  readonly list: StandingList['list'];
  /** The list that it is set against: what it was copied from, or the one before it. */
  readonly beside: StandingList['list'];
  readonly inHand: ListInHand | undefined;
};

/** The list that is looked at: the chosen one, else the newest in hand, else the one in force. */
function shownOf({ standing, inHand }: PricesView, chosen: string | undefined): Shown {
  const draft = inHand.find(({ id }) => id === chosen) ?? (chosen === undefined ? inHand.at(-1) : undefined);
  const lists = standing.map(({ list }) => list);
  if (draft) return { list: draft.list, beside: lists.find(({ id }) => id === draft.baseId)!, inHand: draft };
  const at = Math.max(
    0,
    lists.findIndex(({ id }) => id === chosen),
    chosen === undefined ? standing.findIndex(({ state }) => state === 'in force') : 0,
  );
  return { list: lists[at]!, beside: lists[Math.max(0, at - 1)]!, inHand: undefined };
}
