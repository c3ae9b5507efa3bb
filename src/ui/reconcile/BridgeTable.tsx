import { formatWeight } from '@/core/quantity/weight';
import type { BalanceView } from '@/server/settle';
import styles from './ReconcileScreen.module.css';

/** The steps of the picture as figures, to the thousandth: what the picture cannot be asked. */
export function BridgeTable({ view }: { view: BalanceView }) {
  const { reconciliation: balance, unit } = view;
  return (
    <table className={styles.bridge}>
      <tbody>
        {view.hot > balance.cold && (
          <tr className="quiet">
            <td>hot weight, before the rail took its part</td>
            <td className="num">{formatWeight(view.hot, 3)}</td>
          </tr>
        )}
        {balance.bridge.map((step) => (
          <tr key={step.label}>
            <td>{step.lost ? step.label : <b>{step.label}</b>}</td>
            <td className="num">
              {step.lost ? (
                `− ${formatWeight(step.weight, 3)}`.replace('− -', '+ ')
              ) : (
                <b>
                  {formatWeight(step.weight, 3)} {unit}
                </b>
              )}
            </td>
          </tr>
        ))}
        <tr>
          <td>yield, boxes on cold weight</td>
          <td className="num">{(balance.yieldBp / 100).toFixed(2)} %</td>
        </tr>
      </tbody>
    </table>
  );
}
