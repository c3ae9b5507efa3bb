import { Button } from 'antd';
import { counted } from '@/core/quantity/counted';
import { listed } from '@/core/quantity/listed';
import styles from './SheetScreen.module.css';
import type { SheetState } from './useSheet';

const WHOLE_WORDS: Readonly<Record<string, string>> = {
  grind: 'the grind',
  wrap: 'the wrap',
  instructions: 'the words for the cutter',
  offal: 'what is asked for at the kill floor',
};

/** Somebody else answered the same rows otherwise at the same time: whose answers stand is asked. */
export function MetElsewhere({ state: { met, settle, situation } }: { state: SheetState }) {
  if (!met) return null;
  const rows = met.clashes.map(({ row }) => {
    const [name = '', id = ''] = row.split('.');
    const title = situation.species.decisions.find((decision) => decision.id === id)?.title;
    return title?.toLowerCase() ?? WHOLE_WORDS[name] ?? id;
  });
  return (
    <div className={styles.met} role="alert">
      <span>
        Somebody else answered {counted(rows.length, 'row')} otherwise at the same time: {listed(rows)}. All
        other rows of both are taken in.
      </span>
      <Button size="small" onClick={() => settle('theirs')}>
        Take theirs
      </Button>
      <Button size="small" type="primary" onClick={() => settle('mine')}>
        Keep ours
      </Button>
    </div>
  );
}
