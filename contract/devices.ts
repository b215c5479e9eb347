import { z } from 'zod';
import { moment, oneOf, rowId, text } from '#contract/fields';

/** How the nursery is open to its own network: not at all, behind a certificate, or plain. */
export const shareWays = ['off', 'sealed', 'plain'] as const;
export type ShareWay = (typeof shareWays)[number];

export const deviceSchema = z.object({ id: rowId, name: z.string(), pairedAt: moment, seenAt: moment });
export type Device = z.output<typeof deviceSchema>;

export const sharingSchema = z.object({
  way: oneOf(shareWays),
  /** Where it is open: addresses that a phone in the same network can reach. */
  addresses: z.array(z.string()),
  /** Why it is not open although it should be; empty where it is. */
  problem: z.string(),
  /** A code that waits for a device. */
  code: z
    .object({
      text: z.string(),
      until: moment,
      /** Where the picture leads. */
      address: z.string(),
      /** The same as a picture to point a phone at: an SVG as a data address. */
      picture: z.string(),
    })
    .nullable(),
  /** SHA-256 of the nursery's own authority, to compare with what a phone shows; null where there is none. */
  fingerprint: z.string().nullable(),
  devices: z.array(deviceSchema),
});
export type SharingDoor = z.output<typeof sharingSchema>;

export const newSharingSchema = z.strictObject({ way: oneOf(shareWays) });
export const deviceNameSchema = z.strictObject({ name: text(60) });
