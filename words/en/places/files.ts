import { place } from '#words/place';

/** Where a thing of the nursery's own comes from, when a table brought it. */
export const fromATable = place('from-a-table', { source: 'yours, from a table' });
