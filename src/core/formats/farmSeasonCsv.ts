import { formatWeight, type WeighingUnit } from '../quantity/weight';
import { PACES, type FarmSpeciesYear, type Remembered } from '../yields/farmSeason';
import { writeCsv } from './csv';

type Of = Pick<FarmSpeciesYear, 'cuts'> & {
  readonly name: string;
  readonly remembered: readonly Remembered[];
};

/** A farm's season as CSV, a cut a row: packs and weight over the year, with what the farm remembers of it. */
export function writeFarmSeason(species: readonly Of[], unit: WeighingUnit): string {
  const rows = species.flatMap(({ name, cuts, remembered }) =>
    cuts.map(({ cut, destination, shares, packs, weight }) => {
      const said = remembered.find((each) => each.cut === cut);
      return {
        species: name,
        cut,
        destination,
        shares: String(shares),
        packs: String(packs),
        [`weight_${unit}`]: formatWeight(weight, 3),
        sold: said?.pace ? PACES[said.pace] : '',
        note: said?.note ?? '',
      };
    }),
  );
  const columns = ['species', 'cut', 'destination', 'shares', 'packs', `weight_${unit}`, 'sold', 'note'];
  return writeCsv(columns, rows);
}
