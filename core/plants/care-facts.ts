import { messages, type MessageOf, type Named } from '#core/units/message';

/** A crop and its sort. */
export interface PlantName {
  crop: Named;
  sort: string;
}

export interface CareFacts {
  'plants.name': PlantName;
  'care.up': { name: PlantName; sown: boolean };
  'care.hardly-up': { name: PlantName; celsius: number; low: number; high: number };
  'care.water': { name: PlantName };
  'care.look': { name: PlantName };
  'care.top-up': { name: PlantName };
  'care.lift': { name: PlantName; weighed: boolean; gonePct?: number };
  'care.feed': { name: PlantName; mixFeeds: boolean };
  'care.pot-up': { name: PlantName };
}
export type CareMessage = MessageOf<CareFacts>;
export const careSays = messages<CareFacts>();
