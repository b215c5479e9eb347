import { type Db } from '#server/base/database/db';
import { Folder } from '#server/base/database/folder';
import { AboutStore } from '#server/kept/about';
import { BatchStore } from '#server/kept/batches';
import { DeskStore } from '#server/kept/desk';
import { DeviceStore } from '#server/kept/devices';
import { LibraryStore } from '#server/kept/library/library';
import { OwnStore } from '#server/kept/library/own';
import { LotStore } from '#server/kept/lots';
import { MeasureStore } from '#server/kept/measures';
import { MixStore } from '#server/kept/mixes';
import { Calendar } from '#server/kept/nursery/calendar';
import { Keepings } from '#server/kept/nursery/keepings';
import { Windows } from '#server/kept/nursery/windows';
import { OrderStore } from '#server/kept/orders';
import { PictureStore } from '#server/kept/plants/pictures';
import { PlantEventStore } from '#server/kept/plants/plant-events';
import { PlantStore } from '#server/kept/plants/plants';
import { TrialStore } from '#server/kept/plants/trials';
import { RecordStore } from '#server/kept/record';
import { CropStore } from '#server/kept/season/crops';
import { SeasonStore } from '#server/kept/season/season';
import { ShelfStore } from '#server/kept/shelf';
import { WaterStore } from '#server/kept/waters';

/** One of each thing that is kept, on one database, and the clock that they go by. */
export interface Stores {
  db: Db;
  now: () => Date;
  folder: Folder;
  calendar: Calendar;
  windows: Windows;
  keepings: Keepings;
  about: AboutStore;
  library: LibraryStore;
  own: OwnStore;
  shelf: ShelfStore;
  lots: LotStore;
  orders: OrderStore;
  measures: MeasureStore;
  waters: WaterStore;
  mixes: MixStore;
  batches: BatchStore;
  record: RecordStore;
  crops: CropStore;
  season: SeasonStore;
  plants: PlantStore;
  plantEvents: PlantEventStore;
  trials: TrialStore;
  pictures: PictureStore;
  desk: DeskStore;
  devices: DeviceStore;
}

export function storesOf(db: Db, now: () => Date): Stores {
  const folder = new Folder(db);
  const mixes = new MixStore(db);
  return {
    ...{ db, now, folder, calendar: new Calendar(folder, now), windows: new Windows(folder) },
    keepings: new Keepings(folder),
    ...{ about: new AboutStore(db), library: new LibraryStore(db), own: new OwnStore(db) },
    ...{ shelf: new ShelfStore(db), lots: new LotStore(db), measures: new MeasureStore(db) },
    ...{ waters: new WaterStore(db), mixes, batches: new BatchStore(db, mixes) },
    ...{ record: new RecordStore(db), crops: new CropStore(db), season: new SeasonStore(db, folder) },
    ...{ plants: new PlantStore(db), plantEvents: new PlantEventStore(db) },
    ...{ desk: new DeskStore(db, folder), orders: new OrderStore(db) },
    ...{ trials: new TrialStore(db), pictures: new PictureStore(db), devices: new DeviceStore(db) },
  };
}
