/** Turns of speech that nobody uses, and words that have a better one: see words.md. */
export const FORBIDDEN = [
  ...[/\bso (much|many) of\b/i, /\bsuch an? /i, /\bwhither\b/i, /\bbears\b/i, /\bstands? among\b/i],
  ...[/\bis told in\b/i, /\breckon(ed|s|ing)?\b/i, /\bfalls? beside\b/i, /\bone that\b/i],
  ...[/\bsourness\b/i, /\bready nitrogen\b/i, /\bMind:/, /weeks to come/i, /\byour hand\b(?!s)/i],
  ...[/which did better/i, /fair trials?\b/i, /\bfew mixes\b/i, /sow, strike/i, /feeds and limes/i],
  ...[/lots and stock/i, /ways? of working/i, /cut through one/i, /stays soaked/i, /\bto spare\b/i],
  ...[
    /so it goes/i,
    /all of it right/i,
    /(recipe|mix) on the bench/i,
    /second best/i,
    /I have another/,
    /say it another way/i,
    /stands here\b/i,
  ],
  ...[/\bkeep it( so)?\b$/i, /\bleave it\b$/i, /^take (it )?out$/i, /\bput (it )?away\b/i],
  ...[/^take (it )?back$/i, /\blet it go\b/i, /\blay (it )?aside\b/i],
] as const;

/** Metric units behind a number; mS/cm, meq and pH are read by both. */
export const METRIC = /\d[\d ]*(?:\.\d+)? ?(?:°C|mm|cm|mL|L|kg|g|g\/L|mg\/L)(?![\w/])/;
