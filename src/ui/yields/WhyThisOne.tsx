'use client';

import { Select } from 'antd';
import Link from 'next/link';
import { counted } from '@/core/quantity/counted';
import { FEWEST_LIKES } from '@/core/yields/likes';
import type { Why, YieldsView } from '@/server/yields';
import { LeaveOut } from './LeaveOut';
import styles from './Why.module.css';

/** Why one share gave more or less than its likes: each reason pushes it aside by its points, and the sum is written out. */
export function WhyThisOne({ view, onAsk }: { view: YieldsView; onAsk: (shareId: string) => void }) {
  const { why, strokes } = view;
  if (strokes.length === 0) return null;
  return (
    <div className={styles.why}>
      <h2>{why ? headOf(why) : 'Why did one give less?'}</h2>
      <Select
        aria-label="Which share"
        showSearch
        optionFilterProp="label"
        placeholder="Choose a share, or press a stroke"
        value={why?.shareId ?? null}
        popupMatchSelectWidth={false}
        onChange={onAsk}
        options={strokes.map(({ shareId, name, tag, closedOn }) => ({
          value: shareId,
          label: `${name}, ${tag}, ${closedOn}`,
        }))}
      />
      {why && (why.against ? <Plumb why={why} /> : <TooFew why={why} />)}
      {why?.mayLeaveOut && <LeaveOut key={why.shareId} shareId={why.shareId} isLeftOut={why.isLeftOut} />}
    </div>
  );
}

function headOf({ against }: Why): string {
  if (!against) return 'Why did this one give what it did?';
  return `Why did this one give ${against.own < against.likes.mean ? 'less' : 'more'}?`;
}

function TooFew({ why: { likes, shareId } }: { why: Why }) {
  return (
    <p>
      {counted(likes, 'share')} {likes === 1 ? 'is' : 'are'} like it; {FEWEST_LIKES} are needed to say what is
      usual, and its own hot weight. <Link href={`/ticket/${shareId}`}>Its ticket</Link>{' '}
      <Link href={`/yields/of/${shareId}`}>Piece by piece</Link>
    </p>
  );
}

/** The plumb line: it falls from the mean of the likes, is pushed aside by each reason, and lands on this one. */
function Plumb({ why }: { why: Why }) {
  const { likes, own, reasons } = why.against!;
  const stops = reasons.reduce<number[]>((all, { points }) => [...all, all.at(-1)! + points], [likes.mean]);
  const all = [...stops, ...why.theirs, likes.low, likes.high];
  const [least, most] = [Math.floor(Math.min(...all)) - 1, Math.ceil(Math.max(...all)) + 1];
  const at = (value: number) => `${(100 * (value - least)) / (most - least)}%`;
  const long = (value: number) => `${(100 * Math.abs(value)) / (most - least)}%`;
  const show = (points: number) => `${points < 0 ? '−' : '+'}${Math.abs(points).toFixed(1)}`;
  return (
    <>
      <p className="quiet">
        <Link href={`/ticket/${why.shareId}`}>
          {why.name} of {why.tag}
        </Link>
        , {why.farm}, closed {why.closedOn}; packed, percent of the hot weight.{' '}
        <Link href={`/yields/of/${why.shareId}`}>Piece by piece</Link>
      </p>
      <ol className={styles.plumb}>
        <li>
          <span>
            <b>Its likes, the mean</b>
            <small>{counted(why.likes, 'share')}, cut and divided alike</small>
          </span>
          <span className={styles.track}>
            <i className={styles.band} style={{ left: at(likes.low), width: long(likes.high - likes.low) }} />
            {why.theirs.map((value, index) => (
              <i key={index} className={styles.stroke} style={{ left: at(value) }} />
            ))}
            <i className={styles.line} style={{ left: at(likes.mean) }} />
          </span>
          <strong>{likes.mean.toFixed(1)}</strong>
        </li>
        {reasons.map(({ words, evidence, points }, index) => (
          <li key={words}>
            <span>
              <b>{words}</b>
              <small>{evidence}</small>
            </span>
            <span className={styles.track}>
              <i
                className={styles.band}
                style={{ left: at(likes.low), width: long(likes.high - likes.low) }}
              />
              <i
                className={styles.push}
                style={{ left: at(Math.min(stops[index]!, stops[index + 1]!)), width: long(points) }}
              />
              <i className={styles.line} style={{ left: at(stops[index + 1]!) }} />
            </span>
            <strong>{show(points)}</strong>
          </li>
        ))}
        <li data-own>
          <span>
            <b>This one</b>
            <small>
              eight in ten of its likes give {likes.low.toFixed(1)} to {likes.high.toFixed(1)}
            </small>
          </span>
          <span className={styles.track}>
            <i className={styles.band} style={{ left: at(likes.low), width: long(likes.high - likes.low) }} />
            <i className={styles.line} style={{ left: at(own) }} />
          </span>
          <strong>{own.toFixed(1)}</strong>
        </li>
      </ol>
      <p className="quiet">
        It adds up: {likes.mean.toFixed(1)}{' '}
        {reasons.map(({ points }) => show(points).replace(/^(.)/, '$1 ')).join(' ')} = {own.toFixed(1)}.
      </p>
    </>
  );
}
