'use client';

import { Button, Form, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import type { RailBoard, SideOnPlan } from '@/server/hang';
import { AskDialog } from '../kit/AskDialog';
import { useKey, useScope } from '../kit/keys/useKey';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';
import { DeepDialog } from './DeepDialog';
import { OneRail } from './OneRail';
import { OpenedSide } from './OpenedSide';
import { RailUpright } from './RailUpright';
import styles from './RailPlan.module.css';

type Props = { board: RailBoard; onFound: (side: SideOnPlan) => void; onWeigh: (side: SideOnPlan) => void };

/** The rails as a plan, foot by foot: each side hangs as low as it has hung long, coloured by its sheet. */
export function RailPlan({ board, onFound, onWeigh }: Props) {
  const [openId, open] = useState(board.sides[0]?.sideId);
  const [moving, setMoving] = useState(false);
  const [holding, setHolding] = useState(false);
  const [measuring, setMeasuring] = useState(false);
  const { ask, refusal, clear } = useAsk('doOnRail');
  const { sides } = board;
  const side = sides.find(({ sideId }) => sideId === openId) ?? sides[0];
  const at = side ? sides.indexOf(side) : 0;
  const choose = (next: SideOnPlan | undefined) => {
    open(next?.sideId);
    setMoving(false);
    clear();
  };
  const step = (by: 1 | -1) => choose(sides[(at + by + sides.length) % sides.length]);
  const plain = { rail: '', foot: null, reason: '' };
  const cover = () =>
    side && void ask({ sideId: side.sideId, kind: side.covered ? 'bared' : 'covered', ...plain });
  const hold = () => {
    if (!side) return;
    if (side.held === '') setHolding(true);
    else void ask({ sideId: side.sideId, kind: 'let go', ...plain });
  };
  const move = async (rail: string, foot: number) => {
    if (!side) return;
    const answer = await ask({ sideId: side.sideId, kind: 'moved', rail, foot, reason: '' });
    if (answer.ok) setMoving(false);
  };
  useScope('rail');
  useKey('rail', 'next', () => step(1));
  useKey('rail', 'before', () => step(-1));
  useKey('rail', 'move', () => setMoving(!moving), board.mayHandle);
  useKey('rail', 'cover', cover, board.mayHandle);
  useKey('rail', 'hold', hold, board.mayHandle);
  useKey('rail', 'finding', () => side && onFound(side), board.mayHandle);
  useKey('rail', 'deep', () => setMeasuring(true), board.mayHandle);
  useKey('rail', 'weigh', () => side && onWeigh(side), board.mayHandle);
  if (board.rails.length === 0) {
    return (
      <p className="quiet">
        No rail is named yet. Name the rails among the places of the shop, with their feet, and what hangs is
        drawn where it hangs.
      </p>
    );
  }
  return (
    <section className={styles.plan} aria-label="The rails">
      <DueFirst sides={sides} open={side} onOpen={choose} />
      {board.rails.map((rail) => (
        <OneRail
          key={rail.id}
          rail={rail}
          board={board}
          open={side}
          moving={moving}
          onOpen={choose}
          onPlace={(foot) => void move(rail.id, foot)}
        />
      ))}
      <RailUpright board={board} open={side} onOpen={choose} />
      {board.without.length > 0 && (
        <p className="alarm">
          No room on a rail for {board.without.length} of what hangs: move something, or name another rail.
        </p>
      )}
      {side && (
        <OpenedSide
          side={side}
          unit={board.unit}
          mayHandle={board.mayHandle}
          moving={moving}
          onMove={() => setMoving(!moving)}
          onCover={cover}
          onHold={hold}
          onDeep={() => setMeasuring(true)}
          onFound={() => onFound(side)}
          onWeigh={() => onWeigh(side)}
        />
      )}
      {side && moving && <MoveTo board={board} onPlace={(rail, foot) => void move(rail, foot)} />}
      <Note failure={refusal} fields={[]} />
      {measuring && side && <DeepDialog side={side} unit={board.unit} onClose={() => setMeasuring(false)} />}
      {holding && side && (
        <AskDialog
          title={`${side.tag}, ${side.position} side: why is it held?`}
          asks="doOnRail"
          does="Hold it"
          initial={{ reason: '' }}
          question={({ reason }) => ({
            sideId: side.sideId,
            kind: 'held' as const,
            rail: '',
            foot: null,
            reason,
          })}
          onDone={() => setHolding(false)}
          onClose={() => setHolding(false)}
        >
          <Form.Item name="reason" label="It does not go to the block until somebody lets it go, or says why">
            <Input maxLength={200} />
          </Form.Item>
        </AskDialog>
      )}
    </section>
  );
}

type MoveProps = { board: RailBoard; onPlace: (rail: string, foot: number) => void };

/** The rail and the foot by hand, where nobody can press the plan. */
function MoveTo({ board, onPlace }: MoveProps) {
  return (
    <Form
      layout="inline"
      initialValues={{ rail: board.rails[0]!.id, foot: 0 }}
      onFinish={({ rail, foot }: { rail: string; foot: number | null }) => onPlace(rail, foot ?? 0)}
    >
      <Form.Item name="rail" label="or by hand: rail">
        <Select
          popupMatchSelectWidth={false}
          options={board.rails.map(({ id, name }) => ({ value: id, label: name }))}
        />
      </Form.Item>
      <Form.Item name="foot" label="foot">
        <InputNumber min={0} max={1000} />
      </Form.Item>
      <Button htmlType="submit">Hang it there</Button>
    </Form>
  );
}

/** How it stands with what is due: late, today, or in so many days. */
function dueWords({ days, targetDays, longestDays }: SideOnPlan): string {
  if (days > longestDays) return `${days - longestDays} past the longest`;
  const left = targetDays - days;
  if (left < 0) return `${-left} over`;
  return left === 0 ? 'today' : left === 1 ? 'tomorrow' : `in ${left} days`;
}

type DueProps = {
  sides: readonly SideOnPlan[];
  open: SideOnPlan | undefined;
  onOpen: (side: SideOnPlan) => void;
};

/** So many animals are named as due first. */
const DUE_SHOWN = 6;

function DueFirst({ sides, open, onOpen }: DueProps) {
  const animals = [...new Map(sides.map((side) => [side.animalId, side])).values()].slice(0, DUE_SHOWN);
  return (
    <p className={styles.due}>
      <b>Due first</b>
      {animals.map((side) => (
        <button
          key={side.sideId}
          type="button"
          aria-pressed={side.animalId === open?.animalId}
          onClick={() => onOpen(sides.find(({ animalId }) => animalId === side.animalId)!)}
        >
          <b>{side.tag}</b>{' '}
          <span className={side.days > side.targetDays ? 'alarm' : 'quiet'}>{dueWords(side)}</span>
          {side.waits !== '' && side.days >= side.targetDays - 1 && (
            <span className="alarm"> {side.waits}</span>
          )}
        </button>
      ))}
    </p>
  );
}
