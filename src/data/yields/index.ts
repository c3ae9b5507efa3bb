export { closedWithoutYield, writeYields, yieldRows, YIELDS_VERSION } from './yields';
