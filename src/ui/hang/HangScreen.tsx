'use client';

import { Button, Input, Modal } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { formatWeight, parseWeight, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import type { AnimalOnRail, HangBoard, SideOnRail } from '@/server/hang';
import { act, newClientId } from '../kit/act';
import { Amount } from '../kit/Amount';
import { WorkingOf } from '../kit/WorkingOf';
import styles from './HangScreen.module.css';

type Asked = { side: SideOnRail; animal: AnimalOnRail; kind: 'hot' | 'cold' };

/** What hangs: hot and cold by side, days, and the shrink beside the shrink to expect. */
export function HangScreen({ board }: { board: HangBoard }) {
  const [asked, setAsked] = useState<Asked | null>(null);
  return (
    <div className={styles.page}>
      <h1>On the rail</h1>
      <p className="quiet">{board.cautions.join(' ')}</p>
      {board.animals.length === 0 && (
        <p className="quiet">The rail is empty. Animals come here when they are booked.</p>
      )}
      {board.animals.map((animal) => (
        <section key={animal.animalId} className={styles.animal} aria-label={`Tag ${animal.tag}`}>
          <header>
            <h2>{animal.tag}</h2>
            <span>
              {animal.species.toLowerCase()} from {animal.farm}
            </span>
            <span className="quiet">{animal.shares}</span>
            {animal.weighedIn.length > 0 && (
              <span className="quiet">weighed with {animal.weighedIn.join(', ').toLowerCase()}</span>
            )}
            {animal.chilling && <span className="alarm">still chilling: not to the block today</span>}
            <Days animal={animal} />
          </header>
          <table>
            <thead>
              <tr>
                <th>side</th>
                <th className="num">hot</th>
                <th className="num">cold</th>
                <th className="num">shrink</th>
                <th className="num">expected by now</th>
                <th className="num">cold expected</th>
              </tr>
            </thead>
            <tbody>
              {animal.sides.map((side) => (
                <SideRow
                  key={side.sideId}
                  side={side}
                  animal={animal}
                  unit={board.unit}
                  onAsk={(kind) => setAsked({ side, animal, kind })}
                />
              ))}
            </tbody>
          </table>
        </section>
      ))}
      {asked && <TicketDialog asked={asked} unit={board.unit} onClose={() => setAsked(null)} />}
    </div>
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
  animal: AnimalOnRail;
  unit: WeighingUnit;
  onAsk: (kind: 'hot' | 'cold') => void;
};

function SideRow({ side, animal, unit, onAsk }: RowProps) {
  const weighed = (kind: 'hot' | 'cold', weight: Weight | null) =>
    weight ? (
      <button type="button" className={styles.ticket} onClick={() => onAsk(kind)} title="Weigh again">
        <Amount weight={weight} unit={unit} />
      </button>
    ) : kind === 'cold' && side.hot === null ? null : (
      <Button size="small" onClick={() => onAsk(kind)}>
        {kind === 'hot' ? 'Hot weight' : 'Cold weight'}
      </Button>
    );
  return (
    <tr>
      <td>
        {side.position}
        {side.unsold && <span className="quiet"> unsold</span>}
      </td>
      <td className="num">{weighed('hot', side.hot)}</td>
      <td className="num">{weighed('cold', side.cold)}</td>
      <td className="num">
        {side.shrink !== null && (
          <>
            <Amount weight={side.shrink} unit={unit} /> &nbsp;{side.shrinkPct!.toFixed(2)} %
          </>
        )}
      </td>
      <td className="num">
        {side.expectedShrinkPct !== null && (
          <WorkingOf working={animal.working}>{side.expectedShrinkPct.toFixed(2)} %</WorkingOf>
        )}
      </td>
      <td className="num">
        {side.expectedCold !== null && <Amount weight={side.expectedCold} unit={unit} />}
      </td>
    </tr>
  );
}

/** A rail ticket: gross and tare; the net is what hangs. */
function TicketDialog({ asked, unit, onClose }: { asked: Asked; unit: WeighingUnit; onClose: () => void }) {
  const router = useRouter();
  const [reason, setReason] = useState('');
  const [odd, setOdd] = useState(false);
  const [gross, setGross] = useState('');
  const [tare, setTare] = useState(formatWeight(asked.side.hotTare));
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const corrects = (asked.kind === 'hot' ? asked.side.hot : asked.side.cold) !== null;
  const [grossWeight, tareWeight] = [parseWeight(gross, unit), parseWeight(tare || '0', unit)];
  const net = grossWeight.ok && tareWeight.ok ? ((grossWeight.value - tareWeight.value) as Weight) : null;

  async function write() {
    if (!grossWeight.ok) return setProblem(grossWeight.message);
    if (!tareWeight.ok) return setProblem(tareWeight.message);
    setBusy(true);
    const { sideId } = asked.side;
    const weights = { gross: grossWeight.value, tare: tareWeight.value };
    const result = await act('weighSide', {
      clientId: newClientId(),
      sideId,
      kind: asked.kind,
      ...weights,
      reason: reason.trim(),
      sure: odd,
    });
    setBusy(false);
    if (!result.ok) {
      setOdd(result.reason === 'unusual');
      return setProblem(result.message);
    }
    onClose();
    router.refresh();
  }

  return (
    <Modal
      open
      title={`${asked.animal.tag}, ${asked.side.position} side, ${asked.kind} weight`}
      onCancel={onClose}
      onOk={() => void write()}
      okText={odd ? 'It is right: write it' : 'Write the ticket'}
      confirmLoading={busy}
      width={420}
    >
      <div className={styles.fields}>
        <label htmlFor="gross">On the rail scale, in {unit}</label>
        <Input
          id="gross"
          autoFocus
          inputMode="decimal"
          value={gross}
          onChange={(event) => {
            setGross(event.target.value);
            setOdd(false);
          }}
          onPressEnter={() => void write()}
        />
        <label htmlFor="rail-tare">Hook and trolley</label>
        <Input
          id="rail-tare"
          inputMode="decimal"
          value={tare}
          onChange={(event) => setTare(event.target.value)}
          onPressEnter={() => void write()}
        />
        {corrects && (
          <>
            <label htmlFor="why">Why it is corrected</label>
            <Input id="why" value={reason} onChange={(event) => setReason(event.target.value)} />
          </>
        )}
      </div>
      <p className={styles.net}>{net !== null && net > 0 ? <Amount weight={net} unit={unit} /> : '–'}</p>
      <p role="alert" className="alarm">
        {problem}
      </p>
      {corrects && <p className="quiet">The earlier ticket stays in the book; this one corrects it.</p>}
    </Modal>
  );
}
