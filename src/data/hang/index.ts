export {
  foundById,
  foundOnSides,
  isWithdrawn,
  photoById,
  writeFound,
  writePhoto,
  writeWithdrawal,
} from './found';
export { ticketsOfSides, writeSideWeight } from './sideWeights';
export { deepTemperaturesOf, writeDeepTemperature } from './deepTemperatures';
export { quartersOfSides, writeLiveWeight, writeQuarterWeight } from './quarters';
export { railEventsOf, writeRailEvent } from './railEvents';
