import type { ScaleReading, SignedReading } from '@/core/scale/reading';
import { isGenuine, signReading } from './signature';

const reading: ScaleReading = {
  scaleId: 'bench-1',
  loadId: '7',
  gross: 1330,
  tare: 40,
  net: 1290,
  unit: 'lb',
  state: 'steady',
};
const signed = signReading(reading, new Date('2026-11-24T12:00:00Z'), 'a key');

describe('a reading that the scale has signed', () => {
  it('is genuine as it left the scale', () => {
    expect(isGenuine(signed, 'a key')).toBe(true);
    expect(isGenuine(JSON.parse(JSON.stringify(signed)) as SignedReading, 'a key')).toBe(true);
  });

  it.each<[string, Partial<SignedReading>]>([
    ['another weight', { gross: 2000, net: 1960 }],
    ['another scale', { scaleId: 'bench-2' }],
    ['another load', { loadId: '8' }],
    ['another time', { takenAt: '2026-11-25T12:00:00.000Z' }],
    ['no signature', { signature: '' }],
    ['a made-up signature', { signature: 'AAAA' }],
  ])('with %s is not', (_, change) => {
    expect(isGenuine({ ...signed, ...change }, 'a key')).toBe(false);
  });

  it('is not of another shop, nor of a shop without a key', () => {
    expect(isGenuine(signed, 'another key')).toBe(false);
    expect(isGenuine(signed, '')).toBe(false);
    expect(() => signReading(reading, new Date(), '')).toThrow(/"key"/);
  });
});
