'use client';

import { Checkbox, Select } from 'antd';
import { useState } from 'react';
import type { BookableSpecies, BookingView } from '@/server/book';
import { ofSpecies, speciesOfTag, spread, tagsOf, type AnimalDraft } from './call';
import { DIVISIONS, divisionNamed } from './divisions';
import { HangingSides } from './HangingSides';
import { ShareTag } from './ShareTag';
import { Typed } from './Typed';
import type { CallState } from './useCall';
import styles from './BookScreen.module.css';

type Props = { state: CallState; view: BookingView; animal: AnimalDraft; at: number };

/** One animal of a call, hanging as it will be divided, each part with who has it. */
export function AnimalCard({ state, view, animal, at }: Props) {
  const [more, setMore] = useState(false);
  const species = view.species.find(({ id }) => id === animal.species)!;
  const division = divisionNamed(animal.division);
  const offered = DIVISIONS.filter(({ quarters }) => !quarters || (species.quartered && !animal.unsplit));
  const problem = (field: string) => state.problemOf(`documents.${at}.${field}`);
  const set = (change: Partial<AnimalDraft>) => state.setAnimal(animal.key, change);
  /** A run of tags becomes as many animals; a letter says the animal. */
  const leaveTag = () => {
    if (tagsOf(animal.tag).length > 1) state.change((call) => spread(call, animal.key));
  };
  const typeTag = (tag: string) => {
    const said = animal.tag === '' ? speciesOfTag(tag, view.species) : undefined;
    state.setAnimal(animal.key, (before) => ({ ...(said ? ofSpecies(before, said) : before), tag }));
  };
  const nextDivision = () =>
    state.divide(
      animal.key,
      offered[(offered.findIndex(({ id }) => id === division.id) + 1) % offered.length]!,
    );
  const id = (name: string) => (at === 0 ? `animal_${name}` : `animal${at}_${name}`);
  return (
    <section
      className={styles.animal}
      aria-label={`Animal ${animal.tag || at + 1}`}
      onKeyDown={(event) => {
        if (event.altKey && event.code === 'KeyV') {
          event.preventDefault();
          nextDivision();
        }
      }}
    >
      <div className={styles.line}>
        <Typed
          id={id('tag')}
          label="Tag"
          placeholder="or H121-H124"
          value={animal.tag}
          problem={problem('animal.tag')}
          width="112px"
          onChange={typeTag}
          onBlur={leaveTag}
        />
        <span className={styles.typed}>
          <label htmlFor={id('species')}>Animal</label>
          <Select
            id={id('species')}
            value={animal.species}
            popupMatchSelectWidth={false}
            onChange={(next) =>
              state.setAnimal(animal.key, (before) =>
                ofSpecies(
                  before,
                  view.species.find((each) => each.id === next)!,
                ),
              )
            }
            options={view.species.map(({ id: value, name }) => ({ value, label: name }))}
          />
        </span>
        <span className={styles.typed}>
          <label htmlFor={id('division')}>
            Divided into <kbd>Alt V</kbd>
          </label>
          <Select
            id={id('division')}
            value={division.id}
            popupMatchSelectWidth={false}
            onChange={(next) => state.divide(animal.key, divisionNamed(next))}
            options={offered.map(({ id: value, label }) => ({ value, label }))}
          />
        </span>
        <button type="button" className="link" aria-expanded={more} onClick={() => setMore(!more)}>
          {more ? 'less of it' : 'more of it'}
        </button>
        {state.call.animals.length > 1 && (
          <button type="button" className="link" onClick={() => state.withoutAnimal(animal.key)}>
            without it
          </button>
        )}
      </div>
      <p className={styles.explains}>{division.explains}</p>
      {more && <Facts animal={animal} species={species} set={set} problem={problem} unit={view.unit} />}
      <div className={styles.hung}>
        <HangingSides animal={animal} species={species} />
        <div className={styles.tags}>
          {animal.shares.map((share, place) => (
            <ShareTag
              key={place}
              state={state}
              view={view}
              animal={animal}
              at={at}
              place={place}
              share={share}
            />
          ))}
          {problem('shares') !== '' && <p className={styles.wrong}>{problem('shares')}</p>}
          {animal.shares.length > 1 && species.oneOf.length > 0 && (
            <p className={styles.one}>
              <b>One to an animal:</b> {species.oneOf.join(', ')}. Ask who has each; every sheet says who else
              keeps it.
            </p>
          )}
          {animal.division === 'percent' && (
            <button
              type="button"
              className="link"
              onClick={() =>
                state.setAnimal(animal.key, (before) => ({
                  ...before,
                  shares: [
                    ...before.shares,
                    { ...before.shares[0]!, name: '', phone: '', deposit: '', known: null, sharePct: '' },
                  ],
                }))
              }
            >
              another household
            </button>
          )}
        </div>
      </div>
    </section>
  );
}

type FactsProps = {
  animal: AnimalDraft;
  species: BookableSpecies;
  unit: string;
  set: (change: Partial<AnimalDraft>) => void;
  problem: (field: string) => string;
};

/** What can be known of an animal, each by itself. */
function Facts({ animal, species, unit, set, problem }: FactsProps) {
  const usual = (choices: readonly { id: string; label: string }[], words: string) => [
    { value: '', label: words },
    ...choices.map(({ id, label }) => ({ value: id, label })),
  ];
  return (
    <div className={styles.line}>
      <Typed label="Sex" value={animal.sex} width="90px" onChange={(sex) => set({ sex })} />
      <Typed label="Breed" value={animal.breed} width="110px" onChange={(breed) => set({ breed })} />
      <Typed
        label="Months"
        value={animal.months}
        width="70px"
        inputMode="numeric"
        problem={problem('animal.facts.months')}
        onChange={(months) => set({ months, flags: flagsFor(months, animal, species) })}
      />
      <Typed label="Grade" value={animal.grade} width="80px" onChange={(grade) => set({ grade })} />
      <Typed
        label={`Live, ${unit}`}
        value={animal.live}
        width="80px"
        inputMode="decimal"
        problem={problem('animal.facts.liveWeight')}
        onChange={(live) => set({ live })}
      />
      {species.types.length > 0 && (
        <span className={styles.typed}>
          <label>Finish or type</label>
          <Select
            value={animal.type}
            popupMatchSelectWidth={false}
            onChange={(type) => set({ type })}
            options={usual(species.types, 'as usual')}
          />
        </span>
      )}
      <span className={styles.typed}>
        <label>Broken the way of</label>
        <Select
          value={animal.school}
          popupMatchSelectWidth={false}
          onChange={(school) => set({ school })}
          options={usual(species.schools, 'this shop')}
        />
      </span>
      {species.rites.length > 0 && (
        <span className={styles.typed}>
          <label>Rite</label>
          <Select
            value={animal.rite}
            popupMatchSelectWidth={false}
            onChange={(rite) => set({ rite })}
            options={usual(
              species.rites.map((rite) => ({
                id: rite,
                label: `${rite}: kept apart, no pork or wine in what is made`,
              })),
              'none',
            )}
          />
        </span>
      )}
      <Checkbox checked={animal.unsplit} onChange={(event) => set({ unsplit: event.target.checked })}>
        hangs in one piece, weighed once
      </Checkbox>
      <Checkbox.Group
        value={[...animal.flags]}
        onChange={(flags) => set({ flags })}
        options={species.flags.map(({ id, label }) => ({ value: id, label }))}
      />
      <Checkbox.Group
        value={[...animal.addOns]}
        onChange={(addOns) => set({ addOns })}
        options={species.addOns.map(({ id, label }) => ({ value: id, label: `${label} stays on` }))}
      />
    </div>
  );
}

const OLD = 'over-30-months';
const OLD_MONTHS = 30;

/** The law asks the age of cattle: more than thirty months says so by itself. */
function flagsFor(months: string, { flags }: AnimalDraft, species: BookableSpecies): readonly string[] {
  if (!species.flags.some(({ id }) => id === OLD)) return flags;
  const others = flags.filter((flag) => flag !== OLD);
  return Number(months) > OLD_MONTHS ? [...others, OLD] : others;
}
