import { type Evaluation } from '#core/mix/evaluate';
import { type Dose } from '#core/mix/ph';

/** Every feed that is in it, dosed or come with a part. */
export const feedsIn = ({ doses, carried }: Evaluation): Dose[] => [...doses, ...carried];

/** A warm house, °C: what feeds are reckoned at where nobody says. Common practice, no source. */
export const WARM_HOUSE_C = 20;
