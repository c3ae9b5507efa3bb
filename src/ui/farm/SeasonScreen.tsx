'use client';

import { Button, Input, Segmented } from 'antd';
import Link from 'next/link';
import { useState } from 'react';
import type { PersonId } from '@/core/order/animal';
import { counted } from '@/core/quantity/counted';
import { formatWeight, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import {
  PACES,
  type FarmCut,
  type FarmSeason,
  type FarmSeasonSpecies,
  type FarmYear,
  type Pace,
  type Remembered,
} from '@/core/yields/farmSeason';
import type { Pooled } from '@/core/yields/rates';
import { DestinationMark } from '../kit/DestinationMark';
import { Note } from '../kit/Note';
import { Nothing } from '../kit/States';
import { useAsk } from '../kit/useAsk';
import { AT_DESK, type FarmPlace } from './farmPlace';
import styles from './Season.module.css';

type Props = { season: FarmSeason; place?: FarmPlace; back: string };

/** A farm's season: from the hoof to the box, beside its own year before; and cut by cut what its buyers had. */
export function SeasonScreen({ season, place = AT_DESK, back }: Props) {
  const { farm, year, years, unit, species } = season;
  const papers = place.seasonPapers(season.id);
  return (
    <div className={styles.page}>
      <p className={styles.top}>
        <Link href={back}>{farm}</Link>
        {years.map((each) =>
          each === year ? (
            <b key={each} aria-current="page">
              {each}
            </b>
          ) : (
            <Link key={each} href={`?year=${each}`}>
              {each}
            </Link>
          ),
        )}
        <Button href={`${papers}?year=${year}`}>PDF</Button>
        <Button href={`${papers}?year=${year}&as=csv`} download>
          CSV
        </Button>
      </p>
      <h1>
        {farm}, {year}
      </h1>
      {species.length === 0 && (
        <Nothing>
          Nothing of theirs was finished in {year}. A share counts when its balance is closed.
        </Nothing>
      )}
      {species.map((of) => (
        <Species key={of.species} of={of} unit={unit} farmId={season.id} year={year} />
      ))}
    </div>
  );
}

type SpeciesProps = { of: FarmSeasonSpecies; unit: WeighingUnit; farmId: PersonId; year: number };

function Species({ of, unit, farmId, year }: SpeciesProps) {
  const { year: now, before, others } = of;
  return (
    <section className={styles.species}>
      <h2>
        {of.name}{' '}
        <span className="quiet">
          {counted(now.animals, 'animal')}, {counted(now.shares, 'share')}
        </span>
      </h2>
      <table className={styles.years}>
        <thead>
          <tr>
            <th>from the hoof to the box</th>
            <th className="num">{year}</th>
            <th className="num">{year - 1}</th>
            <th>the shop’s other farms</th>
          </tr>
        </thead>
        <tbody>
          {WEIGHTS.map(({ label, of: weightOf }) => (
            <tr key={label}>
              <td>{label}</td>
              <td className="num">
                <b>{weightWords(weightOf(now), unit)}</b>
              </td>
              <td className="num quiet">{before ? weightWords(weightOf(before), unit) : '–'}</td>
              <td />
            </tr>
          ))}
          {RATES.map(({ label, of: rateOf, isBand }) => (
            <tr key={label}>
              <td>{label}</td>
              <td className="num">
                <b>{pctWords(rateOf(now))}</b>
              </td>
              <td className="num quiet">{before ? pctWords(rateOf(before)) : '–'}</td>
              <td className="quiet">
                {isBand &&
                  (others
                    ? `eight in ten of ${others.of} shares: ${others.low.toFixed(1)} to ${others.high.toFixed(1)} %`
                    : 'too few to compare')}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Cuts of={of} unit={unit} farmId={farmId} />
    </section>
  );
}

const WEIGHTS: readonly { readonly label: string; readonly of: (year: FarmYear) => Weight }[] = [
  { label: 'alive, of those weighed', of: ({ live }) => live },
  { label: 'hot, of those weighed', of: ({ hot }) => hot },
  { label: 'in the packs', of: ({ packed }) => packed },
];

const RATES: readonly {
  readonly label: string;
  readonly of: (year: FarmYear) => Pooled;
  readonly isBand?: boolean;
}[] = [
  { label: 'hot on live', of: ({ hotOnLive }) => hotOnLive },
  { label: 'packed on hot', of: ({ packedOnHot }) => packedOnHot, isBand: true },
  { label: 'packed on live', of: ({ packedOnLive }) => packedOnLive },
];

function weightWords(weight: Weight, unit: WeighingUnit): string {
  return weight > 0 ? `${formatWeight(weight, 0)} ${unit}` : '–';
}

function pctWords({ pct, of }: Pooled): string {
  return pct === null || of === 0 ? '–' : `${pct.toFixed(1)} %`;
}

/** What buyers had, and how it sold: the farmer ticks it, and is told when the next sheets are answered. */
function Cuts({ of, unit, farmId }: Omit<SpeciesProps, 'year'>) {
  const { cuts, year, remembered } = of;
  return (
    <table className={styles.cuts}>
      <thead>
        <tr>
          <th>cut</th>
          <th className="num">of {year.shares} shares</th>
          <th className="num">packs</th>
          <th className="num">{unit}</th>
          <th>sold</th>
          <th>to think of next time</th>
        </tr>
      </thead>
      <tbody>
        {cuts.map((cut) => (
          <Cut
            key={cut.cut}
            cut={cut}
            most={year.shares}
            unit={unit}
            asked={{ personId: farmId, species: of.species }}
            said={remembered.find((each) => each.cut === cut.cut)}
          />
        ))}
      </tbody>
    </table>
  );
}

type CutProps = {
  cut: FarmCut;
  most: number;
  unit: WeighingUnit;
  asked: { personId: PersonId; species: string };
  said: Remembered | undefined;
};

function Cut({ cut, most, unit, asked, said }: CutProps) {
  const { ask, refusal } = useAsk('noteSeason');
  const [pace, setPace] = useState<Pace | ''>(said?.pace ?? '');
  const [note, setNote] = useState(said?.note ?? '');
  const say = (change: { pace?: Pace | ''; note?: string }) =>
    void ask({ ...asked, cut: cut.cut, pace, note, ...change });
  return (
    <tr>
      <td>
        <DestinationMark destination={cut.destination} /> {cut.cut}
        <Note failure={refusal} />
      </td>
      <td className="num" data-label="shares">
        <span className={styles.part} style={{ width: `${(64 * cut.shares) / most}px` }} aria-hidden />
        {cut.shares}
      </td>
      <td className="num" data-label="packs">
        {cut.packs}
      </td>
      <td className="num" data-label={unit}>
        {formatWeight(cut.weight, 1)}
      </td>
      <td>
        <Segmented
          size="small"
          aria-label={`How ${cut.cut} sold`}
          value={pace}
          options={[
            { value: '', label: 'not said' },
            { value: 'slowly', label: 'slowly', title: PACES.slowly },
            { value: 'fast', label: 'fast', title: PACES.fast },
          ]}
          onChange={(said) => {
            setPace(said as Pace | '');
            say({ pace: said as Pace | '' });
          }}
        />
      </td>
      <td>
        <Input
          size="small"
          aria-label={`To think of next time: ${cut.cut}`}
          value={note}
          maxLength={200}
          onChange={({ target }) => setNote(target.value)}
          onBlur={() => note !== (said?.note ?? '') && say({ note })}
        />
      </td>
    </tr>
  );
}
