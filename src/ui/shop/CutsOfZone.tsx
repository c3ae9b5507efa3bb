'use client';

import { Select } from 'antd';
import { DestinationMark } from '../kit/DestinationMark';
import { wordsOf } from '@/core/setUp/wordsOfCut';
import type { OwnCut, SpeciesSetUp } from '@/core/setUp/types';
import type { Decision, Option, ParamSpec, Species } from '@/core/species/types';
import type { SetUpState } from './useSetUp';
import { numberOf, numberProblem, ValueField } from './ValueField';
import styles from './SetUp.module.css';

type Props = {
  state: SetUpState;
  species: Species;
  own: SpeciesSetUp;
  decision: Decision;
  onOwnCut: (cut?: OwnCut) => void;
};

/** One place of the side: what the house says there, and every cut with the shop's word for it. */
export function CutsOfZone({ state, species, own, decision, onOwnCut }: Props) {
  const hidden = own.hidden.filter((each) => each.startsWith(`${decision.id}.`));
  return (
    <section className={styles.zone} id={decision.id}>
      <h2>
        {decision.title}
        <span className="quiet">
          {decision.zone}; the house says{' '}
          <Select
            size="small"
            variant="borderless"
            aria-label={`House answer for ${decision.title}`}
            value={decision.house.option}
            popupMatchSelectWidth={false}
            onChange={(option) =>
              void state.change({
                kind: 'house',
                species: species.id,
                decision: decision.id,
                says: { option, reason: decision.house.reason },
              })
            }
            options={decision.options.map(({ id, label }) => ({ value: id, label }))}
          />
        </span>
        <button type="button" className="link" onClick={() => onOwnCut()}>
          a cut of our own
        </button>
      </h2>
      <p className={styles.because}>
        because{' '}
        <ValueField
          label={`Reason for ${decision.title}`}
          kept={decision.house.reason}
          width="line"
          own={own.house[decision.id] !== undefined}
          problem={(text) => (text === '' ? 'a reason is shown to the customer' : '')}
          keep={(reason) =>
            state.change({
              kind: 'house',
              species: species.id,
              decision: decision.id,
              says: { ...ways(decision), reason },
            })
          }
        />
      </p>
      <table className={styles.rules}>
        <thead>
          <tr>
            <th>the answer, as usual</th>
            <th>our word for it</th>
            <th>also found by</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {decision.options.map((option) => (
            <OptionRows
              key={option.id}
              {...{ state, species, own, decision, option }}
              ownCut={own.ownCuts.find(({ id }) => id === option.id)}
              onOwnCut={onOwnCut}
            />
          ))}
          {hidden.map((said) => (
            <tr key={said} className={styles.off}>
              <td colSpan={3}>{said.split('.')[1]!.replaceAll('-', ' ')}</td>
              <td>
                <button
                  type="button"
                  className="link"
                  onClick={() =>
                    void state.change({ kind: 'offer', species: species.id, option: said, offered: true })
                  }
                >
                  offer it again
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function ways({ house }: Decision): { option: string; then?: string } {
  return { option: house.option, ...(house.then ? { then: house.then } : {}) };
}

type OptionProps = Omit<Props, 'onOwnCut'> & {
  option: Option;
  ownCut: OwnCut | undefined;
  onOwnCut: (cut?: OwnCut) => void;
};

/** One answer: its cuts, the shop's word for each, what else they are called, and whether the shop does it. */
function OptionRows({ state, species, own, decision, option, ownCut, onOwnCut }: OptionProps) {
  const cuts = [...new Set(option.products.flatMap(({ cut, cure }) => (cure ? [cut, cure.cut] : [cut])))];
  const isHouse = [decision.house.option, decision.house.then].includes(option.id);
  const rows = cuts.length > 0 ? cuts : [''];
  return rows.map((cut, index) => (
    <tr key={cut}>
      <td>
        {index === 0 && (
          <>
            {option.products[0] && <DestinationMark destination={option.products[0].destination} />}{' '}
            {ownCut ? (
              <button type="button" className={styles.word} onClick={() => onOwnCut(ownCut)}>
                {option.label}
              </button>
            ) : (
              option.label
            )}
            <UsualParams {...{ state, species, own, decision, option }} />
          </>
        )}
      </td>
      <td>
        {cut !== '' && (
          <ValueField
            label={`The shop’s word for ${cut}`}
            kept={own.words[cut] ?? cut}
            width="words"
            own={own.words[cut] !== undefined}
            problem={() => ''}
            keep={(text) =>
              state.change({ kind: 'word', species: species.id, cut, word: text === cut ? '' : text })
            }
          />
        )}
      </td>
      <td>
        {cut !== '' && (
          <ValueField
            label={`What else people say for ${cut}`}
            kept={(own.aliases[cut] ?? []).join(', ')}
            width="short"
            own={own.aliases[cut] !== undefined}
            problem={() => ''}
            keep={(text) => state.change({ kind: 'alias', species: species.id, cut, say: wordsOf(text) })}
          />
        )}
      </td>
      <td className="num">
        {index === 0 &&
          (isHouse ? (
            <b>the house’s</b>
          ) : ownCut ? (
            <button
              type="button"
              className="link"
              onClick={() =>
                void state.change({ kind: 'without-own-cut', species: species.id, id: option.id })
              }
            >
              make it no more
            </button>
          ) : (
            <button
              type="button"
              className="link"
              onClick={() =>
                void state.change({
                  kind: 'offer',
                  species: species.id,
                  option: `${decision.id}.${option.id}`,
                  offered: false,
                })
              }
            >
              not done here
            </button>
          ))}
      </td>
    </tr>
  ));
}

type UsualFigure = {
  readonly id: string;
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly unit: string;
  readonly whole: boolean;
};

/** A parameter that is a number, with what it may be; none for the others. */
function figureOf(spec: ParamSpec): UsualFigure[] {
  const { id, label } = spec;
  switch (spec.kind) {
    case 'length':
      return [
        { id, label, value: spec.defaultIn, least: spec.minIn, most: spec.maxIn, unit: 'in', whole: false },
      ];
    case 'weight':
      return [
        { id, label, value: spec.defaultLb, least: spec.minLb, most: spec.maxLb, unit: 'lb', whole: false },
      ];
    case 'count':
      return [{ id, label, value: spec.default, least: spec.min, most: spec.max, unit: '', whole: true }];
    default:
      return [];
  }
}

/** What an answer's parameters are when nobody says. */
function UsualParams({ state, species, own, decision, option }: Omit<OptionProps, 'ownCut' | 'onOwnCut'>) {
  return (option.params ?? []).flatMap(figureOf).map(({ id, label, value, least, most, unit, whole }) => {
    const param = `${decision.id}.${option.id}.${id}`;
    return (
      <span key={id} className={styles.usual}>
        {label.toLowerCase()}{' '}
        <ValueField
          label={`${label} of ${option.label}`}
          kept={String(value)}
          own={own.defaults[param] !== undefined}
          problem={(text) => numberProblem(text, least, most, whole)}
          keep={(text) => state.change({ kind: 'usual', species: species.id, param, value: numberOf(text) })}
        />
        {unit}
      </span>
    );
  });
}
