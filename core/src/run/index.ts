// Runs through time: a store through a day with its draws.

export { type Draw, runStorage, type StorageRun } from './storageDay';
