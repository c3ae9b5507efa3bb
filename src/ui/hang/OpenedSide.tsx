import { Button } from 'antd';
import Link from 'next/link';
import type { SideOnPlan } from '@/server/hang';
import { DryingCurve } from './DryingCurve';
import styles from './RailPlan.module.css';

type Props = {
  side: SideOnPlan;
  unit: string;
  /** Others look on. */
  mayHandle: boolean;
  moving: boolean;
  onMove: () => void;
  onCover: () => void;
  onHold: () => void;
  onFound: () => void;
  onWeigh: () => void;
  onDeep: () => void;
};

/** The side that is opened: what it is, what it waits for, and what can be done with it. */
export function OpenedSide({ side, unit, mayHandle, moving, ...does }: Props) {
  const isReady = side.waits === '' && !side.chilling && side.held === '';
  return (
    <div className={styles.opened}>
      <p>
        <b>{side.tag}</b> {side.position}, {side.who} <b>{side.weight}</b> {side.weight && unit}{' '}
        {side.quarters}{' '}
        <span className={side.days > side.targetDays ? 'alarm' : 'quiet'}>
          {side.days} of {side.targetDays} days, longest {side.longestDays}
        </span>{' '}
        {side.waits !== '' && <b className="alarm">{side.waits}</b>}{' '}
        {side.chilling && <b className="alarm">still chilling</b>} {side.deep} {side.covered && 'covered'}{' '}
        {side.held !== '' && <b className="alarm">held: {side.held}</b>}
      </p>
      {side.drying && <DryingCurve drying={side.drying} unit={unit} />}
      {mayHandle && (
        <p className={styles.acts}>
          <Button onClick={does.onWeigh}>
            Weigh <kbd>W</kbd>
          </Button>
          <Button onClick={does.onDeep}>
            Probe <kbd>T</kbd>
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
      )}
    </div>
  );
}
