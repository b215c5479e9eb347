import { allow } from '#core/units/allowed';
import { type Stores } from '#server/kept/stores';
import { type TDocumentDefinitions } from 'pdfmake/interfaces';
import { labelSize } from '#core/batch/label-sizes';
import { ownScoops, scoops } from '#core/batch/scoops';
import { OutOfRange } from '#core/units/check';
import { nameIn } from '#words/names';
import { papers } from '#words/en/places/papers';
import { textsIn } from '#words/place';
import { batchOf } from '#server/routes/batches';
import { type Heavy } from '#server/out/heavy/heavy';
import { type Api } from '#server/base/http/serve';
import { addressFor } from '#server/base/http/address-for';
import { benchCard, cardScales } from '#server/out/print/card';
import { readerOf } from '#server/base/http/reader';
import { labelSheet } from '#server/out/print/labels';

/** Cards and labels as PDF, each with a code back to the batch. */
export function printRoutes(api: Api, { batches, measures }: Stores, heavy: Heavy): void {
  const pdf = async (definition: TDocumentDefinitions): Promise<Buffer> =>
    Buffer.from(await heavy.run('pdf', definition));
  api.serve('labels', async ({ params, query, req }) => {
    const batch = batchOf(batches, params.id);
    const { language } = readerOf(req);
    const texts = textsIn(papers, language);
    const mix = batch.mixName && batch.mixName !== batch.name ? [texts.mix(batch.mixName)] : [];
    const text = {
      title: query.plant ?? batch.name,
      lines: [
        ...(query.plant ? [batch.name] : []),
        texts.mixed(batch.id, batch.madeOn),
        ...mix,
        `${texts[batch.snapshot.recipe.stage]}, ${nameIn(batch.snapshot.vessel.name, query.units)}`,
      ],
      dates: [
        { name: texts.sown, on: query.sown },
        { name: texts.prickedOut, on: query.pricked },
        { name: texts.potted, on: query.potted },
      ],
      url: addressFor(req, `/batches/${batch.id}`),
    };
    return pdf(
      await labelSheet(
        language,
        labelSize(query.size),
        Array.from({ length: query.count }, () => text),
      ),
    );
  });
  api.serve('card', async ({ params, query: { units, scoop, sign }, req }) => {
    const batch = batchOf(batches, params.id);
    const { choice } = batch.snapshot;
    const all = [...(choice.measure ? [choice.measure] : []), ...ownScoops(measures.all(), units), ...scoops];
    const wanted = all.find((each) => each.id === (scoop ?? choice.scoop));
    if (scoop !== undefined && !wanted)
      throw new OutOfRange('scoop', scoop, allow('allowed.one-of', { ids: all.map(({ id }) => id) }));
    // One that was chosen is taken as it is; the card's own only where it fits the units.
    const counted =
      wanted && (scoop !== undefined || wanted.system === units)
        ? wanted
        : scoops.find((each) => each.system === units)!;
    const [reader, address] = [{ ...readerOf(req), units }, addressFor(req, `/batches/${batch.id}`)];
    const sizes = cardScales.map((scale) => benchCard(batch, reader, counted, address, sign, scale));
    return Buffer.from(await heavy.run('onePage', await Promise.all(sizes)));
  });
}
