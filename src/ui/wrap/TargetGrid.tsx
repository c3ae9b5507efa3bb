'use client';

import { useEffect, useRef } from 'react';
import { targetName } from './byDigits';
import { isDue, SECTION_WORDS, SECTIONS, type Section, type Target } from './targets';
import styles from './TargetGrid.module.css';

type Props = {
  targets: readonly Target[];
  section: Section;
  chosen: string | undefined;
  onSection: (section: Section) => void;
  onChoose: (target: Target) => void;
};

/** More pips than this tell the eye nothing; the figure beside them does. */
const MOST_PIPS = 14;

/** What is due, as numbered targets with a pip for each pack. */
export function TargetGrid({ targets, section, chosen, onSection, onChoose }: Props) {
  const shown = targets.filter((target) => target.section === section);
  return (
    <section className={styles.targets}>
      <div className={styles.sections} role="tablist" aria-label="Where it comes from">
        {SECTIONS.map((each) => {
          const open = targets.filter((target) => target.section === each && isDue(target)).length;
          return (
            <button
              key={each}
              type="button"
              role="tab"
              aria-selected={each === section}
              onClick={() => onSection(each)}
              tabIndex={-1}
            >
              {SECTION_WORDS[each]} <b>{open}</b>
            </button>
          );
        })}
      </div>
      <div className={styles.grid} role="radiogroup" aria-label="Targets">
        {shown.map((target, index) => (
          <TargetCard
            key={target.key}
            target={target}
            name={targetName(index, shown.length)}
            chosen={target.key === chosen}
            onChoose={() => onChoose(target)}
          />
        ))}
      </div>
    </section>
  );
}

type CardProps = { target: Target; name: string; chosen: boolean; onChoose: () => void };

function TargetCard({ target, name, chosen, onChoose }: CardProps) {
  const card = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    // Chosen by keys it may be out of view.
    if (chosen) card.current?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);
  const done = !isDue(target);
  const pips = Math.max(target.due, target.made);
  return (
    <button
      ref={card}
      type="button"
      role="radio"
      aria-checked={chosen}
      tabIndex={-1}
      className={styles.target}
      data-chosen={chosen || undefined}
      data-done={done || undefined}
      data-destination={target.destination}
      onClick={onChoose}
    >
      <kbd>{name}</kbd>
      <span className={styles.targetTitle}>{target.title}</span>
      <span className={styles.targetDetail}>{target.waits || target.detail}</span>
      <span className={styles.pips} aria-hidden>
        {pips <= MOST_PIPS &&
          Array.from({ length: pips }, (_, at) => <i key={at} data-made={at < target.made || undefined} />)}
      </span>
      <span className={styles.made}>
        <b>{target.made}</b> {target.settled ? 'explained' : target.due > 0 ? `of ${target.due}` : ''}
      </span>
    </button>
  );
}
