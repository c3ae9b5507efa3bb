import type { ShopFront } from '@/server/links';
import styles from './Mine.module.css';
import { RingUs } from './RingUs';

/** A link that opens nothing: said kindly, and whom to ring. */
export function LinkHoldsNoMore({ words, shop }: { words: string; shop: ShopFront | null }) {
  return (
    <main className={styles.page}>
      <div className={styles.body}>
        <h1>This page is closed.</h1>
        <p>{words}</p>
        {shop && (
          <p>
            {shop.name}. <RingUs shop={shop} />
          </p>
        )}
      </div>
    </main>
  );
}
