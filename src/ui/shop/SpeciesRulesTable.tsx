'use client';

import { Select } from 'antd';
import { Fragment } from 'react';
import type { MonthsKept } from '@/core/species/types';
import type { SpeciesRules } from '@/core/setUp/types';
import type { SpeciesAtHome } from '@/server/shop';
import type { SetUpState } from './useSetUp';
import { numberOf, numberProblem, ValueField } from './ValueField';
import styles from './SetUp.module.css';

type Figure = Exclude<keyof SpeciesRules, 'school' | 'months'>;
type Row = {
  readonly key: Figure;
  readonly label: string;
  readonly least: number;
  readonly most: number;
  readonly part?: boolean;
};

const PARTS: readonly { readonly title: string; readonly rows: readonly Row[] }[] = [
  {
    title: 'On the rail',
    rows: [
      { key: 'targetDays', label: 'Should hang, days', least: 0, most: 120 },
      { key: 'longestDays', label: 'May hang, days', least: 0, most: 180 },
      { key: 'lightLb', label: 'Asked about when lighter than, lb', least: 0, most: 2000, part: true },
      { key: 'heavyLb', label: 'Asked about when heavier than, lb', least: 1, most: 2000, part: true },
      { key: 'tolerancePct', label: 'A line may miss by, %', least: 1, most: 60 },
    ],
  },
  {
    title: 'In the grind',
    rows: [
      { key: 'minBatchLb', label: 'Smallest batch, lb', least: 1, most: 200, part: true },
      { key: 'kindsPerHalf', label: 'Kinds to a half', least: 0, most: 10 },
      {
        key: 'anotherKindFromLb',
        label: 'One kind more for a side from, lb',
        least: 0,
        most: 2000,
        part: true,
      },
      { key: 'grindFatPct', label: 'Fat of the grind, %', least: 0, most: 60 },
      { key: 'grindPackLb', label: 'Pack of grind, lb', least: 0.25, most: 10, part: true },
    ],
  },
];

const MONTHS = [
  ['vacuum', 'cut', 'Vacuum, cuts'],
  ['vacuum', 'grind', 'Vacuum, grind'],
  ['vacuum', 'cured', 'Vacuum, cured'],
  ['paper', 'cut', 'Paper, cuts'],
  ['paper', 'grind', 'Paper, grind'],
  ['paper', 'cured', 'Paper, cured'],
] as const;

/** What each species has of its own: a figure in bold is the shop's, the others come with the app. */
export function SpeciesRulesTable({ state }: { state: SetUpState }) {
  const { species } = state.view;
  return (
    <table className={styles.rules}>
      <thead>
        <tr>
          <th>bold is our own</th>
          {species.map(({ id, name }) => (
            <th key={id} className="num">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {PARTS.map(({ title, rows }) => (
          <Fragment key={title}>
            <tr className={styles.part}>
              <th colSpan={species.length + 1}>{title}</th>
            </tr>
            {rows.map((row) => (
              <tr key={row.key}>
                <td>{row.label}</td>
                {species.map((each) => (
                  <td key={each.id} className="num">
                    <FigureField state={state} row={row} species={each} />
                  </td>
                ))}
              </tr>
            ))}
          </Fragment>
        ))}
        <tr className={styles.part}>
          <th colSpan={species.length + 1}>Frozen packs keep, months</th>
        </tr>
        {MONTHS.map(([wrap, kind, label]) => (
          <tr key={label}>
            <td>{label}</td>
            {species.map((each) => (
              <td key={each.id} className="num">
                <ValueField
                  label={`${label}, months, ${each.name}`}
                  kept={String(each.rules.months[wrap][kind])}
                  own={each.own.rules.months !== undefined}
                  problem={(text) => numberProblem(text, 1, 36)}
                  keep={(text) =>
                    state.change({
                      kind: 'species-rules',
                      species: each.id,
                      rules: { months: withMonths(each.rules.months, wrap, kind, numberOf(text)) },
                    })
                  }
                />
              </td>
            ))}
          </tr>
        ))}
        <tr className={styles.part}>
          <th colSpan={species.length + 1}>Broken the way of, where an order does not say</th>
        </tr>
        {species.map((each) => (
          <SchoolRow key={each.id} state={state} species={each} span={species.length} />
        ))}
      </tbody>
    </table>
  );
}

function withMonths(
  months: MonthsKept,
  wrap: keyof MonthsKept,
  kind: 'cut' | 'grind' | 'cured',
  value: number,
): MonthsKept {
  return { ...months, [wrap]: { ...months[wrap], [kind]: value } };
}

const NONE = 'none';

/** Figures that stand for none. */
const NO_FIGURE: Partial<Record<Figure, number>> = { lightLb: 0, heavyLb: 2000, anotherKindFromLb: 0 };

function shownFigure(key: Figure, value: number): string {
  return NO_FIGURE[key] === value ? NONE : String(value);
}

function FigureField({ state, row, species }: { state: SetUpState; row: Row; species: SpeciesAtHome }) {
  const { key, label, least, most, part = false } = row;
  return (
    <ValueField
      label={`${label}, ${species.name}`}
      kept={shownFigure(key, species.rules[key])}
      own={species.own.rules[key] !== undefined}
      problem={(text) => (text === NONE ? '' : numberProblem(text, least, most, !part))}
      keep={(text) =>
        state.change({
          kind: 'species-rules',
          species: species.id,
          rules: { [key]: text === NONE ? NO_FIGURE[key]! : numberOf(text) },
        })
      }
    />
  );
}

/** The school of a species, and each place where the shop breaks otherwise. */
function SchoolRow({ state, species, span }: { state: SetUpState; species: SpeciesAtHome; span: number }) {
  return (
    <tr>
      <td>{species.name}</td>
      <td colSpan={span}>
        <Select
          size="small"
          aria-label={`School of ${species.name}`}
          value={species.rules.school}
          popupMatchSelectWidth={false}
          onChange={(school) =>
            void state.change({ kind: 'species-rules', species: species.id, rules: { school } })
          }
          options={[
            ...(species.rules.school === '' ? [{ value: '', label: 'as Fractum comes' }] : []),
            ...species.schools.map(({ id, name }) => ({ value: id, label: name })),
          ]}
        />{' '}
        {species.breaks.map((each) => (
          <Select
            key={each.id}
            size="small"
            variant="borderless"
            aria-label={`${each.title}, ${species.name}`}
            value={each.place}
            popupMatchSelectWidth={false}
            onChange={(place) =>
              void state.change({ kind: 'break', species: species.id, break: each.id, place })
            }
            options={each.places.map(({ id, label }) => ({ value: id, label: `${each.title}: ${label}` }))}
          />
        ))}
      </td>
    </tr>
  );
}
