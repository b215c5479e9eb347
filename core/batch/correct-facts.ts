import { type Amendment } from '#core/material/amendment';
import { type Material } from '#core/material/material';
import { type MessageOf, messages, type Named, named, none, type None } from '#core/units/message';

export type CorrectionStep =
  | { kind: 'addMaterial'; material: Material; looseLitres: number }
  | { kind: 'addLime'; amendment: Amendment; grams: number }
  | { kind: 'leach'; litres: number }
  | { kind: 'addWater'; litres: number }
  | { kind: 'addDryMix'; litres: number }
  | { kind: 'spreadOut' };

/** What keeps a batch from being put right. */
export type CorrectionFault = 'little-air' | 'much-air' | 'alkaline' | 'salty';

/** What putting a batch right is about. */
export interface CorrectionFacts {
  'correct.add-material': { material: Named; looseLitres: number };
  'correct.add-lime': { product: Named; grams: number };
  'correct.leach': { litres: number };
  'correct.add-water': { litres: number };
  'correct.add-dry-mix': { litres: number };
  'correct.spread-out': None;
  'correct.plateau': { ph: number };
  'correct.over-limed': { ph: number; times: number };
  'correct.out-of-reach': { faults: readonly CorrectionFault[] };
}
export type CorrectionMessage = MessageOf<CorrectionFacts>;
/** What is to be done, without what keeps it from being done. */
export type CorrectionStepMessage = Exclude<
  CorrectionMessage,
  { say: 'correct.plateau' | 'correct.over-limed' | 'correct.out-of-reach' }
>;
export const correctionMessage = messages<CorrectionFacts>();

/** What to do, as it is entered in the record. */
export function correctionSays(step: CorrectionStep): CorrectionStepMessage {
  switch (step.kind) {
    case 'addMaterial':
      return correctionMessage('correct.add-material', {
        ...{ material: named(step.material), looseLitres: step.looseLitres },
      });
    case 'addLime':
      return correctionMessage('correct.add-lime', { product: named(step.amendment), grams: step.grams });
    case 'leach':
      return correctionMessage('correct.leach', { litres: step.litres });
    case 'addWater':
      return correctionMessage('correct.add-water', { litres: step.litres });
    case 'addDryMix':
      return correctionMessage('correct.add-dry-mix', { litres: step.litres });
    case 'spreadOut':
      return correctionMessage('correct.spread-out', none);
  }
}
