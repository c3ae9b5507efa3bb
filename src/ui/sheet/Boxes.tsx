'use client';

import type { ForecastLine } from '@/core/forecast/types';
import { inSentence } from '@/core/quantity/inSentence';
import { formatInches } from '@/core/quantity/length';
import { formatMoney } from '@/core/quantity/money';
import { formatWeight, weightField, type Weight } from '@/core/quantity/weight';
import { lineWorking, takeHomeWorking } from '@/core/working/forecastWorkings';
import type { SheetView } from '@/server/sheet';
import { DestinationMark } from '../kit/DestinationMark';
import { WorkingOf } from '../kit/WorkingOf';
import { BillLines } from '../kit/BillLines';
import styles from './SheetScreen.module.css';
import type { SheetState } from './useSheet';

type Props = { state: SheetState; view: SheetView; openDecision: string; onOpen: (decision: string) => void };

/** What the boxes will hold, and the four figures people ask for. */
export function Boxes({ state, view, openDecision, onOpen }: Props) {
  const { now, situation, ground } = state;
  const { forecast } = now;
  const { species, unit } = situation;
  return (
    <>
      <table className={styles.boxTable}>
        <thead>
          <tr>
            <th colSpan={2}>in the boxes, expected</th>
            <th className="num">{unit}</th>
            <th className="num">pieces</th>
            <th className="num">packs</th>
          </tr>
        </thead>
        <tbody>
          {forecast.lines.map((line) => (
            <tr
              key={line.key}
              className={line.decision === openDecision ? styles.openLine : undefined}
              onClick={() => onOpen(line.kind === 'kept' ? 'extras' : line.decision)}
            >
              <td>
                <DestinationMark destination={line.destination} /> {line.cut}
                {line.kind === 'grind' && `, ${forecast.pool.fatPct.toFixed(0)} % fat`}
                {line.names.length > 1 && <div className={styles.namesAlong}>{namesAlong(line)}</div>}
              </td>
              <td className="num quiet">{sizeOf(line.thicknessIn, line.packWeight, unit)}</td>
              <td className="num">
                <WorkingOf working={lineWorking(line, species, unit)}>
                  <b>{formatWeight(line.packaged, unit)}</b>
                </WorkingOf>
              </td>
              <td className="num">{line.pieces ?? ''}</td>
              <td className="num">{line.packs}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <dl className={styles.totals}>
        <div>
          <dt>
            <WorkingOf working={takeHomeWorking(forecast, species, unit)}>
              <span className={styles.bigFigure}>{formatWeight(forecast.takeHome, 1)}</span>
              <span className="unit">{unit}</span>
            </WorkingOf>
          </dt>
          <dd>
            take-home, {formatWeight(forecast.takeHomeLow, 0)} to {formatWeight(forecast.takeHomeHigh, 0)}
          </dd>
        </div>
        <div>
          <dt>
            <span className={styles.bigFigure}>{(forecast.yieldBp / 100).toFixed(1)}</span>
            <span className="unit">%</span>
          </dt>
          <dd>of cold weight</dd>
        </div>
        <div>
          <dt>
            <span className={styles.bigFigure}>{forecast.freezerCuFt.toFixed(1)}</span>
            <span className="unit">cu ft</span>
          </dt>
          <dd>freezer</dd>
        </div>
        <div>
          <dt>
            <span className={styles.bigFigure}>{formatMoney(now.bill.total, ground.priceList.sign)}</span>
          </dt>
          <dd>
            estimate
            {now.bill.due !== now.bill.total &&
              `, ${formatMoney(now.bill.due, ground.priceList.sign)} after deposit`}
          </dd>
        </div>
      </dl>
      <details className={styles.charges}>
        <summary>Charges, line by line</summary>
        <BillLines bill={now.bill} sign={ground.priceList.sign} />
        <p className="quiet">
          {view.priceList.name}, in force from {view.priceList.effectiveFrom}. An estimate until the last pack
          is weighed.
        </p>
      </details>
    </>
  );
}

/** `4 bone-in strip, 3 T-bone, 6 porterhouse`: what the slices are called along the cut. */
function namesAlong({ names }: ForecastLine): string {
  return names.map(({ name, pieces }) => `${pieces} ${inSentence(name)}`).join(', ');
}

function sizeOf(thicknessIn: number | null, packWeight: Weight | null, unit: string): string {
  if (thicknessIn !== null) return formatInches(thicknessIn);
  return packWeight === null ? '' : `${weightField(packWeight)} ${unit}`;
}
