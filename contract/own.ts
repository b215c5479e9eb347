import { z } from 'zod';
import { amendmentSchema } from '#contract/amendment';
import { clientKey, text } from '#contract/fields';
import { materialRowSchema } from '#contract/material';
import { vesselKindSchema } from '#contract/vessel';

const name = text(80);

/** A material of the nursery's own: every figure of it, as a kin and a few answers came to. */
export const newMaterialSchema = z.strictObject({
  key: clientKey,
  /** What it was taken from, in words: "like green-waste compost". */
  says: text(200),
  row: materialRowSchema.omit({ id: true }).extend({ name }),
});
export type NewMaterial = z.output<typeof newMaterialSchema>;
export const changedMaterialSchema = newMaterialSchema.omit({ key: true });
export const ownMaterialSchema = materialRowSchema.extend({ source: z.string() });

/** A vessel of the nursery's own. */
export const newVesselSchema = z.strictObject({
  key: clientKey,
  kind: vesselKindSchema.omit({ id: true }).extend({ name }),
});
export type NewVessel = z.output<typeof newVesselSchema>;
export const changedVesselSchema = newVesselSchema.omit({ key: true });
export const ownVesselSchema = vesselKindSchema.extend({ source: z.string() });

/** A feed, lime or blend of the nursery's own, by its label. */
export const newProductSchema = z.strictObject({
  key: clientKey,
  says: text(200),
  row: amendmentSchema.omit({ id: true }).extend({ name }),
});
export type NewProduct = z.output<typeof newProductSchema>;
export const changedProductSchema = newProductSchema.omit({ key: true });
export const ownProductSchema = amendmentSchema.extend({ source: z.string() });
