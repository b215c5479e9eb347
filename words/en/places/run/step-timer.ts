import { type Filling, line, place } from '#words/place';

export const stepTimer = place('run/step-timer', {
  startMin: (minutes: Filling) => line`Start ${minutes} min`,
  stopTheClock: 'Stop the clock',
  timeIsUp: 'Time is up',
});
