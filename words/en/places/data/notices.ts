import { type Filling, line, place } from '#words/place';

export const notices = place('data/notices', {
  undone: 'Undone.',
  notUndone: (message: Filling) => line`Not undone: ${message}`,
});
