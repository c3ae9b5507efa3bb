'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { PersonField } from './PersonField';
import styles from './Household.module.css';

/** Whom the shop knows, by any letters of a name, digits of a number, a tag or a farm. */
export function FindHousehold() {
  const router = useRouter();
  const [words, setWords] = useState('');
  return (
    <div className={styles.page}>
      <h1>Households and farms</h1>
      <p className="quiet">Type letters of a name, digits of a number, a tag. Enter opens the marked one.</p>
      <PersonField
        label="Who"
        value={words}
        width="280px"
        autoFocus
        onChange={setWords}
        onTake={({ id }) => router.push(`/households/${id}`)}
      />
    </div>
  );
}
