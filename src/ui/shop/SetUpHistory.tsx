'use client';

import { useAsk } from '../kit/useAsk';
import { Note } from '../kit/Note';
import type { SetUpView } from '@/server/shop';
import styles from './PricesScreen.module.css';
import { Steps } from './Steps';

type Props = { view: SetUpView };

/** Every step of the shop's set-up, the newest first, each with its way back. */
export function SetUpHistory({ view }: Props) {
  const back = useAsk('changeSetUp');
  return (
    <aside className={styles.history}>
      <h2>Changed</h2>
      <Note failure={back.refusal} />
      {view.history.length === 0 && (
        <p className="quiet">
          Nothing yet: the shop works as Fractum comes. Every step will stand here, with its way back.
        </p>
      )}
      <Steps
        steps={view.history.map(({ number: id, actorName: who, ...step }) => ({ id, who, ...step }))}
        busy={back.busy}
        onBack={(step) => void back.ask({ change: { kind: 'back', step } })}
      />
      <h2>Whom it meets</h2>
      <p>
        New sheets obey at once. A sheet that was begun keeps what held then; its ticket says which step that
        was.
      </p>
    </aside>
  );
}
