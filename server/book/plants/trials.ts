import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { type Stores } from '#server/kept/stores';
import { randomUUID } from 'node:crypto';
import { type NewTrial, type Trial } from '#contract/plants';
import { tallyOf } from '#core/plants/planting';
import { layOut } from '#core/plants/trial';
import { OutOfRange } from '#core/units/check';
import { notFound } from '#server/base/http/problem';
import { type PlantEntries } from '#server/book/plants/plant-entries';

/** Trials with their trays, as they were laid out and counted. */
export class Trials {
  constructor(
    private readonly stores: Stores,
    private readonly entries: PlantEntries,
  ) {}

  add({ packet, ...given }: NewTrial, now: string): Trial {
    this.entries.checkPlace({ ...given, batch: null, season: null, seedLot: packet });
    const seed = given.seedLot || (packet === null ? '' : this.stores.lots.one(packet)!.item.slice(0, 60));
    given.arms.forEach(({ batch }, i) => {
      if (batch !== null && !this.stores.batches.one(batch))
        throw new OutOfRange(`arms.${i}.batch`, batch, allow('allowed.batch-there', none));
    });
    return this.stores.plants.within(() => {
      const id = this.stores.trials.add(given, now);
      for (const { block, arm } of layOut(given.seed, given.arms.length, given.blocks))
        this.entries.begin(
          {
            ...{
              key: randomUUID(),
              start: 'sow',
              crop: given.crop,
              seed,
              vessel: given.vessel,
            },
            ...{ cells: given.cells, perCell: given.perCell, batch: given.arms[arm]!.batch, on: given.on },
            ...{
              bareRoot: false,
              halfFilled: false,
              season: null,
              seedLot: packet,
              from: [],
              trial: { id, arm, block },
            },
            name: `${given.name}, ${given.arms[arm]!.name}, block ${block}`.slice(0, 60),
          },
          now,
        );
      return this.one(id);
    });
  }

  one(id: number): Trial {
    const trial = this.stores.trials.one(id);
    if (!trial) throw notFound('trial', id);
    const plantings = this.stores.plants.traysOf(id);
    const events = this.stores.plantEvents.countsOf(plantings.map((each) => each.id));
    const laid = layOut(trial.seed, trial.arms.length, trial.blocks);
    return {
      ...trial,
      trays: plantings.map((planting) => {
        const { arm, block } = planting.trial!;
        const { begun, entered, alive } = tallyOf(planting, events.get(planting.id) ?? []);
        const { place } = laid.find((trialTray) => trialTray.arm === arm && trialTray.block === block)!;
        const key = this.stores.plants.keyOf(planting.id);
        return { planting: planting.id, key, block, place, arm, begun, alive, up: entered };
      }),
    };
  }
}
