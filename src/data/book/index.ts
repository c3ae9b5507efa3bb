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
  animalIdsOf,
  beginUnder,
  bookedWith,
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
export { addContact, peopleNamed, writePerson } from './people';
