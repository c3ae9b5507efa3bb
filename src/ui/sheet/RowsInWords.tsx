import { Button } from 'antd';
import { useMemo } from 'react';
import { rowsFromWords } from '@/core/goals/rowsFromWords';
import { withAnswer } from '@/core/sheet/houseSheet';
import styles from './SheetScreen.module.css';
import type { SheetState } from './useSheet';

/** Words for the cutter that are rows of the sheet: shown for a yes; what is left of them stops the cutter once. */
export function RowsInWords({ state }: { state: SheetState }) {
  const { sheet, situation } = state;
  const { rows, left } = useMemo(
    () => rowsFromWords(situation, sheet, sheet.instructions),
    [sheet, situation],
  );
  if (rows.length === 0) return null;
  const take = () => {
    const answered = rows.reduce((made, { decision, answer }) => withAnswer(made, decision, answer), sheet);
    state.change({ ...answered, instructions: left.join(', ') });
  };
  return (
    <div className={styles.remark} role="status">
      These words are rows of the sheet:
      <ul>
        {rows.map(({ words, says }) => (
          <li key={words}>
            “{words}”: {says}
          </li>
        ))}
      </ul>
      <Button size="small" onClick={take}>
        Yes, as rows
      </Button>{' '}
      <span className="quiet">
        {left.length === 0 ? 'Nothing is left to read.' : `Left for the cutter: ${left.join(', ')}`}
      </span>
    </div>
  );
}
