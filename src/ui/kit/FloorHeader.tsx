import Link from 'next/link';
import type { ReactNode } from 'react';
import styles from './FloorHeader.module.css';

type Props = {
  /** The page it was come from. */
  back: string;
  name: string;
  about: ReactNode;
  /** Who works at the station, and how far the day is. */
  who: ReactNode;
  /** Whether everything has reached the house. */
  saved?: ReactNode;
  children?: ReactNode;
};

/** The head of a station of the floor: whose it is, what it is, who works. */
export function FloorHeader({ back, name, about, who, saved, children }: Props) {
  return (
    <header className={styles.header}>
      <Link href={back} className={styles.home} aria-label="Back to the rail">
        ‹
      </Link>
      <h1>{name}</h1>
      <span className={styles.about}>{about}</span>
      {children}
      <span className={styles.who}>{who}</span>
      {saved}
    </header>
  );
}
