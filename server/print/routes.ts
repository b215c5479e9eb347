import { Router, type Request } from 'express';
import { z } from 'zod';
import { labelSize, labelSizes } from '#core/batch/label-sizes';
import { scoops } from '#core/batch/scoops';
import { stageWord } from '#core/judge/readings';
import { oneOf } from '#contract/fields';
import { type Batch, type Batches } from '#server/batches/store';
import { idOf } from '#server/http/ids';
import { benchCard } from '#server/print/card';
import { pdf } from '#server/print/documents';
import { labelSheet } from '#server/print/labels';
import { notFound, parse } from '#server/http/problem';

const MOST_LABELS = 500;
const day = z.iso.date({ error: 'must be a day, YYYY-MM-DD' }).nullable().default(null);
const wholeText = z
  .string()
  .regex(/^\d{1,3}$/, { error: `must be a whole number from 1 to ${MOST_LABELS}` })
  .transform(Number)
  .refine((n) => n >= 1 && n <= MOST_LABELS, { error: `must be a whole number from 1 to ${MOST_LABELS}` });

const labelsQuery = z.strictObject({
  size: z.string().default(labelSizes[0]!.id),
  count: wholeText.default(1),
  sown: day,
  pricked: day,
  potted: day,
});
const cardQuery = z.strictObject({
  units: oneOf(['metric', 'us']).default('metric'),
  scoop: oneOf(scoops.map((s) => s.id) as [string, ...string[]]).optional(),
});

/** Cards and labels as PDF, each with a code back to the batch. */
export function printRoutes(batches: Batches): Router {
  const router = Router();
  const batchOf = (req: Request): { batch: Batch; url: string } => {
    const id = idOf(req.params['id'] as string);
    const batch = batches.one(id);
    if (!batch) throw notFound('batch', id);
    return { batch, url: `${req.protocol}://${req.get('host') ?? '127.0.0.1'}/batches/${id}` };
  };
  router.get('/:id/labels.pdf', async (req, res) => {
    const { batch, url } = batchOf(req);
    const { size, count, sown, pricked, potted } = parse(labelsQuery, req.query);
    const sheet = await labelSheet(
      labelSize(size),
      {
        title: batch.name,
        lines: [
          `Batch ${batch.id}, mixed ${batch.madeOn}`,
          `${batch.mixName ?? 'mix without a name'}, for ${stageWord[batch.snapshot.recipe.stage]}`,
          batch.snapshot.vessel.name,
        ],
        dates: [
          { name: 'Sown', on: sown },
          { name: 'Pricked out', on: pricked },
          { name: 'Potted', on: potted },
        ],
        url,
      },
      count,
    );
    res.type('application/pdf').send(await pdf(sheet));
  });
  router.get('/:id/card.pdf', async (req, res) => {
    const { batch, url } = batchOf(req);
    const { units, scoop } = parse(cardQuery, req.query);
    const { choice } = batch.snapshot;
    const wanted = scoops.find((s) => s.id === (scoop ?? choice.scoop)) ?? choice.measure;
    const counted = wanted?.system === units ? wanted : scoops.find((s) => s.system === units)!;
    res.type('application/pdf').send(await pdf(await benchCard(batch, units, counted, url)));
  });
  return router;
}
