'use client';

import dynamic from 'next/dynamic';
import { formatMoney, type Cents } from '@/core/quantity/money';
import { formatWeight, type WeighingUnit } from '@/core/quantity/weight';
import type { PackedCut, Settlement } from '@/core/order/settlement';
import { Money } from '../kit/Amount';
import { BillLines } from '../kit/BillLines';
import { Coming } from '../kit/States';
import { useLive } from '../kit/live/useLive';
import { ShareHeader } from '../kit/ShareHeader';
import styles from './SettleScreen.module.css';

const Payments = dynamic(() => import('./Payments').then((module) => module.Payments), {
  ssr: false,
  loading: () => <Coming words="Loading what is due" rows={4} />,
});

/** The bill beside its estimate, the money, the hand-over and the statement. */
export function SettleScreen({ view: first }: { view: Settlement }) {
  const { value: view } = useLive('settleView', { shareId: first.shareId }, first);
  const { sign } = view;
  return (
    <div className={styles.page}>
      <ShareHeader name={view.name} about={view.about}>
        {view.final && (
          <a
            className={styles.statement}
            href={`/api/statement/${view.shareId}`}
            target="_blank"
            rel="noreferrer"
          >
            Statement for the household, PDF
          </a>
        )}
      </ShareHeader>
      <div className={styles.columns}>
        <section>
          <h2>{view.final ? 'The bill' : 'The bill so far; not final until the balance is closed'}</h2>
          <BillLines bill={view.bill} sign={sign} />
          <p className="quiet">{view.priceList}</p>
          <Estimate view={view} />
        </section>
        <section>
          <Payments view={view} />
          <h2 className={styles.sub}>In the boxes</h2>
          <PackTable view={view} />
        </section>
      </div>
    </div>
  );
}

/** What is in the boxes, and what of the hanging weight that is. */
function PackTable({ view: { packs, unit, reconciliation: balance } }: { view: Settlement }) {
  return (
    <table>
      <thead>
        <tr>
          <th>cut</th>
          <th className="num">packs</th>
          <th className="num">{unit}</th>
        </tr>
      </thead>
      <tbody>
        {packs.map((pack) => (
          <PackRow key={pack.cut} pack={pack} unit={unit} />
        ))}
        <tr>
          <td>
            <b>take-home</b>, {(balance.yieldBp / 100).toFixed(1)} % of {formatWeight(balance.cold, unit)}{' '}
            {unit} cold
          </td>
          <td className="num">{packs.reduce((sum, pack) => sum + pack.packs, 0)}</td>
          <td className="num">
            <b>{formatWeight(balance.boxes, unit)}</b>
          </td>
        </tr>
      </tbody>
    </table>
  );
}

function PackRow({ pack, unit }: { pack: PackedCut; unit: WeighingUnit }) {
  return (
    <tr>
      <td>
        {pack.cut}
        {pack.green !== null && (
          <span className="quiet">
            {' '}
            from {formatWeight(pack.green, unit)} {unit} green
          </span>
        )}
      </td>
      <td className="num">{pack.packs}</td>
      <td className="num">{formatWeight(pack.net, unit)}</td>
    </tr>
  );
}

function Estimate({ view }: { view: Settlement }) {
  const { sign } = view;
  return (
    <>
      <h2 className={styles.sub}>
        Estimated {formatMoney(view.estimate.total, sign)}, {view.final ? 'final' : 'now'}{' '}
        {formatMoney(view.bill.total, sign)}
      </h2>
      {view.differences.length === 0 ? (
        <p className="quiet">Line by line the same.</p>
      ) : (
        <table>
          <tbody>
            {view.differences.map((each) => (
              <tr key={each.label}>
                <td>{each.label}</td>
                <td className="quiet">{each.sentence}</td>
                <td className="num">
                  <Money cents={(each.final - each.estimated) as Cents} sign={sign} signed />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
