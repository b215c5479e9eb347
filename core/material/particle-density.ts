import { checkRange } from '#core/units/check';

/** Particle density from ash, g/L: 1/(W_om/1550 + W_ash/2650), EN 13041. @param ash fraction of the dry mass, 0–1 */
export function particleDensityGPerL(ash: number): number {
  checkRange('ash', ash, 0, 1);
  return 1000 / ((1 - ash) / 1.55 + ash / 2.65);
}
