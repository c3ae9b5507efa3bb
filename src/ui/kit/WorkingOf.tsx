'use client';

import { Popover } from 'antd';
import type { ReactNode } from 'react';
import type { Working } from '@/core/working/working';
import styles from './WorkingOf.module.css';

/** Any figure that can be asked how it came about. The one way to show a working, on every screen. */
export function WorkingOf({ working, children }: { working: Working; children: ReactNode }) {
  return (
    <Popover
      trigger="click"
      content={<WorkingTable working={working} />}
      title={working.title}
      placement="leftTop"
    >
      <button type="button" className={styles.figure} aria-label={`${working.title}: how it came about`}>
        {children}
      </button>
    </Popover>
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
