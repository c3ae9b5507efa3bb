export {
  cancellationsOf,
  correctAnimal,
  correctionsOf,
  correctPerson,
  correctShare,
  writeCancellation,
  writeCorrection,
} from './changes';
export {
  allShareIds,
  animalRow,
  animalIdsOf,
  beginUnder,
  bookedWith,
  isBooked,
  lastSharesOf,
  nextOrderNumber,
  shareRow,
  shareIdsOfAnimal,
  shareIdsOfPerson,
  sideById,
  writeAnimal,
  writeShare,
  writeSide,
  type Booked,
} from './orders';
export {
  addContact,
  latestPeople,
  mergePeople,
  peopleHolding,
  peopleNamed,
  personById,
  writeNotes,
  writePerson,
} from './people';
export { latestMessages, writeMessages } from './messages';
