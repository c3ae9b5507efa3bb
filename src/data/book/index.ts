export {
  allShareIds,
  animalIdsOf,
  bookedWith,
  nextOrderNumber,
  shareIdsOfAnimal,
  shareIdsOfPerson,
  sideById,
  writeAnimal,
  writeShare,
  writeSide,
  type Booked,
} from './orders';
export { addContact, peopleNamed, writePerson } from './people';
