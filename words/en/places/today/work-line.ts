import { type Filling, line, place } from '#words/place';

export const workLine = place('today/work-line', {
  done: 'Done',
  of: (press: Filling, what: Filling) => line`${press}: ${what}`,
  notNow: (what: Filling) => line`Not now: ${what}`,
  notToday: 'Not today',
  notAtAll: 'Not at all',
  goOn: 'Go on',
  makeIt: 'Make it',
  sow: 'Sow',
  strike: 'Strike',
  pot: 'Pot',
  testIt: 'Test it',
  ph: 'pH read',
  counted: 'Counted',
  begun: 'begun',
  mixOf: (amount: Filling, name: Filling) => line`Mix ${amount} of ${name}`,
  partly: (filled: Filling, of: Filling, isPotting: boolean, left: Filling) =>
    line`${filled} of ${of} ${isPotting ? 'potted' : 'done'}, ${left} to do`,
  until: (day: Filling) => line`until ${day}`,
  fedAsDue: 'The feed that was due',
  isDone: (what: Filling) => line`Done: ${what}.`,
  isTomorrow: (what: Filling) => line`Told again tomorrow: ${what}.`,
  isOff: (what: Filling) => line`Not told again: ${what}.`,
  notNoted: (message: Filling) => line`Not noted: ${message}`,
});
