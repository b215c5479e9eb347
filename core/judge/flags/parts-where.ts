import { type Judged, spoken } from '#core/judge/flag';
import { type Material } from '#core/material/material';
import { type Part } from '#core/mix/composition';

/** The parts whose material passes, each with its share of the whole, 0–1. */
export const partsWhere = (
  { evaluation }: Judged,
  test: (material: Material) => boolean,
): (Part & { share: number })[] =>
  evaluation.composition.parts.flatMap((p, i) =>
    test(p.material) ? [{ ...p, share: evaluation.composition.shares[i]! }] : [],
  );

/** Their names in a sentence, up to the first comma: "peat and coir". */
export const spokenNames = (parts: readonly { material: { name: string } }[]): string =>
  spoken(parts.map((p) => p.material.name.split(',')[0]!));
