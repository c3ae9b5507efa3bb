import { humanReadable, tradeItem, type PackageCode } from '../label/gs1';
import type { Label } from '../label/label';
import { weight } from '../quantity/weight';

/** The code of a pack as most are. */
export const packCode: PackageCode = {
  tradeItem: tradeItem('200', 1220),
  net: weight(1.29),
  unit: 'lb',
  lot: '261124-H112',
  serial: '000042',
};

/** A label with a long name, signs that drawings use themselves, and many words. */
export const packLabel: Label = {
  shop: 'Skerry Sound Cut & Wrap',
  cut: 'Rib and loin chops, bone-in, with a name that goes on',
  detail: '1 in, 2 in this pack',
  weight: '1.29 lb',
  lines: ['Owner: <Ottilie> & "Sons"', 'Raw. '.repeat(30).trim()],
  statusWords: 'NOT FOR SALE',
  barcode: humanReadable(packCode),
};
