import type { PriceList } from '@/core/charges/priceList';
import type { ListInHand, PricesView } from '@/server/shop';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';
import styles from './PricesScreen.module.css';
import { Steps } from './Steps';

/** What was changed in a list in hand, the newest first, each step with its way back; and whom the list meets. */
export function PriceHistory({
  view,
  list,
  inHand,
}: {
  view: PricesView;
  list: PriceList;
  inHand?: ListInHand;
}) {
  const back = useAsk('takeBackPrice');
  const away = useAsk('putPricesAway');
  const shares = view.standing.find((each) => each.list.id === list.id)?.shares ?? 0;
  return (
    <aside className={styles.history}>
      {inHand && (
        <>
          <h2>Changed</h2>
          <Note failure={back.refusal ?? away.refusal} />
          {inHand.history.length === 0 && <p className="quiet">Nothing yet: type another rate.</p>}
          <Steps
            steps={inHand.history}
            busy={back.busy}
            onBack={(changeId) => void back.ask({ draftId: inHand.id, changeId })}
          />
        </>
      )}
      <h2>Whom it meets</h2>
      <p>
        {inHand ? (
          <>
            <b>Nobody booked.</b> Orders keep the prices they were booked under.{' '}
            <button type="button" className="link" onClick={() => void away.ask({ draftId: inHand.id })}>
              Put this list away
            </button>
          </>
        ) : (
          <>
            <b>{shares}</b> {shares === 1 ? 'share was' : 'shares were'} booked under it. It stands as it is;
            another list begins as its copy.
          </>
        )}
      </p>
    </aside>
  );
}
