import { place } from '#words/place';

export const cautions = place('ui/words/cautions', {
  dustMaskOnDampIt: 'Dust: mask on, damp it down, keep it out of eyes.',
  burnsSkinAndEyesGloves: 'Burns skin and eyes: gloves and goggles, its label first.',
  feedsFireKeepItDry: 'Feeds fire: keep it dry and away from what burns, its label first.',
});
