'use client';

import { Button, Input, Segmented } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { formatMoney, type Cents } from '@/core/quantity/money';
import { formatWeight } from '@/core/quantity/weight';
import type { Settlement } from '@/core/order/settlement';
import { act, newClientId } from '../kit/act';
import { BillLines } from '../kit/BillLines';
import { ShareHeader } from '../kit/ShareHeader';
import styles from './SettleScreen.module.css';

/** The bill beside its estimate, the money, the hand-over and the statement. */
export function SettleScreen({ view }: { view: Settlement }) {
  const { sign, unit, reconciliation: balance } = view;
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
          <Money view={view} />
          <h2 className={styles.sub}>In the boxes</h2>
          <table>
            <tbody>
              {view.packs.map((pack) => (
                <tr key={pack.cut}>
                  <td>
                    {pack.cut}
                    {pack.green !== null && (
                      <span className="quiet">
                        {' '}
                        from {formatWeight(pack.green)} {unit} green
                      </span>
                    )}
                  </td>
                  <td className="num">{pack.packs}</td>
                  <td className="num">{formatWeight(pack.net)}</td>
                </tr>
              ))}
              <tr>
                <td>
                  <b>take-home</b>, {(balance.yieldBp / 100).toFixed(1)} % of {formatWeight(balance.cold)}{' '}
                  {unit} cold
                </td>
                <td className="num">{view.packs.reduce((sum, pack) => sum + pack.packs, 0)}</td>
                <td className="num">
                  <b>{formatWeight(balance.boxes)}</b>
                </td>
              </tr>
            </tbody>
          </table>
        </section>
      </div>
    </div>
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
                  {each.final - each.estimated > 0 ? '+' : '−'}
                  {formatMoney(Math.abs(each.final - each.estimated) as Cents, sign)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}

type Method = 'cash' | 'card' | 'transfer';

/** What is due, taking the payment, and handing over. */
function Money({ view }: { view: Settlement }) {
  const router = useRouter();
  const [requestId, setRequestId] = useState(newClientId);
  const [method, setMethod] = useState<Method>('card');
  const [takenBy, setTakenBy] = useState(view.people.contact);
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);

  async function done(sent: ReturnType<typeof act<'takePayment'>> | ReturnType<typeof act<'handOver'>>) {
    setBusy(true);
    const result = await sent;
    setBusy(false);
    setProblem(result.ok ? '' : result.message);
    if (!result.ok) return;
    setRequestId(newClientId());
    router.refresh();
  }
  const shareId = view.shareId;
  return (
    <div className={styles.money}>
      <p className={styles.due}>
        <span className={styles.big}>{formatMoney(view.due, view.sign)}</span>
        <span className="quiet">
          {view.due > 0 ? 'due' : view.due < 0 ? 'to give back' : 'paid in full'}
          {view.paid !== 0 && `, ${formatMoney(view.paid, view.sign)} paid`}
          {view.people.payer !== view.people.owner && `, by ${view.people.payer}`}
        </span>
      </p>
      {view.final && view.due > 0 && (
        <div className={styles.actions}>
          <Segmented
            value={method}
            onChange={(value) => setMethod(value as Method)}
            options={['card', 'cash', 'transfer']}
          />
          <Button
            type="primary"
            loading={busy}
            onClick={() =>
              void done(act('takePayment', { clientId: requestId, shareId, amountCents: view.due, method }))
            }
          >
            Paid
          </Button>
        </div>
      )}
      {view.pickUp ? (
        <p>
          Picked up by <b>{view.pickUp.takenBy}</b> on {view.pickUp.at.slice(0, 10)}.
        </p>
      ) : (
        view.final && (
          <div className={styles.actions}>
            <Input
              aria-label="Picked up by"
              value={takenBy}
              onChange={(event) => setTakenBy(event.target.value)}
            />
            <Button
              type={view.due > 0 ? 'default' : 'primary'}
              loading={busy}
              onClick={() => void done(act('handOver', { clientId: requestId, shareId, takenBy }))}
            >
              Picked up
            </Button>
          </div>
        )
      )}
      <p role="alert" className="alarm">
        {problem}
      </p>
    </div>
  );
}
