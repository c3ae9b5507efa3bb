'use client';

import { Button, Form, Input } from 'antd';
import Link from 'next/link';
import { useState } from 'react';
import { frameOf, zonePath } from '@/core/species/sideMapPath';
import type { RailBoard, SideOnPlan } from '@/server/hang';
import { AskDialog } from '../kit/AskDialog';
import { useKey, useScope } from '../kit/keys/useKey';
import { useLive } from '../kit/live/useLive';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';
import styles from './RailPlan.module.css';

type Props = { board: RailBoard; onFound: (side: SideOnPlan) => void; onWeigh: (side: SideOnPlan) => void };

/** Units of the drawing to a foot of rail, and how long a string is that has hung as long as it should. */
const FOOT = 30;
const STRING = 34;
/** A string grows no longer than this many times the target. */
const LONGEST = 1.7;
const HEIGHTS: Readonly<Record<string, number>> = { Beef: 92, Bison: 92, Hog: 74 };
const SMALL = 58;
/** Below the lowest side stand its days and its weight. */
const WORDS = 44;

/** The rails as a plan, foot by foot: each side hangs as low as it has hung long, coloured by its sheet. */
export function RailPlan({ board: first, onFound, onWeigh }: Props) {
  const { value: board } = useLive('railBoardView', {}, first);
  const [openId, open] = useState(board.sides[0]?.sideId);
  const [moving, setMoving] = useState(false);
  const [holding, setHolding] = useState(false);
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
  useKey('rail', 'move', () => setMoving(!moving));
  useKey('rail', 'cover', cover);
  useKey('rail', 'hold', hold);
  useKey('rail', 'finding', () => side && onFound(side));
  useKey('rail', 'weigh', () => side && onWeigh(side));
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
      {board.without.length > 0 && (
        <p className="alarm">
          No room on a rail for {board.without.length} of what hangs: move something, or name another rail.
        </p>
      )}
      {side && (
        <Opened
          side={side}
          unit={board.unit}
          moving={moving}
          onMove={() => setMoving(!moving)}
          onCover={cover}
          onHold={hold}
          onFound={() => onFound(side)}
          onWeigh={() => onWeigh(side)}
        />
      )}
      <Note failure={refusal} fields={[]} />
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

type RailProps = {
  rail: RailBoard['rails'][number];
  board: RailBoard;
  open: SideOnPlan | undefined;
  moving: boolean;
  onOpen: (side: SideOnPlan) => void;
  onPlace: (foot: number) => void;
};

function OneRail({ rail, board, open, moving, onOpen, onPlace }: RailProps) {
  const byId = new Map(board.sides.map((side) => [side.sideId as string, side]));
  const hung = rail.hung.flatMap((place) => {
    const side = byId.get(place.id);
    return side ? [{ ...place, side }] : [];
  });
  const lowest = Math.max(40, ...hung.map(({ side }) => stringOf(side) + heightOf(side)));
  // All rails in one scale.
  const width = Math.max(...board.rails.map(({ feet }) => feet)) * FOOT;
  return (
    <div className={styles.rail}>
      <h2>
        {rail.name}{' '}
        <span>
          {rail.used.toFixed(1).replace(/\.0$/, '')} of {rail.feet} ft in use
        </span>
      </h2>
      <svg viewBox={`0 0 ${width} ${20 + lowest + WORDS}`} role="group" aria-label={rail.name}>
        <rect width={rail.feet * FOOT} height="15" className={styles.bar} />
        {Array.from({ length: Math.floor(rail.feet / 4) }, (_, index) => (
          <text key={index} x={(index + 1) * 4 * FOOT + 3} y="12" className={styles.foot}>
            {(index + 1) * 4}
          </text>
        ))}
        <line x1="0" x2={rail.feet * FOOT} y1={15 + STRING} y2={15 + STRING} className={styles.dueLine} />
        {moving &&
          Array.from({ length: Math.floor(rail.feet) }, (_, foot) => (
            <rect
              key={foot}
              x={foot * FOOT}
              width={FOOT}
              height={20 + lowest}
              className={styles.place}
              role="button"
              aria-label={`${rail.name}, foot ${foot}`}
              onClick={() => onPlace(foot)}
            />
          ))}
        {hung.map(({ id, from, feet, side }) => (
          <HangingSide
            key={id}
            side={side}
            map={board.maps[side.species]!}
            x={(from + feet / 2) * FOOT}
            isOpen={side.sideId === open?.sideId}
            isFirst={hung.find((each) => each.side.animalId === side.animalId)!.id === id}
            rests={moving}
            onOpen={() => onOpen(side)}
          />
        ))}
      </svg>
    </div>
  );
}

function stringOf({ days, targetDays }: SideOnPlan): number {
  return 6 + STRING * Math.min(LONGEST, targetDays > 0 ? days / targetDays : 1);
}

function heightOf({ species }: SideOnPlan): number {
  return HEIGHTS[species] ?? SMALL;
}

type SideProps = {
  side: SideOnPlan;
  map: RailBoard['maps'][string];
  x: number;
  isOpen: boolean;
  isFirst: boolean;
  /** Nothing is opened while a place is chosen. */
  rests: boolean;
  onOpen: () => void;
};

/** One side on its string: how long it hung is how low it hangs. */
function HangingSide({ side, map, x, isOpen, isFirst, rests, onOpen }: SideProps) {
  const [left, top, width, height] = frameOf(map);
  const tall = heightOf(side);
  const wide = (tall * width) / height;
  const y = 15 + stringOf(side);
  const about = `${side.tag} ${side.position}, ${side.who}: ${side.days} of ${side.targetDays} days, ${side.waits || 'the sheet stands'}`;
  return (
    <g
      role="button"
      tabIndex={-1}
      aria-label={about}
      className={styles.side}
      data-open={isOpen}
      data-rests={rests}
      onClick={onOpen}
    >
      <rect x={x - wide / 2 - 4} y="0" width={wide + 8} height={y + tall + WORDS} fill="transparent" />
      <line x1={x} x2={x} y1="8" y2={y + 2} className={styles.string} />
      <circle cx={x} cy="8" r="4.5" className={styles.hook} />
      <g
        transform={`translate(${x + (side.position === 'right' ? wide / 2 : -wide / 2)} ${y}) scale(${side.position === 'right' ? -1 : 1} 1) scale(${tall / height}) translate(${-left} ${-top})`}
      >
        {Object.keys(map.zones).map((zone) => {
          const destination = side.zones[zone];
          return (
            <path
              key={zone}
              d={zonePath(map, zone)}
              className={styles.zone}
              data-chilling={side.chilling}
              data-covered={side.covered}
              fill={destination ? `var(--${destination})` : 'var(--line)'}
            />
          );
        })}
      </g>
      {side.found > 0 && <circle cx={x} cy={y + tall * 0.55} r="6" className={styles.found} />}
      {isFirst && (
        <>
          <text x={x - wide / 2} y={y + tall + 15} className={styles.words}>
            <tspan className={side.days > side.targetDays ? styles.late : styles.days}>{side.days}</tspan> of{' '}
            {side.targetDays}
          </text>
          <text x={x - wide / 2} y={y + tall + 31} className={styles.tag}>
            {side.tag}
          </text>
        </>
      )}
    </g>
  );
}

type OpenedProps = {
  side: SideOnPlan;
  unit: string;
  moving: boolean;
  onMove: () => void;
  onCover: () => void;
  onHold: () => void;
  onFound: () => void;
  onWeigh: () => void;
};

/** The side that is opened: what it is, what it waits for, and what can be done with it. */
function Opened({ side, unit, moving, ...does }: OpenedProps) {
  const isReady = side.waits === '' && !side.chilling && side.held === '';
  return (
    <div className={styles.opened}>
      <p>
        <b>{side.tag}</b> {side.position}, {side.who} <b>{side.weight}</b> {side.weight && unit}{' '}
        <span className={side.days > side.targetDays ? 'alarm' : 'quiet'}>
          {side.days} of {side.targetDays} days, longest {side.longestDays}
        </span>{' '}
        {side.waits !== '' && <b className="alarm">{side.waits}</b>}{' '}
        {side.chilling && <b className="alarm">still chilling</b>} {side.covered && 'covered'}{' '}
        {side.held !== '' && <b className="alarm">held: {side.held}</b>}
      </p>
      <p className={styles.acts}>
        <Button onClick={does.onWeigh}>
          Weigh <kbd>W</kbd>
        </Button>
        <Button onClick={does.onFound}>
          Finding <kbd>F</kbd>
        </Button>
        <Button onClick={does.onMove} type={moving ? 'primary' : 'default'}>
          {moving ? 'Press the foot it hangs at' : 'Move'} <kbd>M</kbd>
        </Button>
        <Button onClick={does.onCover}>
          {side.covered ? 'Bare it' : 'Cover'} <kbd>C</kbd>
        </Button>
        <Button onClick={does.onHold}>
          {side.held === '' ? 'Hold' : 'Let it go'} <kbd>H</kbd>
        </Button>
        {isReady && (
          <Link href={`/block/${side.shareId}`} className={styles.toBlock}>
            To the block
          </Link>
        )}
      </p>
    </div>
  );
}
