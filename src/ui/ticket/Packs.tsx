'use client';

import { formatWeight, type WeighingUnit } from '@/core/quantity/weight';
import type { Pack, PackLine } from '@/server/ticket';
import { DestinationMark, destinationClass } from '../kit/DestinationMark';
import { Opens } from '../kit/Opens';
import styles from './TicketScreen.module.css';

type Props = { lines: readonly PackLine[]; unit: WeighingUnit; started: boolean };

/** What is in the boxes: each bar is cut into its packs, their length is their weight; a piece opens its label. */
export function Packs({ lines, unit, started }: Props) {
  const shown = lines.filter((line) => line.packs.length > 0 || line.asked > 0);
  const most = Math.max(1, ...shown.map((line) => Math.max(line.net, line.expected)));
  return (
    <table className={styles.packs}>
      <thead>
        <tr>
          <th>{started ? 'each piece of a bar is a pack' : 'expected'}</th>
          <th />
          <th className="num">packs</th>
          <th className="num">{unit}</th>
        </tr>
      </thead>
      <tbody>
        {shown.map((line) => (
          <tr key={line.key} data-to-come={line.packs.length === 0 || undefined}>
            <td>
              <DestinationMark destination={line.destination} /> {line.cut}
              {line.note && <div className="quiet">{line.note}</div>}
            </td>
            <td className={styles.barCell}>
              <PackBar line={line} most={most} unit={unit} />
            </td>
            <td className="num">
              {started && line.packs.length < line.asked
                ? `${line.packs.length} of ${line.asked}`
                : line.packs.length || line.asked}
            </td>
            <td className="num">
              <b>
                {line.packs.length > 0 ? formatWeight(line.net, unit) : `≈ ${formatWeight(line.expected, 1)}`}
              </b>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Packs made in the mark of their destination, packs to come as empty pieces. */
function PackBar({ line, most, unit }: { line: PackLine; most: number; unit: WeighingUnit }) {
  const missing = line.note === '' ? Math.max(0, line.asked - line.packs.length) : 0;
  const usual = line.asked > 0 ? line.expected / line.asked : 0;
  const width = (weight: number) => ({ width: `${(100 * weight) / most}%` });
  return (
    <span className={styles.packBar}>
      {line.packs.map((pack) => (
        <Opens
          key={pack.id}
          title={line.cut}
          placement="top"
          content={() => <LabelOf pack={pack} unit={unit} />}
        >
          {(opening) => (
            <button
              type="button"
              className={destinationClass(line.destination)}
              style={width(pack.net)}
              aria-label={`${line.cut}, pack ${pack.serial}, ${formatWeight(pack.net, unit)} ${unit}`}
              {...opening}
            />
          )}
        </Opens>
      ))}
      {Array.from({ length: missing }, (_, at) => (
        <i key={at} style={width(usual)} />
      ))}
    </span>
  );
}

function LabelOf({ pack, unit }: { pack: Pack; unit: WeighingUnit }) {
  return (
    <div>
      <p className={styles.label}>
        <b>{formatWeight(pack.net, unit)}</b> {unit}
      </p>
      <p className="quiet">
        pack {pack.serial}, {pack.at}, {pack.who}
      </p>
      <a href={`/api/label/${pack.id}`} target="_blank" rel="noreferrer">
        Its label
      </a>
    </div>
  );
}
