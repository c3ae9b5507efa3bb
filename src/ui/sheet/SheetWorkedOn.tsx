'use client';

import { useSearchParams } from 'next/navigation';
import { memo, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { ShareId } from '@/core/order/animal';
import { houseAnswer, withAnswer } from '@/core/sheet/houseSheet';
import { decisionsAsked } from '@/core/sheet/situation';
import { mirroredMap } from '@/core/species/sideMapPath';
import type { SideMap, Species } from '@/core/species/types';
import type { SheetView } from '@/server/sheet';
import { act } from '../kit/act';
import { useKey, useScope } from '../kit/keys/useKey';
import { onDemand } from '../kit/onDemand';
import { useSettled } from '../kit/useSettled';
import { boardOf, rowBeside } from './board';
import { Boxes } from './Boxes';
import { MetElsewhere } from './MetElsewhere';
import { FromPaper, useFromPaper, type Paper } from './FromPaper';
import { Moved } from './Moved';
import { Reopening } from './Reopening';
import styles from './SheetScreen.module.css';
import { EXTRAS_ROW, GRIND_ROW } from './rows';
import { SheetBoard } from './SheetBoard';
import { SheetFoot } from './SheetFoot';
import { SheetHeader } from './SheetHeader';
import { useSheet, type SheetState, type SheetWay } from './useSheet';
import { ZoneEditor } from './ZoneEditor';

const ExtrasEditor = onDemand(() => import('./ExtrasEditor').then((module) => module.ExtrasEditor));
const GrindEditor = onDemand(() => import('./GrindEditor').then((module) => module.GrindEditor));
const Wishes = onDemand(() => import('./Wishes').then((module) => module.Wishes));
const FieldStyles = onDemand(() => import('./FieldStyles').then((module) => module.FieldStyles));

type Props = { view: SheetView; species: Species };

/** By the staff's door. */
function byStaff(shareId: ShareId): SheetWay {
  return {
    reopens: true,
    save: (asked) => act('saveSheet', { shareId, ...asked }),
    fetch: () => act('sheetView', { shareId }),
  };
}

/** The signature screen: the side between its rows, the open row at the right, and one bar that adds up. */
export function SheetWorkedOn({ view, species }: Props) {
  const way = useMemo(() => byStaff(view.shareId), [view.shareId]);
  const state = useSheet(view, species, way);
  // The figures of a choice are drawn first; what the eye goes to afterwards follows in the frames after.
  const settled = useSettled(state);
  const [wishing, setWishing] = useState(false);
  const wish = useCallback(() => setWishing(true), []);
  return (
    <div className={styles.screen}>
      {wishing ? (
        <Wishes view={view} state={state} onClose={() => setWishing(false)} />
      ) : (
        <RowByRow view={view} species={species} state={state} settled={settled} onWish={wish} />
      )}
    </div>
  );
}

type RowByRowProps = Props & { state: SheetState; settled: SheetState; onWish: () => void };

/** The sheet answered row by row. */
function RowByRow({ view, species, state, settled, onWish }: RowByRowProps) {
  const map = useMemo(
    () => (view.hangs === 'right' ? mirroredMap(species.sideMap) : species.sideMap),
    [species, view.hangs],
  );
  const [open, setOpen, paper] = useOpenRow(state, settled, map);
  useKey('sheet', 'wishes', onWish);
  return (
    <>
      <SteadyHeader view={view} state={settled} onQuestion={setOpen} onWish={onWish} />
      <MetElsewhere state={state} />
      <section className={styles.columns} aria-label="Decisions, in cutting order">
        <SteadyBoard state={settled} species={species} map={map} open={open} onOpen={setOpen} />
        <Panel state={state} settled={settled} view={view} open={open} onOpen={setOpen} paper={paper} />
      </section>
      <SheetFoot state={state} view={view} />
    </>
  );
}

const SteadyBoard = memo(SheetBoard);
const SteadyHeader = memo(SheetHeader);
const SteadyBoxes = memo(Boxes);

type PanelProps = {
  state: SheetState;
  settled: SheetState;
  view: SheetView;
  open: string;
  onOpen: (row: string) => void;
  paper: Paper;
};

/** The open row: always in the same place; moving along the rows changes only what stands here. */
function Panel({ state, settled, view, open, onOpen, paper }: PanelProps) {
  const box = useRef<HTMLElement>(null);
  useEffect(() => {
    void box.current?.scrollTo({ top: 0 });
  }, [open]);
  const decision = state.situation.species.decisions.find(({ id }) => id === open);
  return (
    <aside className={styles.panel} ref={box}>
      <Reopening view={view} state={state} />
      <FromPaper paper={paper} />
      {decision && (
        <ZoneEditor
          key={decision.id}
          decision={decision}
          state={state}
          settled={settled}
          view={view}
          onDigit={paper.isOn ? paper.next : undefined}
        />
      )}
      {open === GRIND_ROW && <GrindEditor state={state} view={view} />}
      {open === EXTRAS_ROW && <ExtrasEditor state={state} view={view} />}
      <Moved state={settled} />
      <SteadyBoxes state={settled} view={view} openDecision={open} onOpen={onOpen} />
      <FieldStyles />
    </aside>
  );
}

/** Which row is open: the first question, what the palette leads to, and what the keys go on to. */
function useOpenRow(
  state: SheetState,
  settled: SheetState,
  map: SideMap,
): [string, (row: string) => void, Paper] {
  const asked = useSearchParams().get('row');
  const { situation } = state;
  const columns = useMemo(() => {
    const { left, right } = boardOf(map, decisionsAsked(situation));
    const idsOf = (groups: typeof left) => groups.flatMap(({ decisions }) => decisions.map(({ id }) => id));
    const tub = [GRIND_ROW, EXTRAS_ROW];
    return !map.mirrored
      ? [idsOf(left), [...idsOf(right), ...tub]]
      : [[...idsOf(left), ...tub], idsOf(right)];
  }, [map, situation]);
  const rows = columns.flat();
  const [open, setOpen] = useState<string>(() => asked ?? firstOpen(state) ?? rows[0]!);
  const step = (by: number) => {
    // What was typed in a line of text is kept before another row is open.
    if (document.activeElement instanceof HTMLInputElement) document.activeElement.blur();
    setOpen((before) => rows[(rows.indexOf(before) + by + rows.length) % rows.length]!);
  };
  const paper = useFromPaper(state, open, setOpen);
  useScope('sheet');
  useKey('sheet', 'next', () => step(1));
  useKey('sheet', 'before', () => step(-1));
  useKey('sheet', 'right', () => setOpen((before) => rowBeside(columns, before, 1)));
  useKey('sheet', 'left', () => setOpen((before) => rowBeside(columns, before, -1)));
  useKey('sheet', 'question', () =>
    paper.isOn ? paper.next(state.sheet) : setOpen((before) => nextQuestion(settled, before) ?? before),
  );
  useKey('sheet', 'house', () => {
    const decision = situation.species.decisions.find(({ id }) => id === open);
    if (decision) state.change(withAnswer(state.sheet, decision.id, houseAnswer(decision, situation)));
  });
  const [followed, setFollowed] = useState(asked);
  if (asked !== followed) {
    // The palette leads to a row by the address, on the sheet that is open already too.
    setFollowed(asked);
    if (asked) setOpen(asked);
  }
  return [open, setOpen, paper];
}

function firstOpen(state: SheetState): string | undefined {
  return state.findings.find((finding) => finding.blocks)?.decision;
}

function nextQuestion(state: SheetState, after: string): string | undefined {
  const open = state.findings.filter((finding) => finding.blocks).map((finding) => finding.decision);
  return open[open.indexOf(after) + 1] ?? open[0];
}
