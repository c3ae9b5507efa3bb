'use client';

import { Button } from 'antd';
import { useState } from 'react';
import { counted } from '@/core/quantity/counted';
import type { Weight, WeighingUnit } from '@/core/quantity/weight';
import type { AnimalOnRail, HangBoard, SideOnPlan, SideOnRail } from '@/server/hang';
import { Amount } from '../kit/Amount';
import { WorkingOf } from '../kit/WorkingOf';
import { useLive } from '../kit/live/useLive';
import { Nothing } from '../kit/States';
import { onDemand } from '../kit/onDemand';
import styles from './HangScreen.module.css';
import type { FoundAsked } from './FoundDialog';
import { FoundList } from './FoundList';
import { RailPlan } from './RailPlan';
import type { Asked } from './RailTicketDialog';

const RailTicketDialog = onDemand(() =>
  import('./RailTicketDialog').then((module) => module.RailTicketDialog),
);

const FoundDialog = onDemand(() => import('./FoundDialog').then((module) => module.FoundDialog));

/** What hangs: hot and cold by side, days, and the shrink beside the shrink to expect. */
export function HangScreen({ board: first }: { board: HangBoard }) {
  const { value: board } = useLive('hangView', {}, first);
  const [asked, setAsked] = useState<Asked | null>(null);
  const [finding, setFinding] = useState<FoundAsked | null>(null);
  const found = ({ sideId }: SideOnPlan) => {
    for (const animal of board.animals) {
      const side = animal.sides.find((each) => each.sideId === sideId);
      if (side) return { animal, side };
    }
    return undefined;
  };
  return (
    <div className={styles.page}>
      <h1>On the rail</h1>
      <RailPlan
        board={board.rails}
        onFound={(side) => setFinding(found(side) ?? null)}
        onWeigh={(side) => {
          const on = found(side);
          if (on) setAsked({ ...on, kind: on.side.hot === null ? 'hot' : 'cold' });
        }}
      />
      <p>
        <b>{counted(board.waiting, 'share')}</b> {board.waiting === 1 ? 'waits' : 'wait'} for a cold weight to
        go on; {counted(board.animals.length, 'animal')} hang or are booked.
      </p>
      <p className="quiet">{board.cautions.join(' ')}</p>
      {board.animals.length === 0 && (
        <Nothing>The rail is empty. Animals come here when they are booked.</Nothing>
      )}
      {board.animals.map((animal) => (
        <Animal
          key={animal.animalId}
          animal={animal}
          unit={board.unit}
          mayHandle={board.rails.mayHandle}
          onAsk={(side, kind) => setAsked({ side, animal, kind })}
          onFound={(side) => setFinding({ side, animal })}
        />
      ))}
      {finding && (
        <FoundDialog
          asked={finding}
          species={board.species[finding.animal.species]!}
          unit={board.unit}
          onClose={() => setFinding(null)}
        />
      )}
      {asked && <RailTicketDialog asked={asked} unit={board.unit} onClose={() => setAsked(null)} />}
    </div>
  );
}

type AnimalProps = {
  animal: AnimalOnRail;
  /** Others look on. */
  mayHandle: boolean;
  unit: WeighingUnit;
  onAsk: (side: SideOnRail, kind: 'hot' | 'cold') => void;
  onFound: (side: SideOnRail) => void;
};

/** One animal that hangs, with its sides. */
function Animal({ animal, unit, mayHandle, onAsk, onFound }: AnimalProps) {
  return (
    <section className={styles.animal} aria-label={`Tag ${animal.tag}`}>
      <header>
        <h2>{animal.tag}</h2>
        <span>
          {animal.species.toLowerCase()} from {animal.farm}
        </span>
        <span className="quiet">{animal.shares}</span>
        {animal.weighedIn.length > 0 && (
          <span className="quiet">weighed with {animal.weighedIn.join(', ').toLowerCase()}</span>
        )}
        {animal.live !== '' && <span className="quiet">{animal.live}</span>}
        {animal.chilling && <span className="alarm">still chilling: not to the block today</span>}
        <Days animal={animal} />
      </header>
      <table>
        <thead>
          <tr>
            <th>side</th>
            {['hot', 'cold', 'shrink', 'expected by now', 'cold expected'].map((head) => (
              <th key={head} className="num">
                {head}
              </th>
            ))}
            <th className={styles.onIt}>found on it</th>
          </tr>
        </thead>
        <tbody>
          {animal.sides.map((side) => (
            <SideRow
              key={side.sideId}
              side={side}
              mayHandle={mayHandle}
              animal={animal}
              unit={unit}
              onAsk={(kind) => onAsk(side, kind)}
              onFound={() => onFound(side)}
            />
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Days({ animal }: { animal: AnimalOnRail }) {
  const late = animal.days > animal.longestDays;
  return (
    <span className={late ? 'alarm' : styles.days}>
      <b>{animal.days}</b> {animal.days === 1 ? 'day' : 'days'} hung
      <span className="quiet">
        {' '}
        of {animal.targetDays}
        {late ? `, longest ${animal.longestDays}` : ''}
      </span>
    </span>
  );
}

type RowProps = {
  side: SideOnRail;
  mayHandle: boolean;
  animal: AnimalOnRail;
  unit: WeighingUnit;
  onAsk: (kind: 'hot' | 'cold') => void;
  onFound: () => void;
};

function SideRow({ side, animal, unit, mayHandle, onAsk, onFound }: RowProps) {
  const weighed = (kind: 'hot' | 'cold', weight: Weight | null) =>
    !mayHandle ? (
      weight !== null && <Amount weight={weight} unit={unit} />
    ) : weight ? (
      <button type="button" className={styles.ticket} onClick={() => onAsk(kind)} title="Weigh again">
        <Amount weight={weight} unit={unit} />
      </button>
    ) : kind === 'cold' && side.hot === null ? null : (
      <Button onClick={() => onAsk(kind)}>{kind === 'hot' ? 'Hot weight' : 'Cold weight'}</Button>
    );
  return (
    <tr>
      <td>
        {side.position}
        {side.unsold && <span className="quiet"> unsold</span>}
      </td>
      <td className="num" data-head="hot">
        {weighed('hot', side.hot)}
      </td>
      <td className="num" data-head="cold">
        {weighed('cold', side.cold)}
      </td>
      <td className="num" data-head="shrink">
        {side.shrink !== null && (
          <>
            <Amount weight={side.shrink} unit={unit} /> &nbsp;{side.shrinkPct!.toFixed(2)} %
          </>
        )}
      </td>
      <td className="num" data-head="expected by now">
        {side.expectedShrinkPct !== null && (
          <WorkingOf working={animal.working}>{side.expectedShrinkPct.toFixed(2)} %</WorkingOf>
        )}
      </td>
      <td className="num" data-head="cold expected">
        {side.expectedCold !== null && <Amount weight={side.expectedCold} unit={unit} />}
      </td>
      <td data-head="found on it" className={styles.onIt}>
        {side.found.length > 0 && <FoundList found={side.found} />}
        {mayHandle && <Button onClick={onFound}>Finding</Button>}
      </td>
    </tr>
  );
}
