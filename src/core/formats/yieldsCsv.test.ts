import Papa from 'papaparse';
import { weight } from '../quantity/weight';
import { NOTHING_PACKED, yieldRow } from '../tests/yieldRow';
import { writeYields } from './yieldsCsv';

describe('finished shares as CSV', () => {
  const row = yieldRow({
    name: 'Wray, "the elder", left half',
    hot: weight(180),
    cold: weight(175.5),
    packed: { ...NOTHING_PACKED, roasts: weight(126) },
  });
  const read = (text: string) =>
    Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });

  it('opens with its units, and every field where its head says', () => {
    const { data, errors, meta } = read(writeYields([row], 'lb'));
    expect(errors).toEqual([]);
    expect(meta.fields).toEqual([...new Set(meta.fields)]);
    expect(data).toEqual([
      expect.objectContaining({
        name: 'Wray, "the elder", left half',
        hot_lb: '180.000',
        packed_roasts_lb: '126.000',
        packed_hot_pct: '70.00',
        packed_cold_pct: '71.79',
        live_lb: '',
        packed_live_pct: '',
        fatness: '',
      }),
    ]);
  });

  it('of none has its heads alone, in the unit of the shop', () => {
    const { data, meta } = read(writeYields([], 'kg'));
    expect(data).toEqual([]);
    expect(meta.fields).toContain('hot_kg');
  });
});
