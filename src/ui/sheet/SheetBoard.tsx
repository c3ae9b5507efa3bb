'use client';

import { memo, useCallback, useMemo, useRef } from 'react';
import { decisionDestination, mainDecisionOf, zoneParts } from '@/core/questions/zones';
import { decisionsAsked } from '@/core/sheet/situation';
import { answerSummary } from '@/core/sheet/summary';
import { takenOver, takenWords } from '@/core/sheet/takenOver';
import { formatWeight, sumWeights } from '@/core/quantity/weight';
import { mirroredMap } from '@/core/species/sideMapPath';
import type { Decision, SideMap as SideMapData, Species } from '@/core/species/types';
import { SideMap } from '../kit/SideMap';
import { useSteady } from '../kit/useSteady';
import { boardOf, isRoomy, type BoardGroup } from './board';
import { BoardColumn } from './BoardColumn';
import styles from './Board.module.css';
import { Leaders } from './Leaders';
import { decisionRow, extrasRow, grindRow } from './rowOf';
import type { SheetState } from './useSheet';

type Props = {
  /** A moment after the figures: what rows and side are drawn from. */
  state: SheetState;
  species: Species;
  /** The side as it hangs. */
  map: SideMapData;
  open: string;
  onOpen: (row: string) => void;
};

/** The side hangs between its own rows: what is asked, what comes of it, and where it goes. Nothing folds. */
export function SheetBoard({ state, species, map, open, onOpen }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const board = useMemo(() => boardOf(map, decisionsAsked(state.situation)), [map, state.situation]);
  const groups = (of: readonly BoardGroup[]) =>
    of.map(({ zone, decisions }) => ({
      zone,
      rows: decisions.map((decision) => decisionRow(state, decision)),
    }));
  const active = species.decisions.find((decision) => decision.id === open)?.zone;
  const choose = useCallback(
    (zone: string) => {
      const decision = mainDecisionOf(species, zone);
      if (decision) onOpen(decision.id);
    },
    [species, onOpen],
  );
  const point = useCallback(() => undefined, []);
  const describe = useSteady((zone: string) => {
    const decision = mainDecisionOf(species, zone);
    return decision ? wordsOf(state, decision) : 'not answered';
  });
  const tub = { zone: 'the tub', rows: [grindRow(state), extrasRow(state)] };
  // A right half has its belly, and the tub below it, at the left.
  const isMirrored = map.mirrored === true;
  const [left, right] = [groups(board.left), groups(board.right)];
  const differs = Object.keys(state.sheet.secondSide).length > 0;
  const other = useMemo(() => mirroredMap(map), [map]);
  return (
    <div
      className={styles.board}
      ref={box}
      data-mirrored={isMirrored || undefined}
      data-halves={differs || undefined}
      data-roomy={isRoomy(board) || undefined}
    >
      <BoardColumn groups={isMirrored ? [...left, tub] : left} open={open} onOpen={onOpen} />
      <div className={styles.drawing}>
        {([1, 2] as const).slice(0, differs ? 2 : 1).map((side) => (
          <SteadyMap
            key={side}
            map={side === 1 ? map : other}
            destinations={destinationsOf(state, species, side)}
            describe={describe}
            active={active}
            onChoose={choose}
            onPoint={point}
          />
        ))}
      </div>
      <BoardColumn groups={isMirrored ? right : [...right, tub]} open={open} onOpen={onOpen} />
      <Leaders board={box} map={map} active={active} halves={differs} />
    </div>
  );
}

const SteadyMap = memo(SideMap);

/** Where each part of each zone of a side goes, in the order of the map's zones, as `SideMap` reads it. */
function destinationsOf({ sheet, now }: SheetState, species: Species, side: 1 | 2): string {
  const answered = { species, sheet, expected: now.forecast };
  return Object.keys(species.sideMap.zones)
    .map((zone) =>
      zoneParts(species, zone)
        .map(
          ({ decision, share }) =>
            `${decisionDestination(answered, decision, side) ?? ''}:${share.toFixed(3)}`,
        )
        .join('+'),
    )
    .join();
}

/** A decision in one line: what is said of it, and what of it will be in the boxes. */
function wordsOf({ sheet, now, situation }: SheetState, decision: Decision): string {
  const taker = takenOver(situation.species, (id) => sheet.answers[id]).get(decision.id);
  if (taker) return `${decision.title}: ${takenWords(taker)}`;
  const answer = sheet.answers[decision.id];
  if (!answer) return `${decision.title}: not answered`;
  const lines = now.forecast.lines.filter((line) => line.decision === decision.id);
  const packed = sumWeights(lines.map((line) => line.packaged));
  const weight = packed > 0 ? `, ${formatWeight(packed, 1)} ${situation.unit}` : '';
  return `${decision.title}: ${answerSummary(decision, answer, situation.unit)}${weight}`;
}
