'use client';

import Link from 'next/link';
import type { ReactNode } from 'react';
import { counted } from '@/core/quantity/counted';
import { formatWeight, sumWeights, type Weight } from '@/core/quantity/weight';
import type { CutOfPiece, PieceYield } from '@/core/yields/byPiece';
import { RATES, type Pooled, type RateId } from '@/core/yields/rates';
import type { ShareYieldView } from '@/server/yields';
import { Opens } from '../kit/Opens';
import kit from '../kit/WorkingOf.module.css';
import styles from './Yields.module.css';

const QUARTERS = { fore: 'fore quarter', hind: 'hind quarter' } as const;

const pct = (part: number, whole: number) => (whole > 0 ? ((100 * part) / whole).toFixed(1) : '–');
const packedOfCuts = (cuts: readonly CutOfPiece[]) => sumWeights(cuts.map(({ packed }) => packed));
const packedOfPieces = (pieces: readonly PieceYield[]) =>
  sumWeights(pieces.map(({ cuts }) => packedOfCuts(cuts)));

/** What one finished share gave: its rates, each with what it stands on, and piece by piece down to the packs. */
export function ShareYieldScreen({ view }: { view: ShareYieldView }) {
  const { shareId, name, tag, farm, closedOn, unit, hot, cold, packed } = view;
  return (
    <div className={styles.page}>
      <div className={styles.top}>
        <p className={styles.sentence}>
          <Link href={`/yields?shareId=${shareId}`}>Against its likes</Link>
          <Link href={`/ticket/${shareId}`}>Its ticket</Link>
        </p>
      </div>
      <div className={styles.columns}>
        <section>
          <h1>What {name} gave</h1>
          <p>
            {hot !== null && `Hot ${formatWeight(hot, unit)}, `}cold {formatWeight(cold, unit)}, packed{' '}
            {formatWeight(packed, unit)} {unit}.{' '}
            <span className="quiet">{`${tag}, ${farm}, closed ${closedOn}.`}</span>
          </p>
          <Pieces view={view} />
        </section>
        <section>
          <Rates view={view} />
        </section>
      </div>
    </div>
  );
}

function Pieces({ view }: { view: ShareYieldView }) {
  const { hands, besides, unit, packed, cold } = view;
  return (
    <div className={styles.wide}>
      <table className={styles.table}>
        <thead>
          <tr>
            <th>{unit}</th>
            <th className="num">cold</th>
            <th className="num">packed</th>
            <th className="num">packed on cold, %</th>
          </tr>
        </thead>
        <tbody>
          {hands.map(({ words, hot, pieces }) => (
            <Hand key={words} words={words} hot={hot} pieces={pieces} view={view} />
          ))}
          {besides.map(({ cut, packed: own }) => (
            <tr key={cut}>
              <td>
                <Cuts title={cut} cuts={[{ cut, packed: own }]} view={view}>
                  {cut}
                </Cuts>{' '}
                <span className="quiet">of no piece</span>
              </td>
              <td className="num quiet">–</td>
              <td className="num">{formatWeight(own, unit)}</td>
              <td className="num quiet">–</td>
            </tr>
          ))}
          <tr data-whole>
            <td>together</td>
            <td className="num">{formatWeight(cold, unit)}</td>
            <td className="num">{formatWeight(packed, unit)}</td>
            <td className="num">{pct(packed, cold)}</td>
          </tr>
        </tbody>
      </table>
      <p className="quiet">
        Press a piece for its cuts and their packs. A pack does not say which piece it came from: a cut of
        several, and the grind, are divided as planned. ● weighed on the block; what was not weighed is its
        part of the rest.
      </p>
    </div>
  );
}

function Hand({
  words,
  hot,
  pieces,
  view,
}: {
  words: string;
  hot: Weight | null;
  pieces: readonly PieceYield[];
  view: ShareYieldView;
}) {
  const quarters = (['fore', 'hind'] as const).filter((quarter) =>
    pieces.some(({ part }) => part === quarter),
  );
  const onHot =
    hot === null ? '' : `, ${pct(packedOfPieces(pieces), hot)} % of hot ${formatWeight(hot, view.unit)}`;
  return (
    <>
      <Sum words={`${words}${onHot}`} pieces={pieces} view={view} />
      {quarters.length < 2
        ? pieces.map((piece) => <Piece key={piece.piece} piece={piece} view={view} />)
        : quarters.map((quarter) => {
            const own = pieces.filter(({ part }) => part === quarter);
            return [
              <Sum key={quarter} words={QUARTERS[quarter]} pieces={own} view={view} />,
              ...own.map((piece) => <Piece key={piece.piece} piece={piece} view={view} />),
            ];
          })}
      {quarters.length === 2 &&
        pieces
          .filter(({ part }) => !part)
          .map((piece) => <Piece key={piece.piece} piece={piece} view={view} />)}
    </>
  );
}

/** A side or a quarter together. */
function Sum({
  words,
  pieces,
  view,
}: {
  words: string;
  pieces: readonly PieceYield[];
  view: ShareYieldView;
}) {
  const cold = sumWeights(pieces.map((piece) => piece.cold));
  return (
    <tr>
      <td>
        <b>{words}</b>
      </td>
      <td className="num">{formatWeight(cold, view.unit)}</td>
      <td className="num">{formatWeight(packedOfPieces(pieces), view.unit)}</td>
      <td className="num">
        <b>{pct(packedOfPieces(pieces), cold)}</b>
      </td>
    </tr>
  );
}

function Piece({ piece, view }: { piece: PieceYield; view: ShareYieldView }) {
  const { label, cold, isWeighed, cuts } = piece;
  return (
    <tr>
      <td className={styles.inset}>
        <Cuts title={label} cuts={cuts} view={view}>
          {label}
        </Cuts>
        {isWeighed && <span title="weighed on the block"> ●</span>}
      </td>
      <td className="num quiet">{formatWeight(cold, view.unit)}</td>
      <td className="num">{formatWeight(packedOfCuts(cuts), view.unit)}</td>
      <td className="num">{pct(packedOfCuts(cuts), cold)}</td>
    </tr>
  );
}

type CutsProps = { title: string; cuts: readonly CutOfPiece[]; view: ShareYieldView; children: ReactNode };

/** The cuts of a piece, each with the packs that its weight is the sum of. */
function Cuts({ title, cuts, view, children }: CutsProps) {
  return (
    <Opens title={title} placement="bottomLeft" content={() => <CutsTable cuts={cuts} view={view} />}>
      {(opening) => (
        <button
          type="button"
          className={styles.press}
          aria-label={`${title}: its cuts and packs`}
          {...opening}
        >
          {children}
        </button>
      )}
    </Opens>
  );
}

function CutsTable({ cuts, view: { packs, unit } }: Pick<CutsProps, 'cuts' | 'view'>) {
  if (cuts.length === 0) return <p>No pack is of it.</p>;
  return (
    <div className={kit.working} tabIndex={0} role="group" aria-label="Cuts and packs">
      <table>
        <tbody>
          {cuts.map(({ cut, packed }) => {
            const own = packs.filter((pack) => pack.cut === cut);
            return (
              <tr key={cut}>
                <td>
                  {cut}
                  <br />
                  <span className="quiet">
                    {counted(own.length, 'pack')}:{' '}
                    {own.map(({ net, serial }) => `${formatWeight(net, unit)} (no. ${serial})`).join(', ')}
                  </span>
                </td>
                <td className="num">{formatWeight(packed, unit)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

function Rates({ view }: { view: ShareYieldView }) {
  const { rates, ofAnimal, unit } = view;
  const shown = ({ pct: value }: Pooled) => (value === null ? '–' : value.toFixed(1));
  return (
    <div className={styles.wide}>
      <h2>Every rate, and what it stands on</h2>
      <table className={styles.table}>
        <thead>
          <tr>
            <th>percent</th>
            <th className="num">this share</th>
            <th className="num">the animal, {Math.round(ofAnimal * 100)} % finished</th>
            <th className={styles.formula}>how it is worked out</th>
          </tr>
        </thead>
        <tbody>
          {(Object.keys(RATES) as RateId[]).map((id) => (
            <tr key={id}>
              <td>{RATES[id].label}</td>
              <td className="num">
                <b>{shown(rates[id].share)}</b>
              </td>
              <td className="num quiet">{shown(rates[id].animal)}</td>
              <td className={styles.formula}>{RATES[id].formula}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet">A dash stands where a weight was not taken; weights in {unit}.</p>
    </div>
  );
}
