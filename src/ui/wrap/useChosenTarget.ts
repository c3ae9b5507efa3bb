'use client';

import { useState } from 'react';
import { currentTarget, type Chosen } from './currentTarget';
import { isDue, SECTIONS, type Section, type Target } from './targets';

/** Which section is open, which target is chosen in it, and how many pieces go into the next pack. */
export function useChosenTarget(targets: readonly Target[]) {
  const [section, setSection] = useState<Section>('block');
  const [chosen, setChosen] = useState<Chosen>();
  const [changedPieces, setChangedPieces] = useState<number | null>(null);
  const inSection = targets.filter((each) => each.section === section);
  const target = currentTarget(inSection, chosen);
  const pieces = changedPieces ?? target?.pieces ?? null;

  function choose(key: string | undefined) {
    const target = targets.find((each) => each.key === key);
    if (target) setSection(target.section);
    setChosen(target && { key: target.key, wasDue: isDue(target) });
    setChangedPieces(null);
  }

  function openSection(next: Section) {
    setSection(next);
    choose(undefined);
  }

  return {
    section,
    inSection,
    target,
    pieces,
    choose,
    /** What is due next of a line: into the cure first, then packs. */
    keyOfLine: (lineKey: string) =>
      targets.find((each) => 'lineKey' in each.purpose && each.purpose.lineKey === lineKey && isDue(each))
        ?.key,
    openSection,
    stepSection: (by: 1 | -1) =>
      openSection(SECTIONS[(SECTIONS.indexOf(section) + by + SECTIONS.length) % SECTIONS.length]!),
    changePieces: (by: 1 | -1) => pieces !== null && setChangedPieces(Math.max(1, pieces + by)),
    usualPieces: () => setChangedPieces(null),
  };
}
