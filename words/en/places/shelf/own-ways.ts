import { place } from '#words/place';

export const ownWays = place('shelf/own-ways', {
  somethingOfYourOwn: 'Something of your own',
  howYouEnterIt: 'How you enter it',
  likeAnotherBut: 'Like another, but…',
  aBagOfMix: 'A bag of mix',
  aMixOfOurs: 'A mix of ours',
});
