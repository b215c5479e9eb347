import { place } from '#words/place';

export const api = place('data/api', {
  welcomesServerDoesNotAnswer: 'Welcome’s server does not answer. Is it still running?',
  theAnswerCannotBeRead: 'The answer cannot be read.',
});
