import { type Filling, line, place } from '#words/place';

export const verdictLine = place('mix/answer/verdict-line', {
  chanceThatItStaysSo: 'In range now; chance that it stays so:',
  chanceThatAllIsIn: 'Chance that all is in range:',
  asMaterialsScoopsAndLime: (draws: Filling) =>
    line`Materials, scoops and lime vary: ${draws} such batches tried.`,
  mendIt: 'Mend it',
  doIt: 'Do it',
});
