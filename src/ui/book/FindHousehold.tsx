'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { FoundHousehold } from '@/server/book';
import { Nothing } from '../kit/States';
import { PersonField } from './PersonField';
import styles from './Household.module.css';

/** Whom the shop knows, by any letters of a name, digits of a number, a tag or a farm. */
export function FindHousehold({ latest }: { latest: readonly FoundHousehold[] }) {
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
      <h2>Here last</h2>
      {latest.length === 0 ? (
        <Nothing>Nobody has had anything cut here yet. Whoever is booked will stand here.</Nothing>
      ) : (
        <table>
          <tbody>
            {latest.map(({ id, name, phone, last }) => (
              <tr key={id}>
                <td>
                  <Link href={`/households/${id}`}>{name}</Link>
                </td>
                <td className="quiet">{phone ?? 'no telephone'}</td>
                <td>{last?.words}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
