'use client';

import { memo, useState, type RefObject } from 'react';
import type { ForecastLine } from '@/core/forecast/types';
import { inSentence } from '@/core/quantity/inSentence';
import { formatInches } from '@/core/quantity/length';
import { formatWeight, weightField, type Weight } from '@/core/quantity/weight';
import { onesKept, whoHasOnes } from '@/core/shares/scarce';
import type { Destination } from '@/core/species/types';
import { lineWorking } from '@/core/working/forecastWorkings';
import type { SheetView } from '@/server/sheet';
import { BillLines } from '../kit/BillLines';
import { DestinationMark } from '../kit/DestinationMark';
import { useLatest } from '../kit/useLatest';
import { WorkingOf } from '../kit/WorkingOf';
import boxes from './Boxes.module.css';
import type { SheetState } from './useSheet';

type Props = { state: SheetState; view: SheetView; openDecision: string; onOpen: (decision: string) => void };

/** What the boxes will hold, who of the animal has what it has few of, and what it is charged. */
export function Boxes({ state, view, openDecision, onOpen }: Props) {
  const { forecast } = state.now;
  const { unit } = state.situation;
  const latest = useLatest(state);
  return (
    <>
      <table className={boxes.boxTable}>
        <thead>
          <tr>
            <th>in the boxes, expected</th>
            <th />
            <th className="num">{unit}</th>
            <th className="num">pieces</th>
            <th className="num">packs</th>
          </tr>
        </thead>
        <tbody>
          {forecast.lines.map((line) => (
            <BoxRow
              key={line.key}
              line={line.key}
              decision={line.kind === 'kept' ? 'extras' : line.decision}
              destination={line.destination}
              words={`${line.cut}${line.kind === 'grind' ? `, ${forecast.pool.fatPct.toFixed(0)} % fat` : ''}`}
              names={namesAlong(line)}
              size={sizeOf(line.thicknessIn, line.packWeight, unit)}
              weight={formatWeight(line.packaged, unit)}
              pieces={line.pieces}
              packs={line.packs}
              isOpen={line.decision === openDecision}
              state={latest}
              onOpen={onOpen}
            />
          ))}
        </tbody>
      </table>
      <OnesOfAnimal state={state} view={view} />
      <Charges state={state} view={view} />
    </>
  );
}

/** Who of the animal has what it has one of: said where it is kept, and offered where nobody has it. */
function OnesOfAnimal({ state, view }: Pick<Props, 'state' | 'view'>) {
  const { situation, sheet, now } = state;
  const ones = onesKept(situation.species, now.forecast.lines);
  const told = whoHasOnes(situation, { owner: view.name, ones, offal: sheet.offal ?? [] }, view.others);
  if (told.length === 0) return null;
  return (
    <section className={boxes.ones} aria-label="What the animal has one of">
      {told.map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
    </section>
  );
}

type RowProps = {
  line: string;
  decision: string;
  destination: Destination;
  words: string;
  names: string;
  size: string;
  weight: string;
  pieces: number | null;
  packs: number;
  isOpen: boolean;
  state: RefObject<SheetState>;
  onOpen: (decision: string) => void;
};

/** One line of the boxes; drawn again only when one of its figures has changed. */
const BoxRow = memo(function BoxRow(props: RowProps) {
  const { line, decision, destination, words, names, size, weight, pieces, packs, isOpen, state, onOpen } =
    props;
  const working = () => {
    const { now, situation } = state.current;
    const found = now.forecast.lines.find((each) => each.key === line)!;
    return lineWorking(found, situation);
  };
  return (
    <tr className={isOpen ? boxes.openLine : undefined} onClick={() => onOpen(decision)}>
      <td>
        <DestinationMark destination={destination} /> {words}
        {names !== '' && <div className={boxes.namesAlong}>{names}</div>}
      </td>
      <td className="num quiet">{size}</td>
      <td className="num">
        <WorkingOf title={words} working={working}>
          <b>{weight}</b>
        </WorkingOf>
      </td>
      <td className="num">{pieces ?? ''}</td>
      <td className="num">{packs}</td>
    </tr>
  );
});

/** The charges, made only while somebody looks at them. */
function Charges({ state: { now, ground }, view: { priceList } }: Pick<Props, 'state' | 'view'>) {
  const [open, setOpen] = useState(false);
  return (
    <details className={boxes.charges} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>Charges, line by line</summary>
      {open && (
        <>
          <BillLines bill={now.bill} sign={ground.priceList.sign} />
          <p className="quiet">
            {priceList.name}, in force from {priceList.effectiveFrom}. An estimate until the last pack is
            weighed.
          </p>
        </>
      )}
    </details>
  );
}

/** `4 bone-in strip, 3 T-bone, 6 porterhouse`: what the slices are called along the cut. */
function namesAlong({ names }: ForecastLine): string {
  if (names.length < 2) return '';
  return names.map(({ name, pieces }) => `${pieces} ${inSentence(name)}`).join(', ');
}

function sizeOf(thicknessIn: number | null, packWeight: Weight | null, unit: string): string {
  if (thicknessIn !== null) return formatInches(thicknessIn);
  return packWeight === null ? '' : `${weightField(packWeight)} ${unit}`;
}
