import { gramsShown } from '@/core/curing/ingredients';
import { formatWeight } from '@/core/quantity/weight';
import type { GrindOfDay, GrindView } from '@/server/grind';
import styles from './RecipeTable.module.css';

type Props = {
  job: GrindOfDay;
  view: GrindView;
  /** Others' lines that are ground with it. */
  joined: GrindOfDay['mayPool'];
};

/** Before it is begun: what the plan gives to it. */
export function Planned({ job, view: { unit }, joined }: Props) {
  return (
    <section className={styles.recipe} aria-label="What is planned">
      <p>{job.cut}</p>
      <p>
        About <b>{formatWeight(job.planned, unit)}</b> {unit} of meat, {job.packs} packs
        {job.pieces !== null && `, ${job.pieces} pieces together`}.
      </p>
      {joined.map(({ shareId, name, planned }) => (
        <p key={shareId}>
          Together with <b>{name}</b>: {formatWeight(planned, unit)} {unit} more.
        </p>
      ))}
      {job.due.length > 0 && (
        <table>
          <thead>
            <tr>
              <th />
              <th className="num">g due</th>
            </tr>
          </thead>
          <tbody>
            {job.due.map(({ name, tenths }) => (
              <tr key={name}>
                <td>{name}</td>
                <td className="num">{gramsShown(tenths)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {job.allergens.length > 0 && (
        <p className={styles.caution}>With {job.allergens.join(', ')}: everything is washed after it.</p>
      )}
    </section>
  );
}
