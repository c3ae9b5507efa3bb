'use client';

import { useEffect } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { formatWeight } from '@/core/quantity/weight';
import type { BlockView } from '@/server/block';
import { standOpen } from '../kit/keys/scopes';
import { itemsOf } from './items';
import styles from './Over.module.css';

type Props = { view: BlockView; at: number; onGo: (index: number) => void; onClose: () => void };

/** The whole break at a glance: every step, what is wanted there and what is forbidden, in the order it is cut. */
export function WholeBreak({ view, at, onGo, onClose }: Props) {
  useHotkeys('escape,b', onClose);
  useEffect(standOpen, []);
  return (
    <div className={styles.cover} role="dialog" aria-modal aria-label="The whole break">
      <header>
        <h2>{view.name}, the whole break</h2>
        <button type="button" onClick={onClose}>
          <kbd>Esc</kbd> back
        </button>
      </header>
      {view.otherwise.length > 0 && (
        <p className={styles.otherwise}>Done otherwise: {view.otherwise.join(' · ')}</p>
      )}
      {view.warnings.map((warning) => (
        <p key={warning} className={styles.otherwise}>
          {warning}
        </p>
      ))}
      <ol className={styles.steps}>
        {view.steps.map((step, index) => (
          <li key={step.id}>
            <button type="button" aria-current={index === at || undefined} onClick={() => onGo(index)}>
              <span data-done={step.doneAt !== ''}>{step.doneAt === '' ? index + 1 : '✓'}</span>
              <b>
                {step.title}
                {step.byLearner && ` (${step.doneBy}, learning)`}
              </b>
              <small>
                {itemsOf(step.off.filter(({ owner }) => owner === ''))
                  .map(({ count, words, weight }) =>
                    [count, words, weight === null ? '' : formatWeight(weight, 1)].filter(Boolean).join(' '),
                  )
                  .join(', ')}
              </small>
              {step.stops.length > 0 && <em>{step.stops.map(({ says }) => says).join('. ')}</em>}
            </button>
          </li>
        ))}
      </ol>
    </div>
  );
}
