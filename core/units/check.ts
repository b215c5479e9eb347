import { type Allowed, allow } from '#core/units/allowed';

/** What was refused: the argument, the value given and what is allowed. */
export interface Refusal {
  readonly argument: string;
  readonly value: unknown;
  readonly allowed: Allowed;
}

/** For a developer: a range or a list of ids; of all else the code and its facts. */
export function inShort(allowed: Allowed): string {
  const { say, with: facts } = allowed;
  if (say === 'allowed.one-of') return `one of ${facts.ids.join(', ')}`;
  if (say === 'allowed.things') return `${facts.low} to ${facts.high} ${facts.what}`;
  const code = say.replace('allowed.', '').replaceAll('-', ' ');
  if (say !== 'allowed.number' && say !== 'allowed.whole')
    return `${code} ${JSON.stringify(facts)}`.replace(' {}', '');
  if (facts.high === Infinity) return `at least ${facts.low}`;
  if (facts.low === -Infinity) return `at most ${facts.high}`;
  return `a ${say === 'allowed.whole' ? 'whole number' : 'number'} from ${facts.low} to ${facts.high}`;
}

/** A number or choice outside what is allowed: names the argument, the value given and what is allowed. */
export class OutOfRange extends RangeError implements Refusal {
  constructor(
    readonly argument: string,
    readonly value: unknown,
    readonly allowed: Allowed,
  ) {
    super(
      `${argument} must be ${inShort(allowed)}, was ${typeof value === 'string' ? `"${value}"` : String(value)}`,
    );
    this.name = 'OutOfRange';
  }
}

/**
 * The one rule for bad numbers.
 * @param name what the number is, unit included, e.g. `depthMm`
 * @param low  inclusive lower bound
 * @param high inclusive upper bound
 * @returns the value, so that checks can stand inside expressions
 * @throws OutOfRange when the value is not a finite number from low to high
 */
export function checkRange(name: string, value: number, low: number, high: number): number {
  if (!Number.isFinite(value) || value < low || value > high) {
    throw new OutOfRange(name, value, allow('allowed.number', { low, high }));
  }
  return value;
}

/** The same for whole numbers. @throws OutOfRange when the value is not a whole number from low to high */
export function checkWhole(name: string, value: number, low: number, high: number): number {
  if (!Number.isInteger(value) || value < low || value > high) {
    throw new OutOfRange(name, value, allow('allowed.whole', { low, high }));
  }
  return value;
}
