'use client';

import { Button, Checkbox } from 'antd';
import Link from 'next/link';
import { useState } from 'react';
import type { ShareId } from '@/core/order/animal';
import { counted } from '@/core/quantity/counted';
import { listed } from '@/core/quantity/listed';
import { formatWeight, sumWeights } from '@/core/quantity/weight';
import type { FarmShare, FarmSheets, FarmSpecies } from '@/server/sheet';
import { useLive } from '../kit/live/useLive';
import { Note } from '../kit/Note';
import { Nothing } from '../kit/States';
import { useAsk } from '../kit/useAsk';
import styles from './Farm.module.css';

/** A farm's evening: all its animals' sheets side by side, one given to the others, and what they give together. */
export function FarmScreen({ farm: first }: { farm: FarmSheets }) {
  const { value: farm } = useLive('farmSheetsView', { personId: first.id }, first);
  return (
    <div className={styles.page}>
      <h1>
        {farm.name}: sheets side by side{' '}
        <Link href={`/households/${farm.id}`} className="quiet">
          the farm
        </Link>
      </h1>
      {farm.species.length === 0 && (
        <Nothing>No animal of theirs is booked or in the shop. What they book stands here.</Nothing>
      )}
      {farm.species.map((species) => (
        <SpeciesSheets key={species.species} of={species} />
      ))}
    </div>
  );
}

function SpeciesSheets({ of: { species, unit, rows, shares, cuts } }: { of: FarmSpecies }) {
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
                  <Cell key={share.shareId} share={share} row={id} like={from} />
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
            <Foot title="costs about" shares={shares} of={({ cost }) => cost || '–'} />
          </tfoot>
        </table>
      </div>
      {cuts.length > 0 && <Together cuts={cuts} shares={shares} unit={unit} />}
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
  isGiven: boolean;
  isTicked: boolean;
  onGive: () => void;
  onTick: () => void;
};

function Head({ share, isGiven, isTicked, onGive, onTick }: HeadProps) {
  return (
    <th scope="col" data-given={isGiven || undefined}>
      <Link href={`/sheet/${share.shareId}`}>{share.name}</Link>
      <span className="quiet">
        {share.tag}, {share.stands}
      </span>
      {isGiven ? (
        <span className="quiet">from here</span>
      ) : (
        <span>
          <Checkbox checked={isTicked} disabled={!share.mayChange} onChange={onTick}>
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

/** What a row says; only where it is otherwise than on the sheet that is given. */
function Cell({ share, row, like }: { share: FarmShare; row: string; like: FarmShare }) {
  const says = share.says[row];
  const isLike = share.shareId !== like.shareId && says === like.says[row];
  return (
    <td data-like={isLike || undefined}>
      <Link href={`/sheet/${share.shareId}?row=${row}`} className={says ? '' : 'alarm'}>
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

/** What all of them give together, pack by pack: what can be sold, and whose it is. */
function Together({ cuts, shares, unit }: Pick<FarmSpecies, 'cuts' | 'shares' | 'unit'>) {
  const weight = sumWeights(cuts.map(({ packaged }) => packaged));
  const packs = cuts.reduce((sum, cut) => sum + cut.packs, 0);
  return (
    <details>
      <summary>
        Together {counted(packs, 'pack')}, {formatWeight(weight, 0)} {unit}, expected
      </summary>
      <div className={styles.wide}>
        <table className={styles.together}>
          <thead>
            <tr>
              <th scope="col">packs by cut</th>
              <th scope="col" className="num">
                all
              </th>
              <th scope="col" className="num">
                {unit}
              </th>
              {shares.map(({ shareId, name }) => (
                <th key={shareId} scope="col" className="num">
                  {name.split(',')[0]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {cuts.map((cut) => (
              <tr key={cut.cut}>
                <th scope="row">{cut.cut}</th>
                <td className="num">
                  <b>{cut.packs}</b>
                </td>
                <td className="num">{formatWeight(cut.packaged, 1)}</td>
                {shares.map(({ shareId }) => (
                  <td key={shareId} className="num">
                    {cut.of[shareId] ?? ''}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
