import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { z } from 'zod';
import { amendmentSchema } from '#contract/amendment';
import { cropSchema } from '#contract/crop';
import { clientKey, int, note, oneOf, text, taking } from '#contract/fields';
import { materialRowSchema } from '#contract/material';
import { recipeSchema } from '#contract/recipe';
import { withoutKnown } from '#core/recipe/known';
import { vesselKindSchema } from '#contract/vessel';

/** In the order in which they stand on each other: mixes last. */
export const shareKinds = ['materials', 'products', 'vessels', 'crops', 'mixes'] as const;
export type ShareKind = (typeof shareKinds)[number];
const MOST = 300;
const says = text(200);

/** What one grower gives to another: own materials, products, vessels, crops and mixes. */
export const shareSchema = z.strictObject({
  format: z.literal('welcome-share', taking(allow('allowed.share-file', none))),
  version: z.literal(1, taking(allow('allowed.of-this-version', { version: 1 }))),
  materials: z.array(z.strictObject({ says, row: materialRowSchema })).max(MOST),
  products: z.array(z.strictObject({ says, row: amendmentSchema })).max(MOST),
  vessels: z.array(vesselKindSchema).max(MOST),
  crops: z.array(z.strictObject({ says, crop: cropSchema })).max(MOST),
  mixes: z
    .array(z.strictObject({ name: text(80), note, recipe: recipeSchema.transform(withoutKnown) }))
    .max(MOST),
});
export type SharedFile = z.output<typeof shareSchema>;

const thing = { kind: oneOf(shareKinds), at: int([0, MOST]) };
/** What a file would bring. */
export const shareLineSchema = z.object({
  ...thing,
  name: z.string(),
  /** `different`: here is one of its name or id with other figures; it would come beside it. */
  state: oneOf(['new', 'same', 'different']),
});
export type ShareLine = z.output<typeof shareLineSchema>;
export const sharePreviewSchema = z.strictObject({ share: shareSchema });
export const shareTakeSchema = z.strictObject({
  key: clientKey,
  share: shareSchema,
  take: z
    .array(z.strictObject(thing))
    .min(1)
    .max(5 * MOST),
});
export const shareTakenSchema = z.object({ taken: z.array(z.string()) });
