import { place } from '#words/place';

export const cautions = place('ui/words/cautions', {
  dustWearAMaskDamp: 'Dust: wear a mask, damp it down, keep it out of eyes.',
  burnsSkinAndEyesGloves: 'Burns skin and eyes: wear gloves and goggles, follow its label.',
  feedsFireKeepItDry: 'Feeds fire: keep it dry and away from anything that burns, follow its label.',
});
