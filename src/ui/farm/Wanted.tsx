'use client';

import { Button, Select } from 'antd';
import { useState } from 'react';
import { groups } from 'd3-array';
import type { DividedInWords } from '@/core/goals/wantedJob';
import { counted } from '@/core/quantity/counted';
import { listed } from '@/core/quantity/listed';
import { formatWeight, sumWeights } from '@/core/quantity/weight';
import type { FarmSheets, FarmSpecies } from '@/server/sheet';
import { postTo } from '../kit/act';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';
import type { FarmPlace } from './farmPlace';
import styles from './Farm.module.css';

const AWAY = 'The house cannot be reached just now. What you typed stays here; try again in a moment.';

type Typed = Readonly<Record<string, { readonly packs: string; readonly inFreezer: string }>>;

type Props = { farm: FarmSheets; of: FarmSpecies; place: FarmPlace };

/** What all animals give together, pack by pack; what sells and what lies in the freezer, divided over them. */
export function Wanted({ farm, of, place }: Props) {
  const { cuts, shares, unit, known, id: species } = of;
  const [typed, setTyped] = useState<Typed>({});
  const [added, setAdded] = useState<readonly string[]>([]);
  const [divided, setDivided] = useState<DividedInWords>();
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const take = useAsk('changeRows');
  const without = shares.filter(({ says }) => !('grind' in says)).map(({ name }) => name);
  const rows = [...cuts, ...added.filter((cut) => !cuts.some((row) => row.cut === cut)).map(emptyRow)];
  const wants = Object.entries(typed)
    .filter(([, { packs }]) => packs.trim() !== '')
    .map(([cut, { packs, inFreezer }]) => ({ cut, packs: Number(packs), inFreezer: Number(inFreezer || 0) }));
  const type = (cut: string, said: Partial<Typed[string]>) => {
    setDivided(undefined);
    setTyped((before) => ({ ...before, [cut]: { packs: '', inFreezer: '', ...before[cut], ...said } }));
  };
  async function divide() {
    setBusy(true);
    setProblem('');
    const asked = { personId: farm.id, species, wants };
    const answer = await postTo<DividedInWords>(place.wantedPath, asked, { offline: AWAY, noAnswer: AWAY });
    setBusy(false);
    if (answer.ok) setDivided(answer.value);
    else setProblem(answer.message);
  }
  return (
    <details>
      <summary>
        Together {counted(packsIn(cuts), 'pack')},{' '}
        {formatWeight(sumWeights(cuts.map((cut) => cut.packaged)), 0)} {unit}, expected; say what sells, and
        divide it
      </summary>
      <div className={styles.wide}>
        <table className={styles.together}>
          <thead>
            <tr>
              <th scope="col">packs by cut</th>
              <th scope="col">wanted</th>
              <th scope="col">in the freezer</th>
              <th scope="col" className="num">
                all
              </th>
              <th scope="col" className="num">
                {unit}
              </th>
              {shares.map(({ shareId, name }) => (
                <th key={shareId} scope="col" className="num">
                  {name.split(',')[0]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ cut, packs, packaged, of: each }) => (
              <tr key={cut}>
                <th scope="row">{cut}</th>
                <td>
                  <Packs
                    label={`Packs of ${cut} wanted`}
                    value={typed[cut]?.packs ?? ''}
                    onChange={(said) => type(cut, { packs: said })}
                  />
                </td>
                <td>
                  <Packs
                    label={`Packs of ${cut} in the freezer`}
                    value={typed[cut]?.inFreezer ?? ''}
                    onChange={(said) => type(cut, { inFreezer: said })}
                  />
                </td>
                <td className="num">
                  <b>{packs}</b>
                </td>
                <td className="num">{formatWeight(packaged, 1)}</td>
                {shares.map(({ shareId }) => (
                  <td key={shareId} className="num">
                    {each[shareId] ?? ''}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className={styles.copy}>
        <Select
          aria-label="Another cut"
          showSearch
          value={null}
          placeholder="another cut"
          popupMatchSelectWidth={false}
          options={known
            .filter((cut) => !rows.some((row) => row.cut === cut))
            .map((cut) => ({ value: cut, label: cut }))}
          onChange={(cut: string | null) => cut && setAdded((before) => [...before, cut])}
        />
        <Button type="primary" disabled={wants.length === 0} loading={busy} onClick={() => void divide()}>
          Divide it over the animals
        </Button>
        {problem !== '' && (
          <span className="alarm" role="alert">
            {problem}
          </span>
        )}
      </p>
      {without.length > 0 && (
        <p className="quiet">
          Without a sheet yet, and not counted: {listed(without)}. Copy one to it first.
        </p>
      )}
      {divided && (
        <Result
          divided={divided}
          of={of}
          busy={take.busy}
          onTake={async () => {
            const changes = divided.changes.map(({ shareId, version, decision, answer }) => ({
              shareId: shareId as never,
              version,
              decision,
              answer,
            }));
            if ((await take.ask({ changes })).ok) setDivided(undefined);
          }}
        />
      )}
      <Note failure={take.refusal} />
    </details>
  );
}

function emptyRow(cut: string): FarmSpecies['cuts'][number] {
  return { cut, packs: 0, packaged: 0 as never, of: {} };
}

function packsIn(cuts: FarmSpecies['cuts']): number {
  return cuts.reduce((sum, { packs }) => sum + packs, 0);
}

function Packs({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (said: string) => void;
}) {
  return (
    <input
      className={styles.packs}
      aria-label={label}
      inputMode="numeric"
      value={value}
      onChange={(event) => onChange(event.target.value.replace(/\D/g, '').slice(0, 4))}
    />
  );
}

type ResultProps = { divided: DividedInWords; of: FarmSpecies; busy: boolean; onTake: () => Promise<void> };

/** What would change so that what is wanted comes of it; nothing is changed until it is taken. */
function Result({ divided: { gives, changes }, of: { shares }, busy, onTake }: ResultProps) {
  return (
    <div role="status">
      <ul className={styles.gives}>
        {gives.map(({ cut, packs, inFreezer, now, then }) => (
          <li key={cut} className={then + inFreezer < packs ? 'alarm' : ''}>
            {cut}: {counted(packs, 'pack')} wanted, {inFreezer > 0 && `${inFreezer} in the freezer, `}
            {then === now ? `${now} come of it as it is` : `${then} instead of ${now}`}
            {then + inFreezer < packs &&
              `; ${packs - then - inFreezer} lack, and no sheet that may change gives more`}
            .
          </li>
        ))}
      </ul>
      {changes.length === 0 ? (
        <p>No sheet has to change.</p>
      ) : (
        <>
          {groups(changes, ({ shareId }) => shareId).map(([shareId, rows]) => (
            <p key={shareId}>
              <b>{shares.find((share) => share.shareId === shareId)?.name}</b>:{' '}
              {rows.map(({ title, was, says }) => `${title}, ${says} instead of ${was}`).join('; ')}
            </p>
          ))}
          <Button type="primary" loading={busy} onClick={() => void onTake()}>
            Change {counted(changes.length, 'row')}
          </Button>
        </>
      )}
    </div>
  );
}
