import { type Filling, line, place } from '#words/place';

export const packets = place('plants/packets', {
  packet: 'Packet of seed',
  seedsLeft: (left: Filling) => line`${left} seeds left`,
});
