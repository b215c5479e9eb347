import { type Material } from '#core/material/material';
import { adoptCurve, retentionOf, waterAt } from '#core/material/retention';

/**
 * The material with its pores wider (above 1) or narrower by a factor: its curve moves along the suction, as it is.
 * @param also what else is other about it
 */
export function withPores(material: Material, wider: number, also: Partial<Material> = {}): Material {
  const curve = retentionOf(material);
  const at = (suctionCm: number): number => waterAt(curve, suctionCm * wider);
  const other: Material = {
    ...material,
    ...also,
    ...{ waterAt10Cm: at(10), waterAt50Cm: at(50), waterAt100Cm: at(100) },
    airEntryCm: curve.airEntryCm / wider,
  };
  adoptCurve(other, {
    ...curve,
    alphaPerCm: curve.alphaPerCm * wider,
    airEntryCm: curve.airEntryCm / wider,
  });
  return other;
}
