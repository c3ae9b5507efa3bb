'use client';

import { Modal } from 'antd';

const KEYS: readonly (readonly [keys: string, does: string])[] = [
  ['Ctrl K', 'find any order, tag or name'],
  ['g then b h s w r t', 'go to Book, Hang, Sheet, Wrap, Reconcile, Settle'],
  ['↑ ↓', 'sheet: the zone before, the zone after'],
  ['1 to 9', 'sheet: choose that form for the open zone'],
  ['n', 'sheet: the next open question'],
  ['1 to 0, arrows', 'wrap table: choose the target'],
  ['[ ]', 'wrap table: from the block, the grinder, the smokehouse, the barrels'],
  ['Enter', 'wrap table: take the steady weight and print'],
  ['Backspace', 'wrap table: take the last one back'],
  ['+ −', 'wrap table: pieces in this pack'],
  ['l', 'wrap table: last label again'],
  ['z', 'wrap table: tare the scale'],
  ['n', 'wrap table: nothing more of this to come, and why'],
  ['?', 'this list'],
];

export function KeyHelp({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Modal open={open} onCancel={onClose} footer={null} title="Keys" width={560}>
      <table>
        <tbody>
          {KEYS.map(([keys, does]) => (
            <tr key={keys + does}>
              <td>
                <b>{keys}</b>
              </td>
              <td>{does}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Modal>
  );
}
