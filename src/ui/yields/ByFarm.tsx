import { DESTINATION_WORDS } from '@/core/species/types';
import { PACKED } from '@/core/yields/yieldRow';
import type { YieldsView } from '@/server/yields';
import { DestinationMark } from '../kit/DestinationMark';
import styles from './Yields.module.css';

/** What an animal gives farm by farm, and what of the hanging weight each kind of sheet takes home. */
export function ByFarm({ view: { farms, sheets, unit, animal } }: { view: YieldsView }) {
  if (farms.length === 0) return null;
  const shown = PACKED.filter((destination) => farms.some(({ perAnimal }) => perAnimal[destination] > 0));
  return (
    <div className={styles.wide}>
      <h2 className={styles.cuts}>To a {animal}, by farm</h2>
      <table className={styles.table}>
        <thead>
          <tr>
            <th>{unit} of packs</th>
            {shown.map((destination) => (
              <th key={destination} className="num">
                <DestinationMark destination={destination} /> {DESTINATION_WORDS[destination]}
              </th>
            ))}
            <th className="num">animals</th>
          </tr>
        </thead>
        <tbody>
          {farms.map(({ farm, animals, perAnimal }) => (
            <tr key={farm}>
              <td>{farm}</td>
              {shown.map((destination) => (
                <td key={destination} className="num">
                  {perAnimal[destination].toFixed(1)}
                </td>
              ))}
              <td className="num quiet">{animals}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <h2 className={styles.cuts}>What each kind of sheet takes home</h2>
      <table className={styles.table}>
        <thead>
          <tr>
            <th>sheet</th>
            <th className="num">packed on hot</th>
            <th className="num">shares</th>
          </tr>
        </thead>
        <tbody>
          {sheets.map(({ boneState, shares, packedOnHot: { pct } }) => (
            <tr key={boneState}>
              <td>{boneState}</td>
              <td className="num">
                <b>{pct === null ? '–' : `${pct.toFixed(1)} %`}</b>
              </td>
              <td className="num quiet">{shares}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
