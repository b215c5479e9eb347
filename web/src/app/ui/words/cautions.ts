/** What is said of a product that can hurt, by its caution. */
export const cautionWords = {
  dust: 'Dust: mask on, damp it down, keep it out of eyes.',
  caustic: 'Burns skin and eyes: gloves and goggles, its label first.',
  oxidiser: 'Feeds fire: keep it dry and away from what burns, its label first.',
  '': '',
} as const;
