import { type Request } from 'express';
import { labelSize } from '#core/batch/label-sizes';
import { scoops } from '#core/batch/scoops';
import { stageWord } from '#core/judge/readings';
import { batchOf } from '#server/batches/routes';
import { type BatchStore } from '#server/batches/store';
import { type Api } from '#server/http/serve';
import { benchCard } from '#server/print/card';
import { pdf } from '#server/print/documents';
import { labelSheet } from '#server/print/labels';

/** Where the code on a paper leads. */
const urlOf = (req: Request, id: number): string =>
  `${req.protocol}://${req.get('host') ?? '127.0.0.1'}/batches/${id}`;

/** Cards and labels as PDF, each with a code back to the batch. */
export function printRoutes(api: Api, batches: BatchStore): void {
  api.serve('labels', async ({ params, query, req }) => {
    const batch = batchOf(batches, params.id);
    const text = {
      title: batch.name,
      lines: [
        `Batch ${batch.id}, mixed ${batch.madeOn}`,
        `${batch.mixName ?? 'mix without a name'}, for ${stageWord[batch.snapshot.recipe.stage]}`,
        batch.snapshot.vessel.name,
      ],
      dates: [
        { name: 'Sown', on: query.sown },
        { name: 'Pricked out', on: query.pricked },
        { name: 'Potted', on: query.potted },
      ],
      url: urlOf(req, batch.id),
    };
    return pdf(await labelSheet(labelSize(query.size), text, query.count));
  });
  api.serve('card', async ({ params, query: { units, scoop }, req }) => {
    const batch = batchOf(batches, params.id);
    const { choice } = batch.snapshot;
    const wanted = scoops.find((s) => s.id === (scoop ?? choice.scoop)) ?? choice.measure;
    const counted = wanted?.system === units ? wanted : scoops.find((s) => s.system === units)!;
    return pdf(await benchCard(batch, units, counted, urlOf(req, batch.id)));
  });
}
