import { houseOn, type UsualKeeping } from '#core/weeks/usual-keeping';
import { keptSays as texts } from '#words/en/places/ui/words/kept-says';
import { type Formats } from '#words/formats';

/** How something is kept on a day, in one line. @param word what a weather is called */
export function keptSays(
  usual: UsualKeeping,
  day: string,
  { celsius, strength }: Formats,
  word: (code: `weather.${UsualKeeping['house']}`) => string,
): string {
  const { rule } = usual;
  const { house, tempC } = houseOn(usual, day);
  const feed = rule.feedNMgPerL === 0 ? texts.unfed : texts.fed(strength(rule.feedNMgPerL), rule.feedFromDay);
  return texts.kept(word(`weather.${house}`), celsius(tempC), feed);
}
