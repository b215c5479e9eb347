import { cautions as texts } from '#words/en/places/ui/words/cautions';
/** What is said of a product that can hurt, by its caution. */
export const cautionWords = {
  dust: texts.dustWearAMaskDamp,
  caustic: texts.burnsSkinAndEyesGloves,
  oxidiser: texts.feedsFireKeepItDry,
  '': '',
} as const;
