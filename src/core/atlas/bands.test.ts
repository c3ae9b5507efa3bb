import { speciesById } from '../tests/catalogue';

/** Usual shares of a side, percent: a primal, or the muscles of a sub-primal as it is sold untrimmed. */
type Band = {
  readonly of: readonly string[];
  readonly pct: readonly [number, number];
  readonly name: string;
};

const primal = (name: string, least: number, most: number): Band => ({
  name,
  of: [`primal ${name}`],
  pct: [least, most],
});
const cut = (name: string, of: readonly string[], least: number, most: number): Band => ({
  name,
  of,
  pct: [least, most],
});

const BANDS: Readonly<Record<string, readonly Band[]>> = {
  beef: [
    primal('chuck', 25, 28),
    primal('rib', 8.5, 10),
    primal('plate', 7.5, 9),
    primal('brisket', 4.5, 5.5),
    primal('foreshank', 3, 4),
    primal('shortloin', 6.5, 8),
    primal('sirloin', 8, 9.5),
    primal('flank', 4, 5.5),
    primal('internal', 2.5, 4),
    primal('round', 22, 25),
    cut('chuck roll', ['chuck-eye', 'underblade', 'splenius'], 4.5, 6),
    cut('clod', ['infraspinatus', 'triceps', 'teres-major', 'arm-other'], 5, 6),
    cut('ribeye', ['longissimus-rib', 'spinalis-rib'], 3, 4),
    cut('brisket, boned', ['brisket-flat', 'brisket-point'], 3, 3.6),
    cut('strip', ['longissimus-loin'], 3, 4),
    cut('tenderloin', ['psoas-lumbar', 'psoas-butt', 'tenderloin-chain'], 1.6, 2),
    cut('top butt', ['gluteus', 'culotte'], 3.5, 4.3),
    cut('top round', ['top-round', 'top-round-cap'], 5.5, 6.8),
    cut('flat', ['biceps-rump', 'biceps-flat', 'biceps-heel-end'], 4, 5),
    cut('eye of round', ['eye-round'], 1.4, 1.8),
    cut('knuckle', ['knuckle-center', 'knuckle-side'], 3, 3.5),
    cut('flank steak', ['flank-steak'], 0.5, 0.7),
    cut('tri-tip', ['tri-tip'], 0.8, 1.1),
  ],
  hog: [
    primal('ham', 23, 25),
    primal('loin', 18, 22.1),
    primal('belly', 14, 17),
    primal('sparerib', 3.5, 5),
    primal('butt', 8, 10),
    primal('picnic', 9, 11),
    primal('shoulder-bone', 2, 3),
    primal('jowl', 2.5, 3.5),
    primal('feet', 3, 4),
  ],
  lamb: [
    primal('neck', 2, 5),
    primal('shoulder', 22, 27),
    primal('foreshank', 3, 4),
    primal('breast', 8, 11),
    primal('rack', 7, 9),
    primal('loin', 8, 11),
    primal('flank', 2, 4),
    primal('leg', 31, 35),
    primal('inside', 3, 5),
  ],
};

/** Beside the outer part of their band for a reason that `docs/figures.md` tells. */
const WITH_A_REASON = [
  'foreshank',
  'chuck roll',
  'ribeye',
  'strip',
  'top butt',
  'flat',
  'knuckle',
  'loin',
  'rack',
];
const OUTER_PART = 0.2;

describe.each(Object.entries(BANDS))('the atlas of a %s', (id, bands) => {
  const { atoms } = speciesById(id).atlas;

  it.each(bands.map((band) => [band.name, band] as const))(
    '%s has its usual share of the side',
    (name, band) => {
      const own = atoms.filter(
        (atom) => band.of.includes(atom.id) || band.of.includes(`primal ${atom.primal}`),
      );
      expect(own.length).toBeGreaterThan(0);
      const share = own.reduce((sum, atom) => sum + atom.sharePct, 0);
      const [least, most] = band.pct;
      expect([share >= least, share <= most, share]).toEqual([true, true, share]);
      const outer = OUTER_PART * (most - least);
      const isAtEdge = share < least + outer || share > most - outer;
      expect(isAtEdge && !WITH_A_REASON.includes(name)).toBe(false);
    },
  );
});
