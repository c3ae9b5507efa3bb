import { formatMoney } from '../quantity/money';
import { formatWeight, type Weight } from '../quantity/weight';
import { ownOf } from '../shares/own';
import { dayWords, daysAfter } from '../time/shopTime';
import { animalWords, cutName, partWords } from './naming';
import { answerBy } from './noAnswer';
import type { ShareFile } from './shareFile';
import { coldSides, coldWeight, estimateOf, openQuestions } from './standing';

/** What a household is told when its share is booked; every line stands by itself. */
export type Confirmation = {
  readonly shopName: string;
  readonly title: string;
  readonly booked: readonly string[];
  readonly stillToDo: readonly string[];
  readonly costs: readonly string[];
  readonly cautions: readonly string[];
};

/** The confirmation of a share, as its file stands. */
export function confirmationOf(file: ShareFile): Confirmation {
  const { shop, share, animal, situation, rules } = file;
  const about = coldSides(file).basis === 'cold' ? '' : 'about ';
  const own = ownOf(coldWeight(file), share, file.together) as Weight;
  const block = daysAfter(animal.killDate, situation.species.hang.targetDays);
  return {
    shopName: shop.name,
    title: `Order ${share.number}: ${share.owner.name}, ${partWords(file)} of ${animalWords(file)}`,
    booked: [
      `${partWords(file)} of a ${situation.species.name.toLowerCase()}, tag ${animal.tag}, raised by ${animal.farm.name}.`,
      `Killed on ${dayWords(animal.killDate)}; cut about ${dayWords(block)}.`,
      `It hangs with ${about}${formatWeight(own, 0)} ${shop.unit}; less comes home, since bone, fat and water stay behind.`,
      ...(file.together.length > 1
        ? [`Cut as one: ${cutName(file)}; the packages are shared out fairly.`]
        : []),
      ...(share.payer.id === share.owner.id ? [] : [`${share.payer.name} pays.`]),
    ],
    stillToDo: stillToDo(file, answerBy(file)),
    costs: costs(file),
    cautions: [
      animal.inspection === 'inspected'
        ? 'The animal is inspected.'
        : 'Custom meat is for your own household, never for sale. The share must be yours before the animal is killed.',
      `Boxes may wait ${rules.storageDays} days once they are ready; bring something that keeps them cold.`,
      'Raw meat: keep it frozen, thaw it in the refrigerator, cook it through.',
    ],
  };
}

function stillToDo(file: ShareFile, sheetBy: string): string[] {
  const open = file.sheet ? openQuestions(file).filter((finding) => finding.blocks) : [];
  const by = `by ${dayWords(sheetBy)}`;
  const otherwise =
    file.rules.noAnswer.does === 'house'
      ? 'If we cannot reach you by then, we cut it our usual way.'
      : 'We cut nothing without your sheet.';
  const sheet = !file.sheet
    ? [`Tell us how you want it cut ${by}. ${otherwise}`]
    : open.length > 0
      ? [
          `Answer ${open.length === 1 ? 'one question' : `${open.length} questions`} about your sheet ${by}: ${open[0]!.sentence}`,
        ]
      : [`Look your sheet over ${by}; ring us if anything is not as you want it.`];
  return file.share.contact.phone ? sheet : [...sheet, 'Give us a telephone number: we have none of yours.'];
}

function costs(file: ShareFile): string[] {
  const { sign } = file.priceList;
  const bill = estimateOf(file);
  const deposit = file.share.deposit > 0 ? [`Deposit paid: ${formatMoney(file.share.deposit, sign)}.`] : [];
  return [
    `About ${formatMoney(bill.total, sign)} by ${file.priceList.name}, in force from ${file.priceList.effectiveFrom}: it is worked out again by what is weighed.`,
    ...deposit,
  ];
}

/** The same in one short message for a telephone. */
export function confirmationText(file: ShareFile): string {
  const { shopName, stillToDo: still } = confirmationOf(file);
  return `${shopName}: ${partWords(file)} of ${animalWords(file)} is booked for ${file.share.owner.name}, kill day ${dayWords(file.animal.killDate)}. ${still[0]}`;
}
