import { type Filling, line, place } from '#words/place';

export const ownTests = place('mix/tests/own-tests', {
  yourOwnTestsOfThis: 'Your own tests of this mix',
  inUse: ' in use',
  noneYetEachOneSharpens: 'none yet: each one narrows the readings',
  ecTakenBy: 'EC taken by',
  inUsePhBeforeLime: (number: Filling, number2: Filling) =>
    line`In use: pH ${number} before lime, buffer ${number2} meq/L per pH.`,
  deleteTheseTests: 'Delete these tests',
  scoopedInAllAnyUnit: 'Scooped in all, any unit',
  settledToSameUnit: 'Settled to, same unit',
  airAfterDraining: 'Air after draining',
  phByPenAWeek: 'pH by pen, a week after liming',
  ecByPen: 'EC by pen',
  itMustSettleToBetween: (settled: Filling, scooped: Filling, value: Filling) =>
    line`It must settle to between half and all of what was scooped; ${settled} of ${scooped} is ${value} %`,
});
