'use client';

import { isDay, type Day } from '@/core/time/shopTime';
import { BARRELS, type Barrel } from '@/core/ledger/ledger';
import type { HouseRules } from '@/core/shop/houseRules';
import type { LabelSample } from '@/server/shop';
import { LabelRules } from './LabelRules';
import type { SetUpState } from './useSetUp';
import { Toggle } from './Toggle';
import { numberOf, numberProblem, ValueField } from './ValueField';
import styles from './SetUp.module.css';

type Rules = Omit<HouseRules, 'version'>;

/** A rule that is one number, or one text. */
type Row = {
  readonly label: string;
  readonly unit: string;
  readonly read: (rules: Rules) => string;
  readonly problem: (text: string) => string;
  readonly change: (text: string, rules: Rules) => Partial<Rules>;
  readonly width?: 'number' | 'words' | 'line';
};

const between = (least: number, most: number) => (text: string) => numberProblem(text, least, most);
const clock = (text: string) => (/^([01]\d|2[0-3]):[0-5]\d$/.test(text) ? '' : 'such as 08:30');

const hour = (key: keyof Rules['hours'], label: string): Row => ({
  label,
  unit: '',
  read: ({ hours }) => hours[key],
  problem: clock,
  change: (text, { hours }) => ({ hours: { ...hours, [key]: text } }),
});

const percent = (key: keyof Rules['unaccounted'], label: string): Row => ({
  label,
  unit: '% of the cold weight',
  read: ({ unaccounted }) => String(unaccounted[key] / 100),
  problem: (text) => numberProblem(text, 0, 100, false),
  change: (text, { unaccounted }) => ({
    unaccounted: { ...unaccounted, [key]: Math.round(numberOf(text) * 100) },
  }),
});

const whole = (
  key: 'sheetDays' | 'storageDays' | 'chillHours' | 'benchLb' | 'blockMinutes',
  said: { label: string; unit: string; least: number; most: number },
): Row => ({
  label: said.label,
  unit: said.unit,
  read: (rules) => String(rules[key]),
  problem: between(said.least, said.most),
  change: (text) => ({ [key]: numberOf(text) }),
});

const BARREL_LABELS: Readonly<Record<Barrel, string>> = {
  bone: 'Bone goes to',
  fat: 'Fat out goes to',
  skin: 'Skin goes to',
  inedible: 'Glands and condemned go to',
};

const goesTo = (barrel: Barrel): Row => ({
  label: BARREL_LABELS[barrel],
  unit: '',
  width: 'words',
  read: ({ barrels }) => barrels[barrel],
  problem: (text) => (text.trim() === '' || text.length > 40 ? 'where it goes, in forty letters' : ''),
  change: (text, { barrels }) => ({ barrels: { ...barrels, [barrel]: text } }),
});

const PARTS: readonly { readonly title: string; readonly rows: readonly Row[] }[] = [
  {
    title: 'The day',
    rows: [
      hour('block', 'Cutting begins'),
      hour('calls', 'Calls are made by'),
      hour('close', 'Doors close'),
      whole('blockMinutes', { label: 'Cutting in a day', unit: 'minutes', least: 30, most: 5000 }),
    ],
  },
  {
    title: 'From rail to locker',
    rows: [
      whole('chillHours', { label: 'Chilled after', unit: 'hours', least: 0, most: 72 }),
      whole('sheetDays', { label: 'A sheet stands before the block', unit: 'days', least: 0, most: 30 }),
      whole('storageDays', { label: 'Boxes may wait', unit: 'days', least: 1, most: 365 }),
    ],
  },
  {
    title: 'The balance',
    rows: [
      percent('askBp', 'Missing is asked about from'),
      percent('investigateBp', 'and investigated from'),
      whole('benchLb', { label: 'The bench scale carries', unit: 'lb', least: 1, most: 2000 }),
      {
        label: 'Trays and bags, in lb',
        unit: '',
        width: 'words',
        read: ({ trays }) => trays.map(({ name, lb }) => `${name} ${lb}`).join(', '),
        problem: (text) => (traysOf(text) ? '' : 'a name and a weight each: Tray 0.06, Bag 0.02'),
        change: (text) => ({ trays: traysOf(text) ?? [] }),
      },
      ...BARRELS.map(goesTo),
    ],
  },
  {
    title: 'Days off',
    rows: [
      {
        label: 'Closed on',
        unit: '',
        width: 'words',
        read: ({ holidays }) => holidays.join(' '),
        problem: (text) => (datesOf(text).find((each) => !isDay(each)) ? 'dates such as 2026-12-25' : ''),
        change: (text) => ({ holidays: datesOf(text) as Day[] }),
      },
    ],
  },
];

/** `Tray 0.06, Bag 0.02`; undefined when it is not that. */
function traysOf(text: string): { name: string; lb: number }[] | undefined {
  const said = text.split(',').filter((each) => each.trim() !== '');
  const read = said.map((each) => /^\s*(.{1,20}?)\s+(\d*\.?\d+)\s*$/.exec(each));
  return read.includes(null) ? undefined : read.map((found) => ({ name: found![1]!, lb: Number(found![2]) }));
}

function datesOf(text: string): string[] {
  return [...new Set(text.split(/[\s,]+/).filter((each) => each !== ''))].sort();
}

const DAYS = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'] as const;
const WEEK = { open: 'Open on', kill: 'Animals are killed on', pickUp: 'Boxes are collected on' } as const;

/** What holds whatever the animal. */
export function ShopRules({ state, label }: { state: SetUpState; label: LabelSample }) {
  const { rules } = state.view;
  return (
    <table className={styles.rules}>
      <thead>
        <tr>
          <th>the whole shop</th>
          <th />
        </tr>
      </thead>
      {PARTS.map(({ title, rows }) => (
        <tbody key={title}>
          <tr className={styles.part}>
            <th colSpan={2}>{title}</th>
          </tr>
          {rows.map((row) => (
            <tr key={row.label}>
              <td>{row.label}</td>
              <td>
                <ValueField
                  label={row.label}
                  kept={row.read(rules)}
                  {...(row.width ? { width: row.width } : {})}
                  own
                  problem={row.problem}
                  keep={(text) => state.change({ kind: 'rules', rules: row.change(text, rules) })}
                />{' '}
                <span className="quiet">{row.unit}</span>
              </td>
            </tr>
          ))}
        </tbody>
      ))}
      <tbody>
        <tr className={styles.part}>
          <th colSpan={2}>A sheet about which nobody answers</th>
        </tr>
        <tr>
          <td>By the day it must stand</td>
          <td>
            <Toggle
              pressed={rules.noAnswer.does === 'house'}
              onPress={() => {
                const does = rules.noAnswer.does === 'house' ? 'wait' : 'house';
                void state.change({ kind: 'rules', rules: { noAnswer: { ...rules.noAnswer, does } } });
              }}
            >
              {rules.noAnswer.does === 'house' ? 'our usual way may be taken' : 'the share waits'}
            </Toggle>
          </td>
        </tr>
        {rules.noAnswer.does === 'house' && (
          <tr>
            <td>but not before</td>
            <td>
              <ValueField
                label="Calls before the house’s way is taken"
                kept={String(rules.noAnswer.calls)}
                own
                problem={between(0, 20)}
                keep={(text) =>
                  state.change({
                    kind: 'rules',
                    rules: { noAnswer: { ...rules.noAnswer, calls: numberOf(text) } },
                  })
                }
              />{' '}
              <span className="quiet">calls</span>
            </td>
          </tr>
        )}
      </tbody>
      <LabelRules state={state} first={label} />
      <tbody>
        <tr className={styles.part}>
          <th colSpan={2}>The week, and what there is to cut with</th>
        </tr>
        {Object.entries(WEEK).map(([key, label]) => (
          <tr key={key}>
            <td>{label}</td>
            <td>
              <Weekdays
                label={label}
                chosen={rules.week[key as keyof typeof WEEK]}
                onChange={(days) =>
                  void state.change({ kind: 'rules', rules: { week: { ...rules.week, [key]: days } } })
                }
              />
            </td>
          </tr>
        ))}
        <tr>
          <td>Band saw</td>
          <td>
            <Toggle
              pressed={rules.tools.includes('band-saw')}
              onPress={() =>
                void state.change({ kind: 'rules', rules: { tools: toggled(rules.tools, 'band-saw') } })
              }
            >
              {rules.tools.includes('band-saw') ? 'in the shop' : 'none: what needs one is not offered'}
            </Toggle>
          </td>
        </tr>
      </tbody>
    </table>
  );
}

function toggled(list: readonly string[], one: string): string[] {
  return list.includes(one) ? list.filter((each) => each !== one) : [...list, one];
}

type WeekdaysProps = {
  label: string;
  chosen: readonly number[];
  onChange: (days: readonly number[]) => void;
};

/** Days of the week to press; the last one stays. */
function Weekdays({ label, chosen, onChange }: WeekdaysProps) {
  return (
    <span className={styles.days} role="group" aria-label={label}>
      {DAYS.map((word, index) => {
        const day = index + 1;
        const isChosen = chosen.includes(day);
        const next = isChosen ? chosen.filter((each) => each !== day) : [...chosen, day].sort();
        return (
          <Toggle key={word} pressed={isChosen} disabled={next.length === 0} onPress={() => onChange(next)}>
            {word}
          </Toggle>
        );
      })}
    </span>
  );
}
