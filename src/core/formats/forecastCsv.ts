import type { ForecastDocument } from '../order/forecastDocument';
import { writeCsv } from './csv';

/** The lines of a forecast file as CSV, one a row; weights in the unit that the columns name. */
export function writeForecastCsv(document: ForecastDocument): string {
  const { unit } = document;
  const weights = ['packaged', 'low', 'high', 'gross', 'kerf', 'cureLoss'] as const;
  const columns = [
    'tag',
    'species',
    'part',
    'owner',
    'share_pct',
    'key',
    'cut',
    'destination',
    ...weights.map((name) => `${columnOf(name)}_${unit}`),
    'pieces',
    'packs',
    'thickness_in',
  ];
  const rows = document.shares.flatMap((share) =>
    share.lines.map((line) => ({
      tag: document.tag,
      species: document.species,
      part: share.part,
      owner: share.owner,
      share_pct: String(share.sharePct),
      key: line.key,
      cut: line.cut,
      destination: line.destination,
      ...Object.fromEntries(weights.map((name) => [`${columnOf(name)}_${unit}`, line[name].toFixed(3)])),
      pieces: line.pieces === null ? '' : String(line.pieces),
      packs: String(line.packs),
      thickness_in: line.thicknessIn === null ? '' : String(line.thicknessIn),
    })),
  );
  return writeCsv(columns, rows);
}

function columnOf(name: string): string {
  return name === 'cureLoss' ? 'cure_loss' : name;
}
