import { listed } from '../quantity/listed';
import { wordsOfPart } from '../shares/unsold';
import type { ShareFile } from './shareFile';

type Part = Pick<ShareFile['share'], 'part' | 'sharePct'>;
type Named = { readonly share: Part & Pick<ShareFile['share'], 'owner'> };

/** A side that two households divide fairly, as the trade says it. */
const QUARTER_OF_A_SIDE_PCT = 50;

/** `left half`, `whole`, `left fore quarter`, `mixed quarter, left`, `30 % of the whole`. */
export function partName({ part, sharePct }: Part): string {
  const words = wordsOfPart(part);
  if (sharePct === 100) return words;
  const isSide = part === 'left' || part === 'right';
  if (isSide && sharePct === QUARTER_OF_A_SIDE_PCT) return `mixed quarter, ${part}`;
  return `${Math.round(sharePct * 100) / 100} % of the ${words}`;
}

/** What of the animal a share is. */
export function partWords({ share }: { readonly share: Part }): string {
  return partName(share);
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
  return `${listed(names)}, ${whole}`;
}

/** `hog H112 from Low Tarn` */
export function animalWords({ situation, animal }: Pick<ShareFile, 'situation' | 'animal'>): string {
  return `${situation.species.name.toLowerCase()} ${animal.tag} from ${animal.farm.name}`;
}
