import { steps } from '#words/en/steps';
import { movers, origins, sums, terms } from '#words/en/sums';
import { causes } from '#words/en/causes';
import { events } from '#words/en/events';
import { results } from '#words/en/results';
import { care } from '#words/en/care';
import { season } from '#words/en/season';
import { corrections } from '#words/en/corrections';
import { links } from '#words/en/links';
import { approaches } from '#words/en/approaches';
import { tests } from '#words/en/tests';
import { allowed } from '#words/en/allowed';
import { figures } from '#words/en/figures';
import { jars } from '#words/en/jars';
import { costs } from '#words/en/costs';
import { labelSizes } from '#words/en/label-sizes';
import { rests } from '#words/en/rests';
import { weathers } from '#words/en/weathers';
import { usual } from '#words/en/usual';
import { advise } from '#words/en/advise';
import { rules } from '#words/en/rules';
import { type Catalog } from '#words/catalog';

/** English. */
export const en: Catalog = {
  ...steps,
  ...sums,
  ...terms,
  ...origins,
  ...movers,
  ...causes,
  ...events,
  ...results,
  ...season,
  ...tests,
  ...approaches,
  ...links,
  ...corrections,
  ...care,
  ...usual,
  ...rules,
  ...advise,
  ...allowed,
  ...jars,
  ...rests,
  ...figures,
  ...costs,
  ...weathers,
  ...labelSizes,
};
