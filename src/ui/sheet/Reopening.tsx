import { Button, Input } from 'antd';
import { useState } from 'react';
import type { SheetView } from '@/server/sheet';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';
import { useSignal } from '../kit/useSignal';
import styles from './SheetScreen.module.css';
import type { SheetState } from './useSheet';

/** What was approved is being changed: why, before anybody else sees it. */
export function Reopening({ view, state }: { view: SheetView; state: SheetState }) {
  const saving = useSignal(state.saver.saving);
  const [reason, setReason] = useState('');
  const { ask, busy, refusal, clear } = useAsk('reopenSheet');
  if (saving.state !== 'held') return null;
  const open = async () => {
    const version = state.saver.version.get();
    const answer = await ask({ shareId: view.shareId, version, reason: reason.trim() });
    if (!answer.ok) return;
    setReason('');
    state.reopened(answer.value.version);
  };
  return (
    <form
      className={styles.reopening}
      onSubmit={(event) => {
        event.preventDefault();
        void open();
      }}
    >
      <label>
        This sheet was approved. Why does it change?
        <Input
          size="small"
          maxLength={300}
          value={reason}
          onChange={(event) => {
            setReason(event.target.value);
            clear();
          }}
        />
      </label>
      <Note failure={refusal} />
      <div>
        {state.undo && (
          <button type="button" className="link" onClick={state.undo}>
            Undo
          </button>
        )}
        <Button size="small" type="primary" htmlType="submit" loading={busy} disabled={reason.trim() === ''}>
          Change it; it wants a fresh yes
        </Button>
      </div>
    </form>
  );
}
