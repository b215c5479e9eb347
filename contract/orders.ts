import { z } from 'zod';
import { clientKey, day, num, oneOf, rowId, text } from '#contract/fields';
import { stockKinds } from '#core/package/stock';
import { limits } from '#core/units/limits';

const orderFields = {
  kind: oneOf(stockKinds),
  /** Id of the material, product or vessel; the name of the seed. */
  item: text(60),
  /** Litres of a material, kilograms of a product, single vessels or seeds. */
  amount: num(limits.stock),
  on: day,
};
export const newOrderSchema = z.strictObject({ key: clientKey, ...orderFields });
export type NewOrder = z.output<typeof newOrderSchema>;
/** Ordered, and not come yet. */
export const orderSchema = z.object({ id: rowId, key: z.string(), ...orderFields });
export type Order = z.output<typeof orderSchema>;
