import { type Filling, line, place } from '#words/place';

export const pottingPage = place('potting/potting-page', {
  whatARootBallFeels: 'What a root-ball feels in its new pot: both water lines, and what goes in around it.',
  whatGoesIntoWhat: 'What goes into what',
  outOf: 'Out of',
  itsMix: 'Its mix',
  newPot: 'New pot',
  newMix: 'New mix',
  setDeeperThanItStood: 'Set deeper than it stood by',
  theOldBallIs: 'The old ball is',
  howDryItIs: 'How dry it is',
  fedLaterFromTheTop: 'Fed later from the top',
  topDressing: 'Top dressing',
  inTheNewPot: 'In the new pot',
  thatCannotBe: (says: Filling) => line`That cannot be: ${says}.`,
  outlinedTheOldBallThe:
    'Outlined: the old ball. The dark broken line is where it stood soaked on its own foot; the white one is where the new pot stays saturated.',
  where: 'Where',
  air: 'Air',
  water: 'Water',
  steps: 'Steps',
  enterThePottingWithThe: 'Enter the potting with the plants',
  atRestThePullIs:
    'At rest the pull is the same on both sides of the joint, and nil at the foot of the new pot: the ball is computed at its new heights. Roots, which fill pores, are not.',
  fineInCoarseTheBall:
    'Fine in coarse: the ball stays wetter than what is around it. Roots are slow to leave it, and its foot is the last to dry: let it dry somewhat between waterings.',
  coarseInFineTheNew:
    'Coarse in fine: the new mix holds more and draws the ball dry first. For the first two weeks water onto the ball itself, not beside it.',
  bothHoldAboutTheSame: 'Both hold about the same water at these heights: roots feel no edge.',
  moist: 'Moist',
  dry: 'Dry',
  wilting: 'Wilting',
  theUsualOne: (name: Filling) => line`the usual one: ${name}`,
  theDepthMustBe: (allowed: Filling) => line`the depth must be ${allowed}`,
  stillShort: ': still short',
  inTheNewPotThe: (after: Filling, before: Filling, stillShort: Filling) =>
    line`In the new pot the old ball has ${after} % of air; on its own foot it had ${before} %${stillShort}.`,
  theBallOnItsOwn: 'The ball on its own foot',
  theBallInTheNew: 'The ball in the new pot',
  theWholePotOfNew: 'The whole pot of new mix',
  stopThisPotHasNo:
    'Stop: this pot has no holes. It fills up from the foot, and the plants drown whatever the mix: make holes first.',
  deepUpToTheFirst: (name: Filling) =>
    line`${name}: deep, up to the first true leaves; roots grow from the stem.`,
  atItsOldLevelNo: (name: Filling) =>
    line`${name}: at its old level, no deeper; the stem rots where it is buried.`,
  atPotting: 'at potting',
  aboutDayAfterPottingWhen: (day: Filling) => line`about day ${day} after potting, when Today calls for feed`,
  theyWouldTakeMoreBut: '; they would take more, but no more is given at once',
});
