'use client';

import { Button } from 'antd';
import { formatWeight } from '@/core/quantity/weight';
import type { LineComparison } from '@/core/reconcile/reconcile';
import type { BalanceView } from '@/server/settle';
import { DestinationMark } from '../kit/DestinationMark';
import styles from './ReconcileScreen.module.css';

const STATE_WORDS: Record<LineComparison['state'], string> = {
  'to come': 'to come',
  short: 'packs short',
  'in cure': 'in cure',
  packed: '',
  over: 'more packs',
  'not asked': 'not asked for',
};

/** Each cut as it was asked and as it was packed; what is off asks for a word of why. */
export function LineTable({
  view,
  onExplain,
}: {
  view: BalanceView;
  onExplain: (line: LineComparison) => void;
}) {
  const { reconciliation: balance, unit } = view;
  const noteOf = (key: string) => view.notes.findLast((note) => note.lineKey === key)?.note;
  return (
    <table className={styles.lines}>
      <thead>
        <tr>
          <th>cut</th>
          <th className="num">forecast</th>
          <th className="num">green</th>
          <th className="num">packed, {unit}</th>
          <th className="num">off</th>
          <th className="num">packs</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {balance.lines.map((line) => {
          const note = noteOf(line.lineKey);
          const wants = !note && (line.unusual || (line.state !== 'packed' && line.state !== 'in cure'));
          return (
            <tr key={line.lineKey}>
              <td>
                <DestinationMark destination={line.destination} /> {line.cut}
                {note && <div className={styles.note}>{note}</div>}
              </td>
              <td className="num quiet">{formatWeight(line.expected, unit)}</td>
              <td className="num quiet">{line.green > 0 ? formatWeight(line.green, unit) : ''}</td>
              <td className="num">
                <b>{line.packsMade > 0 ? formatWeight(line.actual, unit) : '–'}</b>
              </td>
              <td className={line.unusual ? 'num alarm' : 'num'}>{offWords(line)}</td>
              <td className="num">
                {line.packsMade} of {line.packsAsked}
              </td>
              <td className="num">
                <span className={wants ? 'alarm' : 'quiet'}>{STATE_WORDS[line.state]}</span>
                {wants && !view.closing && (
                  <Button type="link" size="small" onClick={() => onExplain(line)}>
                    say why
                  </Button>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function offWords(line: LineComparison): string {
  if (line.offBp === null) return '';
  const percent = (Math.abs(line.offBp) / 100).toFixed(1);
  return `${line.offBp < 0 ? '−' : '+'}${percent} %`;
}
