import { forecast } from '../forecast/forecast';
import { weight } from '../quantity/weight';
import { houseSheet, withAnswer } from '../sheet/houseSheet';
import type { Situation } from '../sheet/situation';
import { speciesById } from '../tests/catalogue';
import { offalAskedTwice, onesKept, promisedTwice, scarceCuts, whoHasOnes } from './scarce';

const beef = speciesById('beef');
const half: Situation = { species: beef, unit: 'lb', sides: 1, addOns: [], tools: ['band-saw'] };
const house = houseSheet(half);

function share(owner: string, hanger: 'kept' | 'grind') {
  const answer = { forms: [{ option: hanger, amount: { kind: 'rest' as const }, params: {} }] };
  return { owner, lines: forecast(half, withAnswer(house, 'hanger', answer), [weight(375)]).lines };
}

describe('what an animal has one of', () => {
  it('is pointed out when two households keep it', () => {
    const [oxtail, hanger] = promisedTwice(beef, [share('Petrok', 'kept'), share('Sabine', 'kept')]).sort(
      (a, b) => (a.cut > b.cut ? -1 : 1),
    );
    expect(hanger).toMatchObject({ cut: 'Hanging tender', owners: ['Petrok', 'Sabine'] });
    expect(hanger!.sentence).toBe(
      'Hanging tender: one to an animal, and Petrok and Sabine keep it. Each gets half unless they agree who has it.',
    );
    expect(oxtail!.cut).toBe('Oxtail');
  });

  it('is nobody’s quarrel when one keeps it', () => {
    const cuts = promisedTwice(beef, [share('Petrok', 'kept'), share('Sabine', 'grind')]).map(
      (each) => each.cut,
    );
    expect(cuts).toEqual(['Oxtail']);
  });
});

describe('a household is told', () => {
  const keeping = (owner: string, ones: string[] = [], offal: string[] = []) => ({ owner, ones, offal });

  it('who else keeps it, and what nobody keeps', () => {
    const mine = keeping('Sabine', ['Oxtail'], ['liver']);
    expect(whoHasOnes(half, mine, [keeping('Petrok', ['Oxtail'], ['liver', 'heart'])])).toEqual([
      'Hanging tender: one to an animal, and nobody keeps it yet.',
      'Oxtail: one to an animal, kept by Petrok too. Each gets half unless they agree.',
      'Liver: one to an animal, asked for by Petrok too: they have to agree.',
      'Heart: one to an animal, asked for by Petrok.',
    ]);
  });

  it('nothing of what its quarter does not reach, nor when it is alone', () => {
    const others = [keeping('Petrok', ['Oxtail', 'Hanging tender'])];
    expect(whoHasOnes({ ...half, part: 'fore' }, keeping('Sabine'), others).join()).not.toContain('Oxtail');
    expect(whoHasOnes(half, keeping('Sabine'), [])).toEqual([]);
  });

  it('what its own lines keep', () => {
    expect(onesKept(beef, share('Petrok', 'kept').lines)).toEqual(['Hanging tender', 'Oxtail']);
    expect(onesKept(beef, share('Sabine', 'grind').lines)).toEqual(['Oxtail']);
  });
});

describe('scarce cuts', () => {
  it.each([
    ['beef', 'Hanging tender', 1],
    ['beef', 'Flank steak', 2],
    ['beef', 'Tri-tip roast', 2],
    ['beef', 'Tenderloin, whole', 2],
    ['beef', 'Brisket, whole', 2],
    ['hog', 'Tenderloin, whole', 2],
    ['hog', 'Spare ribs, full', 2],
    ['lamb', 'Saddle, bone-in', 1],
    ['lamb', 'Crown roast', 1],
    ['lamb', 'Rack, frenched', 2],
    ['lamb', 'Kidney', 2],
    ['lamb', 'Tail', 1],
  ])('%s: %s %d to an animal', (species, cut, perAnimal) => {
    expect(scarceCuts(speciesById(species))).toContainEqual({ cut, perAnimal });
  });
});

describe('offal asked for at the kill floor', () => {
  it('is pointed out when more ask for it than there is', () => {
    const shares = ['A', 'B', 'C'].map((owner) => ({ owner, offal: ['liver', 'cheeks'] }));
    expect(offalAskedTwice(beef, shares).map(({ sentence }) => sentence)).toEqual([
      'Liver: one to an animal, and A, B and C ask for it at the kill floor.',
      'Cheek meat: 2 to an animal, and A, B and C ask for it at the kill floor.',
    ]);
    expect(offalAskedTwice(beef, shares.slice(0, 1))).toEqual([]);
  });
});
