import type { ShopFront } from '@/server/links';
import styles from './Mine.module.css';

/** The shop's number to be pressed; nothing where the shop has not said it. */
export function RingUs({ shop: { phone } }: { shop: ShopFront }) {
  if (phone === null) return null;
  return (
    <>
      Our number is{' '}
      <a className={styles.number} href={`tel:${phone.replace(/[^\d+]/g, '')}`}>
        {phone}
      </a>
      .
    </>
  );
}
