import { type Allowed } from '#core/units/allowed';

/** What was refused: the argument, the value given and what is allowed; of a number also between which ends. */
export interface Refusal {
  readonly argument: string;
  readonly value: unknown;
  readonly allowed: Allowed;
  /** Inclusive; infinite where there is no end. */
  readonly range?: readonly [low: number, high: number] | undefined;
}

/** For a developer: the code and its facts. */
const inShort = (allowed: Allowed): string =>
  typeof allowed === 'string'
    ? allowed
    : `${allowed.say.replace('allowed.', '').replaceAll('-', ' ')} ${JSON.stringify(allowed.with)}`.replace(
        ' {}',
        '',
      );

/** A number or choice outside what is allowed: names the argument, the value given and what is allowed. */
export class OutOfRange extends RangeError implements Refusal {
  constructor(
    readonly argument: string,
    readonly value: unknown,
    readonly allowed: Allowed,
    readonly range?: readonly [low: number, high: number],
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
    throw new OutOfRange(name, value, `a number from ${low} to ${high}`, [low, high]);
  }
  return value;
}

/** The same for whole numbers. @throws OutOfRange when the value is not a whole number from low to high */
export function checkWhole(name: string, value: number, low: number, high: number): number {
  if (!Number.isInteger(value) || value < low || value > high) {
    throw new OutOfRange(name, value, `a whole number from ${low} to ${high}`, [low, high]);
  }
  return value;
}
