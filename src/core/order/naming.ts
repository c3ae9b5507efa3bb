import type { ShareFile } from './shareFile';

type Named = Pick<ShareFile, 'share'>;

/** `left half`, or `whole`. */
export function partWords({ share }: Named): string {
  return share.part === 'whole' ? 'whole' : `${share.part} half`;
}

/** `Ferrand, left half`: how people name a share. */
export function shareName(file: Named): string {
  return `${file.share.owner.name}, ${partWords(file)}`;
}

/** `hog H112 from Low Tarn` */
export function animalWords({ situation, animal }: Pick<ShareFile, 'situation' | 'animal'>): string {
  return `${situation.species.name.toLowerCase()} ${animal.tag} from ${animal.farm.name}`;
}
