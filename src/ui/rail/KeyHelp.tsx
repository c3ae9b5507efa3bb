'use client';

import { Dialog } from '../kit/Dialog';
import { KEYS, SCOPE_WORDS, type Key, type Scope } from '../kit/keys/keys';
import { scopesHere } from '../kit/keys/scopes';
import { useSignal } from '../kit/useSignal';
import type { Hook } from './stages';

/** Every key that holds on this page, from the same table that the page listens by. */
export function KeyHelp({ hooks, onClose }: { hooks: readonly Hook[]; onClose: () => void }) {
  const scopes: readonly Scope[] = [...new Set<Scope>([...useSignal(scopesHere), 'anywhere'])];
  return (
    <Dialog title="Keys" onClose={onClose} width={560}>
      {scopes.map((scope) => (
        <section key={scope}>
          <h3>{SCOPE_WORDS[scope]}</h3>
          <table>
            <tbody>
              {Object.values<Key>(KEYS[scope]).map(({ shown, does }) => (
                <KeyRow key={shown} shown={shown} does={does} />
              ))}
              {scope === 'anywhere' &&
                hooks.map(({ word, key }) => <KeyRow key={word} shown={`g ${key}`} does={word} />)}
            </tbody>
          </table>
        </section>
      ))}
    </Dialog>
  );
}

function KeyRow({ shown, does }: { shown: string; does: string }) {
  return (
    <tr>
      <td style={{ width: '8em' }}>
        <kbd>{shown}</kbd>
      </td>
      <td>{does}</td>
    </tr>
  );
}
