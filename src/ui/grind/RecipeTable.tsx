import { gramsShown } from '@/core/curing/ingredients';
import { formatWeight, type WeighingUnit } from '@/core/quantity/weight';
import type { BatchOfDay, GrindOfDay } from '@/server/grind';
import styles from './RecipeTable.module.css';

type Props = {
  job: GrindOfDay;
  batch: BatchOfDay;
  unit: WeighingUnit;
  people: Readonly<Record<string, string>>;
  /** The ingredient that comes next. */
  at: string;
  onChoose: (name: string) => void;
};

/** The recipe scaled to the meat: what is due and what was weighed, ingredient by ingredient. */
export function RecipeTable({ job, batch: { standing, lot }, unit, people, at, onChoose }: Props) {
  const { ingredients, meat, added, mix } = standing;
  return (
    <section className={styles.recipe} aria-label="Recipe">
      <p>
        {job.recipe}, for {formatWeight(meat, unit)} {unit} <span>lot {lot}</span>
      </p>
      {ingredients.length === 0 ? (
        <p>Nothing but meat is in it.</p>
      ) : (
        <table>
          <thead>
            <tr>
              <th />
              <th className="num">g due</th>
              <th className="num">g weighed</th>
            </tr>
          </thead>
          <tbody>
            {ingredients.map(({ name, due, low, high, weighed, cures, second, by, otherwise }, index) => (
              <tr key={name} data-at={name === at || undefined}>
                <td>
                  <button
                    type="button"
                    onClick={() => onChoose(name)}
                    title={`${gramsShown(low)} to ${gramsShown(high)} g`}
                  >
                    <kbd>{index + 1}</kbd> {name}
                  </button>
                  {otherwise !== '' && <small>{otherwise}</small>}
                  {cures && weighed !== null && (
                    <small>
                      {people[by]}
                      {second === '' ? ', nobody has looked besides' : `, ${people[second]} looked`}
                    </small>
                  )}
                </td>
                <td className="num">{gramsShown(due)}</td>
                <td className="num">{weighed === null ? <i /> : <b>{gramsShown(weighed)}</b>}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p>
        <b>{formatWeight(meat, unit)}</b> meat + <b>{formatWeight(added, unit)}</b> seasoning and water ={' '}
        <b>
          {formatWeight(mix, unit)} {unit}
        </b>
      </p>
    </section>
  );
}
