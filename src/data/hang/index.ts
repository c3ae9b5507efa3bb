export { ticketsOfSides, writeSideWeight } from './sideWeights';
