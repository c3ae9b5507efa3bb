import type { ShareFile } from './shareFile';

type Named = { readonly share: Pick<ShareFile['share'], 'owner' | 'part' | 'sharePct'> };

/** A side that two households divide fairly, as the trade says it. */
const QUARTER_OF_A_SIDE_PCT = 50;

/** `left half`, `whole`, `left fore quarter`, `mixed quarter, left`, `30 % of the whole`. */
export function partWords({ share: { part, sharePct } }: Named): string {
  const words =
    part === 'whole' ? 'whole' : part.includes('-') ? `${part.replace('-', ' ')} quarter` : `${part} half`;
  if (sharePct === 100) return words;
  const isSide = part === 'left' || part === 'right';
  if (isSide && sharePct === QUARTER_OF_A_SIDE_PCT) return `mixed quarter, ${part}`;
  return `${Math.round(sharePct * 100) / 100} % of the ${words}`;
}

/** `Ferrand, left half`: how people name a share. */
export function shareName(file: Named): string {
  return `${file.share.owner.name}, ${partWords(file)}`;
}

/** `Wray and Lane, left half`: everybody whose meat is cut as one. */
export function cutName({ share, together }: Pick<ShareFile, 'share' | 'together'>): string {
  if (together.length === 1) return shareName({ share });
  const names = together.map(({ owner }) => owner.name);
  const whole = partWords({ share: { ...share, sharePct: 100 } });
  return `${names.slice(0, -1).join(', ')} and ${names.at(-1)}, ${whole}`;
}

/** `hog H112 from Low Tarn` */
export function animalWords({ situation, animal }: Pick<ShareFile, 'situation' | 'animal'>): string {
  return `${situation.species.name.toLowerCase()} ${animal.tag} from ${animal.farm.name}`;
}
