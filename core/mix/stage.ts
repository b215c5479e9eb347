export const stages = ['germination', 'rooting', 'seedling', 'potting'] as const;
/** What the mix is for. */
export type Stage = (typeof stages)[number];
