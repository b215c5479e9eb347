import { place } from '#words/place';

export const seasonStrip = place('season/season-strip', {
  theSeasonWeekByWeek: 'The season, week by week',
  firstVessel: 'first vessel',
  afterPottingOn: 'after potting on',
  begun: 'begun',
  mixingDay: 'mixing day',
  lastFrostEarlyToLate: 'last frost, early to late',
  today: 'today',
});
