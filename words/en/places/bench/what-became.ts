import { type Filling, line, many, place } from '#words/place';

export const whatBecame = place('bench/what-became', {
  whatBecameOfIt: 'What became of it',
  version: ', version ',
  whatWouldYouChange: 'What would you change?',
  against: (name: Filling) => line`against: ${name}`,
  itWouldDo: (does: Filling) => line`It would do: ${does}.`,
  openIt: 'Open it',
  noChangeOfTheMix: 'No change of the mix would help without harming something else.',
  wasExpectedAndReadTest: (name: Filling, what: Filling, fixed: Filling, fixed2: Filling) =>
    line`${name}: ${what} ${fixed} was expected and ${fixed2} was read. Test its materials and your water before changing the mix.`,
  against2: (what: Filling, name: Filling, says: Filling) => line`${what}, against “${name}”${says}`,
  limeToPh: (fixed: Filling) => line`Lime to pH ${fixed}`,
  moreOf: (parts: number, named: Filling) => line`${parts} more ${many(parts, 'part', 'parts')} of ${named}`,
  anotherRecipe: 'Another recipe',
});
