'use client';

import { Button, Checkbox } from 'antd';
import Link from 'next/link';
import { useState } from 'react';
import type { ShareId } from '@/core/order/animal';
import { counted } from '@/core/quantity/counted';
import { listed } from '@/core/quantity/listed';
import { formatWeight } from '@/core/quantity/weight';
import { frameOf } from '@/core/species/sideMapPath';
import type { SideMap } from '@/core/species/types';
import type { FarmShare, FarmSheets, FarmSpecies } from '@/server/sheet';
import { useLive } from '../kit/live/useLive';
import { Note } from '../kit/Note';
import { SideDrawing } from '../kit/SideDrawing';
import { Nothing } from '../kit/States';
import { useAsk } from '../kit/useAsk';
import { Buyers } from './Buyers';
import { FarmLink } from './FarmLink';
import { AT_DESK, type FarmPlace } from './farmPlace';
import { Wanted } from './Wanted';
import styles from './Farm.module.css';

/** A farm's evening: all its animals' sheets side by side, one given to the others, and what they give together. */
export function FarmScreen({ farm: first, place = AT_DESK }: { farm: FarmSheets; place?: FarmPlace }) {
  const { value: farm } = useLive('farmSheetsView', { personId: first.id }, first);
  const [giving, setGiving] = useState(false);
  return (
    <div className={styles.page}>
      <h1>
        {farm.name}: sheets side by side{' '}
        {place.atDesk && (
          <>
            <Link href={`/households/${farm.id}`} className="quiet">
              the farm
            </Link>{' '}
            <Link href={`/yields?farmId=${farm.id}`} className="quiet">
              what theirs gave
            </Link>{' '}
            <Button onClick={() => setGiving(true)}>Their page</Button>{' '}
          </>
        )}
        <Link href={place.seasonPath(farm.id)} className="quiet">
          the season
        </Link>
      </h1>
      {farm.species.length === 0 && (
        <Nothing>No animal of theirs is booked or in the shop. What they book stands here.</Nothing>
      )}
      {farm.species.map((species) => (
        <SpeciesSheets key={species.id} farm={farm} of={species} place={place} />
      ))}
      {farm.buyers.length > 0 && <Buyers buyers={farm.buyers} prices={farm.prices} />}
      {giving && <FarmLink farm={farm} onClose={() => setGiving(false)} />}
    </div>
  );
}

type SpeciesProps = { farm: FarmSheets; of: FarmSpecies; place: FarmPlace };

function SpeciesSheets({ farm, of, place }: SpeciesProps) {
  const { species, unit, rows, shares } = of;
  const [given, give] = useState<ShareId>(
    () => (shares.find(({ says }) => 'grind' in says) ?? shares[0]!).shareId,
  );
  const [ticked, setTicked] = useState<ReadonlySet<ShareId>>(new Set());
  const [rowsTicked, setRowsTicked] = useState<ReadonlySet<string>>(new Set());
  const [allRows, setAllRows] = useState(false);
  const { ask, busy, refusal } = useAsk('copySheet');
  const [gone, setGone] = useState<readonly string[]>([]);
  const from = shares.find(({ shareId }) => shareId === given) ?? shares[0]!;
  const to = shares.filter((share) => ticked.has(share.shareId) && share.shareId !== from.shareId);
  const differing = rows.filter(({ id }) => new Set(shares.map(({ says }) => says[id] ?? '')).size > 1);
  const shown = allRows || shares.length === 1 ? rows : differing;
  const copy = async () => {
    const toShareIds = to.map(({ shareId }) => shareId);
    const answer = await ask({ fromShareId: from.shareId, toShareIds, rows: [...rowsTicked] });
    if (!answer.ok) return;
    setGone(answer.value.gone);
    setTicked(new Set());
  };
  return (
    <section className={styles.species}>
      <h2>
        {species} <span className="quiet">{counted(shares.length, 'sheet')}</span>
      </h2>
      {of.remembered.length > 0 && (
        <p className={styles.remembered}>
          <b>Remember</b> {of.remembered.join('. ')}.
        </p>
      )}
      {shares.length > 1 && (
        <p className={styles.copy}>
          <span>
            Copy the sheet of <b>{from.name}</b> to{' '}
            {to.length === 0 ? 'those that are ticked below' : <b>{listed(to.map(({ name }) => name))}</b>}
            {rowsTicked.size > 0 && `, only ${counted(rowsTicked.size, 'row')}`}.
          </span>
          <Button type="primary" disabled={to.length === 0} loading={busy} onClick={() => void copy()}>
            Copy
          </Button>
          <Checkbox checked={allRows} onChange={(event) => setAllRows(event.target.checked)}>
            rows that are alike, too
          </Checkbox>
        </p>
      )}
      <Note failure={refusal} />
      {gone.length > 0 && <p className="alarm">Not to be had there, and open: {gone.join('; ')}.</p>}
      <div className={styles.wide}>
        <table className={styles.sheets}>
          <thead>
            <tr>
              <th scope="col">
                {shown.length === 0 ? 'All sheets are alike' : shown === rows ? '' : 'what differs'}
              </th>
              {shares.map((share) => (
                <Head
                  key={share.shareId}
                  share={share}
                  map={of.map}
                  place={place}
                  isGiven={share.shareId === from.shareId}
                  isTicked={ticked.has(share.shareId)}
                  onGive={() => give(share.shareId)}
                  onTick={() => setTicked(toggled(ticked, share.shareId))}
                />
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map(({ id, title }) => (
              <tr key={id}>
                <th scope="row">
                  <Checkbox
                    checked={rowsTicked.has(id)}
                    disabled={id === 'extras'}
                    onChange={() => setRowsTicked(toggled(rowsTicked, id))}
                  >
                    {title}
                  </Checkbox>
                </th>
                {shares.map((share) => (
                  <Cell key={share.shareId} share={share} row={id} like={from} place={place} />
                ))}
              </tr>
            ))}
          </tbody>
          <tfoot>
            <Foot
              title={`comes home, ${unit}`}
              shares={shares}
              of={({ takeHome }) => (takeHome > 0 ? formatWeight(takeHome, 1) : '–')}
            />
            {farm.prices && <Foot title="costs about" shares={shares} of={({ cost }) => cost || '–'} />}
          </tfoot>
        </table>
      </div>
      <Wanted farm={farm} of={of} place={place} />
    </section>
  );
}

function toggled<T>(set: ReadonlySet<T>, one: T): ReadonlySet<T> {
  const next = new Set(set);
  if (!next.delete(one)) next.add(one);
  return next;
}

type HeadProps = {
  share: FarmShare;
  map: SideMap;
  place: FarmPlace;
  isGiven: boolean;
  isTicked: boolean;
  onGive: () => void;
  onTick: () => void;
};

function Head({ share, map, place, isGiven, isTicked, onGive, onTick }: HeadProps) {
  return (
    <th scope="col" data-given={isGiven || undefined}>
      <svg viewBox={frameOf(map).join(' ')} className={styles.side} aria-hidden>
        <SideDrawing map={map} destinationOf={(zone) => share.zones[zone]} />
      </svg>
      <Link href={place.sheetPath(share.shareId)}>{share.name}</Link>
      <span className="quiet">
        {share.tag}, {share.stands}
      </span>
      {isGiven ? (
        <span className="quiet">from here</span>
      ) : (
        <span>
          <Checkbox
            aria-label={`copy to it: ${share.name}`}
            checked={isTicked}
            disabled={!share.mayChange}
            onChange={onTick}
          >
            copy to it
          </Checkbox>
          <button type="button" className="link" onClick={onGive}>
            copy from it
          </button>
        </span>
      )}
    </th>
  );
}

type CellProps = { share: FarmShare; row: string; like: FarmShare; place: FarmPlace };

/** What a row says; only where it is otherwise than on the sheet that is given. */
function Cell({ share, row, like, place }: CellProps) {
  const says = share.says[row];
  const isLike = share.shareId !== like.shareId && says === like.says[row];
  return (
    <td data-like={isLike || undefined}>
      <Link href={place.sheetPath(share.shareId, row)} className={says ? '' : 'alarm'}>
        {isLike ? 'the same' : (says ?? 'not answered')}
      </Link>
    </td>
  );
}

function Foot({
  title,
  shares,
  of,
}: {
  title: string;
  shares: readonly FarmShare[];
  of: (share: FarmShare) => string;
}) {
  return (
    <tr>
      <th scope="row">{title}</th>
      {shares.map((share) => (
        <td key={share.shareId}>
          <b>{of(share)}</b>
        </td>
      ))}
    </tr>
  );
}
