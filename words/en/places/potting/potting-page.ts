import { type Filling, line, place } from '#words/place';

export const pottingPage = place('potting/potting-page', {
  aRootBallInIts: 'A root-ball in its new pot: both water lines, and what goes in around it.',
  whatGoesIntoWhat: 'What goes into what',
  outOf: 'Out of',
  itsMix: 'Its mix',
  newPot: 'New pot',
  newMix: 'New mix',
  setDeeperThanItStood: 'Set deeper than before by',
  theOldBallIs: 'The old ball is',
  howDryItIs: 'How dry it is',
  fedLaterFromTheTop: 'Fed later from the top',
  topDressing: 'Top dressing',
  aLayerOnTop: 'A layer on top',
  ofWhat: 'Of which',
  mulch: 'mulch',
  thick: 'Thick',
  layTop: (mm: Filling, what: Filling, each: Filling, all: Filling, count: Filling) =>
    line`Lay ${mm} of ${what} on top: ${each} a pot, ${all} for ${count} pots.`,
  inTheNewPot: 'In the new pot',
  notPossible: (says: Filling) => line`Not possible: ${says}.`,
  outlinedTheOldBallThe:
    'Outlined: the old ball. Dark broken line: where it stood saturated in its old vessel. White line: where the new pot stays saturated.',
  aBlockIsJudgedDried:
    'A pressed block is full of water right after watering. Its air is given after the first drying, once half of its easily available water has gone.',
  where: 'Where',
  air: 'Air',
  water: 'Water',
  steps: 'Steps',
  enterItAsAPlanting: 'Enter it as a planting',
  atRestThePullIs:
    'At rest the pull is equal on both sides of the joint. At the bottom of the pot it is zero. So the ball is computed at its new heights. Roots, which fill pores, are left out.',
  fineInCoarseTheBall:
    'Fine in coarse: the ball stays wetter than the mix around it. Roots are slow to leave it, and its bottom dries last. Let it dry somewhat between waterings.',
  coarseInFineTheNew:
    'Coarse in fine: the new mix holds more and draws the ball dry first. For the first two weeks water onto the ball itself, not beside it.',
  bothHoldAboutTheSame: 'Both hold about the same water at these heights: roots feel no edge.',
  moist: 'Moist',
  dry: 'Dry',
  wilting: 'Wilting',
  theUsualOne: (name: Filling) => line`the usual one: ${name}`,
  stillShort: ': still too little',
  inTheNewPotThe: (after: Filling, before: Filling, stillShort: Filling) =>
    line`In the new pot the old ball has ${after} % air; in its old vessel it had ${before} %${stillShort}.`,
  theBallInItsOld: 'The ball in its old vessel',
  theBallInTheNew: 'The ball in the new pot',
  theWholePotOfNew: 'The whole pot of new mix',
  stopThisPotHasNo:
    'Stop: this pot has no holes. It fills up with water, and the plants drown in any mix. Make holes first.',
  deepUpToTheFirst: (name: Filling) =>
    line`${name}: deep, up to the first true leaves; roots grow from the stem.`,
  atItsOldLevelNo: (name: Filling) =>
    line`${name}: at its old level, no deeper; the stem rots where it is buried.`,
  atPotting: 'at potting',
  aboutDayAfterPottingWhen: (day: Filling) => line`about day ${day} after potting, when Today calls for feed`,
  theyWouldUseMoreBut: '; they would use more, but no more is given at once',
  waterTheOldBalls: (thirst: Filling) =>
    line`Half an hour ahead water the old balls: each takes about ${thirst}.`,
  soakTheOldBalls: (thirst: Filling) =>
    line`Soak the old balls first, until no bubbles rise: each takes about ${thirst}. A dry ball in wet mix stays dry for days: water runs around it.`,
  ballOnTheBottom: 'The ball stands on the bottom of the pot: nothing goes under it.',
  fillBelow: (volume: Filling, depth: Filling) => line`Fill ${volume} into each pot: ${depth} deep.`,
  setThePlant: (each: Filling, all: Filling, pots: Filling) =>
    line`Set the plant, and fill around it: ${each} a pot, so ${all} of new mix for ${pots} pots.`,
  pressLightly: (headspace: Filling) =>
    line`Press lightly at the edge to close air pockets. Leave ${headspace} free below the rim for water.`,
  tooFewPots: 'Too few of this pot',
  potsThere: 'Of this pot there are',
  otherPot: 'And',
  othersThere: 'Of those there are',
  largestInto: (plants: Filling, pot: Filling) =>
    line`The ${plants} largest, or those planted out last, go into the ${pot}.`,
  restInto: (plants: Filling, pot: Filling) => line`The other ${plants} go into the ${pot}.`,
  withoutPot: (plants: Filling) => line`${plants} have no pot.`,
  noRepotting: 'The mix itself lasts three years or more. Repot when roots fill the pot.',
  repotFrom: (early: Filling) =>
    line`After ${early} at the earliest it has sunk by a fifth, or lacks air: then repot it.`,
  months: (months: Filling) => line`${months} months`,
  repotAbout: (early: Filling) =>
    line`After about ${early} it has sunk by a fifth, or lacks air: then repot it.`,
  repot: (early: Filling, late: Filling) =>
    line`After ${early} to ${late} months it has sunk by a fifth, or lacks air: then repot it.`,
  settleIt: 'Settle it with a soft rose until the top is smooth, and top up where it sinks.',
  noTopDressing: (product: Filling, weeks: Filling) =>
    line`The new mix feeds them for ${weeks} weeks: no ${product} on top.`,
  layOnTop: (product: Filling, mass: Filling, when: Filling, most: Filling) =>
    line`${product}: ${mass} a pot ${when}, scattered clear of the stem and watered in${most}. Its label decides.`,
  narrow: (width: Filling) => line`Only ${width} of new mix beside the ball: a wider pot is easier to fill.`,
  wide: (times: Filling) =>
    line`The pot is ${times} times the ball: mix without roots stays wet for long. Water around the ball only, or pot up in two steps.`,
  wallsBreathe: (times: Filling) =>
    line`Its walls breathe: it dries from all sides, about ${times} times as fast as a closed pot.`,
  wetFibrePots:
    'Wet the fibre pots through before they are filled. At planting tear off the bottom and the rim, which draws water out of the ground.',
  usedPots: 'Used pots are washed and disinfected first: wear gloves, follow the label of the product.',
});
