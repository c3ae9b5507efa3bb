'use client';

import { Button, Input, Select } from 'antd';
import { useEffect, useMemo, useState } from 'react';
import { compareSheets } from '@/core/compare/compareSheets';
import { formatMoney, type Cents } from '@/core/quantity/money';
import { signed } from '@/core/quantity/signed';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import { sheetAgain } from '@/core/sheet/again';
import { houseSheet } from '@/core/sheet/houseSheet';
import type { Situation } from '@/core/sheet/situation';
import type { OtherSheet } from '@/server/sheet';
import type { SheetView } from '@/server/sheet';
import { act } from '../kit/act';
import { Dialog } from '../kit/Dialog';
import { Note } from '../kit/Note';
import { Failed } from '../kit/States';
import { useAsk } from '../kit/useAsk';
import styles from './TwoWays.module.css';
import type { SheetState } from './useSheet';

/** What is less rounds to nothing: thousandths of a weight, and figures with one decimal. */
const SEEN = { weight: 50, tenth: 0.05 };

type Props = { view: SheetView; state: SheetState; onClose: () => void };

/** Two sheets on one carcass: what the other gives and takes against this one, differences first; and the way to take it. */
export function TwoWays({ view, state, onClose }: Props) {
  const house: OtherSheet = useMemo(
    () => ({ id: 'house', words: 'the house standard', sheet: houseSheet(state.situation), gone: [] }),
    [state.situation],
  );
  const [others, setOthers] = useState<readonly OtherSheet[]>([]);
  const [failed, setFailed] = useState('');
  const [chosen, setChosen] = useState('house');
  const [kept, setKept] = useState(0);
  const [tried, setTried] = useState<readonly OtherSheet[]>([]);
  useEffect(() => {
    let isHere = true;
    void act('otherSheetsView', { shareId: view.shareId }).then((answer) => {
      if (!isHere) return;
      if (answer.ok) setOthers(answer.value);
      else setFailed(answer.message);
    });
    return () => {
      isHere = false;
    };
  }, [view.shareId, kept]);
  const sheets = [house, ...tried, ...others];
  const other = sheets.find(({ id }) => id === chosen) ?? house;
  const { unit } = state.situation;
  const compared = useMemo(
    () => compareSheets(state.ground, state.sheet, other.sheet),
    [state.ground, state.sheet, other],
  );
  const { first, second } = compared;
  const { sign } = state.ground.priceList;
  const totals: readonly [string, string, string, string][] = [
    [
      `take-home, ${unit}`,
      formatWeight(first.forecast.takeHome, 1),
      formatWeight(second.forecast.takeHome, 1),
      signed(compared.takeHome, formatWeight(Math.abs(compared.takeHome) as Weight, 1), SEEN.weight),
    ],
    [
      'fat in the grind, %',
      first.forecast.pool.fatPct.toFixed(1),
      second.forecast.pool.fatPct.toFixed(1),
      signed(compared.grindFatPct, Math.abs(compared.grindFatPct).toFixed(1), SEEN.tenth),
    ],
    [
      'freezer, cu ft',
      first.forecast.freezerCuFt.toFixed(1),
      second.forecast.freezerCuFt.toFixed(1),
      signed(compared.freezerCuFt, Math.abs(compared.freezerCuFt).toFixed(1), SEEN.tenth),
    ],
    [
      'estimate',
      formatMoney(first.bill.total, sign),
      formatMoney(second.bill.total, sign),
      signed(compared.charges, formatMoney(Math.abs(compared.charges) as Cents, sign)),
    ],
  ];
  return (
    <Dialog
      title="Two ways side by side"
      onClose={onClose}
      width={760}
      footer={
        !view.locked && (
          <Button
            type="primary"
            onClick={() => {
              state.change({
                ...other.sheet,
                instructions: other.sheet.instructions || state.sheet.instructions,
              });
              onClose();
            }}
          >
            Take {other.words}
          </Button>
        )
      }
    >
      <p>
        This sheet as it stands, against{' '}
        <Select
          aria-label="Against which sheet"
          value={other.id}
          onChange={setChosen}
          popupMatchSelectWidth={false}
          options={sheets.map(({ id, words }) => ({ value: id, label: words }))}
        />
      </p>
      <ByCode
        situation={state.situation}
        onFound={(sheet) => {
          setTried([sheet]);
          setChosen(sheet.id);
        }}
      />
      <KeepAs view={view} state={state} onKept={() => setKept(kept + 1)} />
      {other.id.startsWith('template-') && (
        <EndTemplate
          templateId={other.id.slice('template-'.length)}
          onEnded={() => {
            setChosen('house');
            setKept(kept + 1);
          }}
        />
      )}
      {failed !== '' && <Failed words={failed} />}
      {other.gone.length > 0 && (
        <p className="alarm">No longer to be had, and open: {other.gone.join('; ')}.</p>
      )}
      <table className={styles.beside}>
        <thead>
          <tr>
            <th scope="col">
              {compared.cuts.length === 0 ? 'no cut differs' : `cuts that differ, ${unit} in packs`}
            </th>
            <th scope="col" className="num">
              as it stands
            </th>
            <th scope="col" className="num">
              the other
            </th>
            <th scope="col" className="num">
              differs by
            </th>
          </tr>
        </thead>
        <tbody>
          {compared.cuts.map(({ cut, first: one, second: two, packaged }) => (
            <tr key={cut}>
              <td>{cut}</td>
              <td className="num">{cutWords(one)}</td>
              <td className="num">{cutWords(two)}</td>
              <td className="num">
                <b>{signed(packaged, formatWeight(Math.abs(packaged) as Weight, 1), SEEN.weight)}</b>
              </td>
            </tr>
          ))}
        </tbody>
        <tbody>
          {totals.map(([words, one, two, by]) => (
            <tr key={words}>
              <td>{words}</td>
              <td className="num">{one}</td>
              <td className="num">{two}</td>
              <td className="num">
                <b>{by}</b>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Dialog>
  );
}

function cutWords({ packaged, packs }: { packaged: Weight; packs: number }): string {
  return packaged === 0 ? '' : `${formatWeight(packaged, 1)} in ${packs}`;
}

type ByCodeProps = { situation: Situation; onFound: (sheet: OtherSheet) => void };

/** The sheet that they tried at home, by the code that they say. */
function ByCode({ situation, onFound }: ByCodeProps) {
  const [code, setCode] = useState('');
  const [problem, setProblem] = useState('');
  const look = async () => {
    const answer = await act('triedSheetView', { code });
    if (!answer.ok) return setProblem(answer.message);
    const { species, sheet: tried, words } = answer.value;
    if (species !== situation.species.id) return setProblem(`That sheet is of another animal: ${words}.`);
    const { sheet, gone } = sheetAgain(tried, situation);
    setCode('');
    return onFound({
      id: `tried-${answer.value.code}`,
      words: `what they tried (${words})`,
      sheet,
      gone: gone.map(({ title, was }) => `${title}: ${was}`),
    });
  };
  return (
    <form
      className={styles.keep}
      onSubmit={(event) => {
        event.preventDefault();
        void look();
      }}
    >
      <label>
        Or one that they tried at home, under the code{' '}
        <Input
          size="small"
          value={code}
          maxLength={20}
          onChange={(event) => {
            setCode(event.target.value);
            setProblem('');
          }}
        />
      </label>
      <Button size="small" htmlType="submit" disabled={code.trim() === ''}>
        Find it
      </Button>
      {problem !== '' && (
        <span className="alarm" role="alert">
          {problem}
        </span>
      )}
    </form>
  );
}

type KeepProps = { view: SheetView; state: SheetState; onKept: () => void };

/** Keeps the sheet as it stands under a name of the shop's. */
function KeepAs({ view, state, onKept }: KeepProps) {
  const [name, setName] = useState('');
  const { ask, busy, refusal, clear } = useAsk('keepTemplate');
  return (
    <form
      className={styles.keep}
      onSubmit={(event) => {
        event.preventDefault();
        void ask({ shareId: view.shareId, name, sheet: state.sheet }).then(({ ok }) => {
          if (!ok) return;
          setName('');
          onKept();
        });
      }}
    >
      <label>
        Keep it as a sheet of the shop, called{' '}
        <Input
          size="small"
          value={name}
          maxLength={60}
          disabled={busy}
          onChange={(event) => {
            setName(event.target.value);
            clear();
          }}
        />
      </label>
      <Button size="small" htmlType="submit" disabled={name.trim() === ''} loading={busy}>
        Keep
      </Button>
      <Note failure={refusal} />
    </form>
  );
}

/** A sheet of the shop's that is not used any more. */
function EndTemplate({ templateId, onEnded }: { templateId: string; onEnded: () => void }) {
  const { ask, busy, refusal } = useAsk('endTemplate');
  return (
    <>
      <button
        type="button"
        className="link"
        disabled={busy}
        onClick={() => void ask({ templateId }).then(({ ok }) => ok && onEnded())}
      >
        Forget this sheet of the shop
      </button>
      <Note failure={refusal} />
    </>
  );
}
