import { type Stores } from '#server/kept/stores';
import { type PlantingPage } from '#contract/plants';
import { called } from '#core/plants/care';
import { type Planting } from '#core/plants/planting';
import { notFound } from '#server/base/http/problem';
import { type Ledger } from '#server/book/tub/ledger';
import { type PlantStates } from '#server/book/plants/plant-states';

/** One planting with all that is known of it: its events, its kin, the lots of its mix. */
export class PlantingPages {
  constructor(
    private readonly stores: Stores,
    private readonly states: PlantStates,
    private readonly ledger: Ledger,
  ) {}

  page(id: number): PlantingPage {
    const planting = this.stores.plants.one(id);
    if (!planting) throw notFound('planting', id);
    const events = this.stores.plantEvents.of(id);
    const kept = events.map(({ id: number, at, event }) => ({ ...event, id: number, at }));
    const [line] = this.states.lines([planting]);
    const named = (each: Planting): string =>
      called(each, this.stores.crops.byId().get(each.crop) ?? { name: each.crop });
    const kin: PlantingPage['kin'] = planting.from.flatMap(({ planting: parent, plants }) => {
      const each = this.stores.plants.one(parent);
      return each ? [{ id: each.id, name: named(each), way: 'from' as const, plants }] : [];
    });
    for (const child of this.stores.plants.childrenOf(id))
      kin.push({
        ...{ id: child.id, name: named(child), way: 'to' },
        plants: child.from.find((each) => each.planting === id)?.plants ?? 0,
      });
    const lots = planting.batch === null ? [] : this.lotsOf(planting.batch);
    return {
      ...line!,
      events: events.map(({ id: number, at, event, key }) => ({
        id: number,
        at,
        event,
        ...(key && { key }),
      })),
      allCare: this.states.allCare(planting, kept),
      since: this.states.vesselSince(planting),
      roomDays: this.states.roomDays(planting, this.stores.crops.byId().get(planting.crop)),
      keeping: this.stores.keepings.ownOf(id),
      ...{ kin, lots },
      vesselsOut: this.vesselsOut(id),
      topUpLitres: this.ledger.topUpLitres(planting),
    };
  }

  /** What it is called, and what it stands in. */
  namesOf(planting: Planting): [name: string, vessel: string] {
    const crop = this.stores.crops.byId().get(planting.crop) ?? { name: planting.crop };
    const vessel = this.stores.library.library().vessels.get(planting.vessel)?.name ?? planting.vessel;
    return [called(planting, crop), vessel];
  }

  private vesselsOut(planting: number): PlantingPage['vesselsOut'] {
    const { lots } = this.stores;
    const back = new Map(lots.backFromPlanting(planting).map(({ lot, amount }) => [lot, amount]));
    return lots.outWithPlanting(planting).map(({ lot, amount }) => ({
      ...{ lot, amount, back: back.get(lot) ?? 0 },
      name: lots.one(lot)!.name,
    }));
  }

  private lotsOf(batch: number): PlantingPage['lots'] {
    const byItem = new Map<string, number>();
    for (const { data } of this.stores.record.ofBatch('lot', batch))
      if (data.kind === 'lot') byItem.set(data.item, data.lot);
    return [...byItem.values()].flatMap((id) => {
      const lot = this.stores.lots.one(id);
      return lot ? [{ id, name: lot.name, item: lot.item }] : [];
    });
  }
}
