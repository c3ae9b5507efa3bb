'use client';

import { memo } from 'react';
import { DestinationMark } from '../kit/DestinationMark';
import styles from './Board.module.css';
import type { RowWords } from './rowOf';

type Group = { readonly zone: string; readonly rows: readonly RowWords[] };

type Props = {
  groups: readonly Group[];
  open: string;
  onOpen: (row: string) => void;
};

/** The rows on one side of the hanging side, zone by zone; each zone's rule runs to its place. */
export function BoardColumn({ groups, open, onOpen }: Props) {
  return (
    <div className={styles.column}>
      {groups.map(({ zone, rows }) => (
        <div
          key={zone}
          className={styles.group}
          data-zone={zone}
          data-here={rows.some(({ id }) => id === open) || undefined}
        >
          {rows.length > 1 && <h3>{zone}</h3>}
          {rows.map((row) => (
            <Row key={row.id} {...row} open={row.id === open} alone={rows.length === 1} onOpen={onOpen} />
          ))}
        </div>
      ))}
    </div>
  );
}

type RowProps = RowWords & { open: boolean; alone: boolean; onOpen: (row: string) => void };

/** One decision: what is asked and what comes of it in one line; drawn again only when its words have changed. */
const Row = memo(function Row(props: RowProps) {
  const { id, title, words, weight, spread, destination, alarming, changed, otherSide, open, alone, onOpen } =
    props;
  return (
    <button
      type="button"
      className={styles.row}
      data-open={open || undefined}
      data-alarm={alarming || undefined}
      data-changed={changed || undefined}
      data-alone={alone || undefined}
      data-bare={weight === '' || undefined}
      title={`${title}: ${words}`}
      aria-current={open || undefined}
      onClick={() => onOpen(id)}
    >
      <b>{title}</b>
      <span className={styles.words}>
        {otherSide && <span className={styles.half} role="img" aria-label="the right side otherwise" />}
        {words}
      </span>
      <span className={styles.mark}>{destination && <DestinationMark destination={destination} />}</span>
      {weight !== '' && (
        <>
          <span className={styles.weight}>{weight}</span>
          <span className={styles.spread}>{spread !== '' && `± ${spread}`}</span>
        </>
      )}
    </button>
  );
});
