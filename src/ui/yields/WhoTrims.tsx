import type { Pooled } from '@/core/yields/rates';
import type { YieldsView } from '@/server/yields';
import styles from './Yields.module.css';

/** Who trims how: the owner's to see, and a beginning of a talk, not its end. */
export function WhoTrims({ cutters }: Pick<YieldsView, 'cutters'>) {
  if (cutters.length === 0) return null;
  const pct = ({ pct: value }: Pooled) => (value === null ? '–' : value.toFixed(1));
  return (
    <>
      <h2 className={styles.cuts}>Who cut them</h2>
      <table className={styles.table}>
        <thead>
          <tr>
            <th>percent of the hot weight</th>
            <th className="num">packed</th>
            <th className="num">fat out</th>
            <th className="num">bone out</th>
            <th className="num">unaccounted</th>
            <th className="num">shares</th>
          </tr>
        </thead>
        <tbody>
          {cutters.map(({ cutterId, name, shares, packedOnHot, fat, bone, unaccounted }) => (
            <tr key={cutterId}>
              <td>{name}</td>
              <td className="num">
                <b>{pct(packedOnHot)}</b>
              </td>
              <td className="num quiet">{pct(fat)}</td>
              <td className="num quiet">{pct(bone)}</td>
              <td className="num quiet">{pct(unaccounted)}</td>
              <td className="num">{shares}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet">Sheets differ, and so do animals: ask why before you judge.</p>
    </>
  );
}
