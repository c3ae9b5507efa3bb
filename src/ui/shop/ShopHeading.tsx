import Link from 'next/link';
import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';
import styles from './ShopHeading.module.css';

const PLACES = [
  { path: '/shop/prices', word: 'Prices' },
  { path: '/shop/rules', word: 'House rules' },
  { path: '/shop/catalogue', word: 'Catalogue' },
  { path: '/shop/made', word: 'Made things' },
  { path: '/shop/curing', word: 'Cures and smoke' },
  { path: '/shop/people', word: 'People' },
  { path: '/shop/places', word: 'Places' },
  { path: '/blank/hog', word: 'Blank sheet' },
] as const;

/** What of the shop is set up here, the other parts as words beside it, and what can be done. */
export function ShopHeading({ children }: { children: ReactNode }) {
  const here = usePathname();
  return (
    <header className={styles.heading}>
      <h1>{PLACES.find(({ path }) => path === here)?.word}</h1>
      {PLACES.filter(({ path }) => path !== here).map(({ path, word }) => (
        <Link key={path} href={path} className={styles.other}>
          {word}
        </Link>
      ))}
      <span className={styles.spacer} />
      {children}
    </header>
  );
}
