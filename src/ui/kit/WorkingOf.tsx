'use client';

import type { ReactNode } from 'react';
import type { Working } from '@/core/working/working';
import { Opens } from './Opens';
import styles from './WorkingOf.module.css';

type Props = {
  /** What the figure is, where its working is made only when somebody asks. */
  title?: string;
  working: Working | (() => Working);
  children: ReactNode;
};

/**
 * Any figure that can be asked how it came about. The one way to show a working, on every screen. Nothing of it is made
 * before it is asked for: a sheet has thirty such figures, and they change with every choice.
 */
export function WorkingOf({ title, working, children }: Props) {
  const named = title ?? (typeof working === 'function' ? '' : working.title);
  return (
    <Opens
      title={named}
      content={() => <WorkingTable working={typeof working === 'function' ? working() : working} />}
    >
      {(opening) => (
        <button
          type="button"
          className={styles.figure}
          aria-label={`${named}: how it came about`}
          {...opening}
        >
          {children}
        </button>
      )}
    </Opens>
  );
}

export function WorkingTable({ working }: { working: Working }) {
  return (
    <div className={styles.working} tabIndex={0} role="group" aria-label="Working">
      <p>{working.formula}</p>
      <table>
        <tbody>
          {working.inputs.map((input, index) => (
            <tr key={index}>
              <td>{input.label}</td>
              <td className="num">{input.value}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet">{working.source}</p>
    </div>
  );
}
