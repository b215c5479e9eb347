import { type Filling, line, place } from '#words/place';

export const jarTest = place('mix/tests/jar-test', {
  jarTestOfYourLime: 'Jar test of your lime',
  phBeforeLimeBufferMeq: (two: Filling, two2: Filling, two3: Filling) =>
    line`pH ${two} before lime, buffer ${two2} meq/L per pH. The jars lie within ${two3} pH of the curve that lime draws.`,
  theseJarsCannotBeUsed: (reason: Filling) => line`These jars cannot be used: ${reason}`,
  fillFiveJars: (volume: Filling) =>
    line`Fill five jars with ${volume} each of this mix without lime. Put in these doses, keep moist, read pH on day 7.`,
  dosePh: (dose: Filling) => line`${dose}, pH`,
});
