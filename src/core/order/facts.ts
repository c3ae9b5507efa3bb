import type { Person } from './animal';
import type { FactName, Facts } from './changes';
import type { ShareFile } from './shareFile';

type Booked = Pick<ShareFile, 'animal' | 'share'>;

/** What was booked of a share, as words to read and to correct; empty where nothing was said, or "the same". */
export function factsOf({ animal, share }: Booked): Facts {
  const { owner } = share;
  const differing = (person: Person) => (person.id === owner.id ? undefined : person);
  const [payer, contact] = [differing(share.payer), differing(share.contact)];
  return {
    tag: animal.tag,
    sex: animal.sex ?? '',
    killDate: animal.killDate,
    farmName: animal.farm.name,
    farmPhone: animal.farm.phone ?? '',
    ownerName: owner.name,
    ownerPhone: owner.phone ?? '',
    payerName: payer?.name ?? '',
    payerPhone: payer?.phone ?? '',
    contactName: contact?.name ?? '',
    contactPhone: contact?.phone ?? '',
  };
}

export type Change = { readonly field: FactName; readonly was: string; readonly now: string };

/** Which facts are said otherwise than they stand; what is not said stays. */
export function changesOf(standing: Facts, said: Partial<Facts>): Change[] {
  return (Object.keys(standing) as FactName[]).flatMap((field) => {
    const now = said[field]?.trim();
    const was = standing[field];
    return now === undefined || now === was ? [] : [{ field, was, now }];
  });
}
