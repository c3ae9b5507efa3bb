import fc from 'fast-check';
import { anyOrderOf } from '../tests/anySheet';
import { allSpecies } from '../tests/catalogue';
import { readSheet } from './document';
import { sheetOut } from './orderOut';

it.each(allSpecies().map((species) => [species.id, species] as const))(
  'a sheet of %s that is written to a file and read again is the same sheet',
  (_, species) => {
    fc.assert(
      fc.property(anyOrderOf(species), ({ situation, sheet }) => {
        const written = JSON.parse(JSON.stringify(sheetOut(sheet, situation)));
        const { sheet: read } = readSheet(written, situation, situation.unit);
        expect(read).toEqual(sheet);
      }),
      { numRuns: 60, seed: 77 },
    );
  },
);
