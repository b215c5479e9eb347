import { type LinkPieces } from '#core/recipe/link-pieces';
import { type MeasuredByHand } from '#core/recipe/recipe';
import { limits } from '#core/units/limits';

/** Names of the tests in a link, with their ranges. The jar test is two numbers that go together. */
const testNames = {
  shrink: limits.measuredShrinkagePct,
  air: limits.measuredAirPct,
  ph: limits.measuredPh,
  ec: limits.measuredEcMSPerCm,
  buffer: limits.jarBufferMeqPerLPerPh,
  sour: limits.jarPhBeforeLime,
} as const;

/** Tests as a piece of a link, `ph:6.1,air:14`. */
export function testsToText({ shrinkagePct, airPct, ph, ecSaturatedMSPerCm, jar }: MeasuredByHand): string {
  const all: Record<keyof typeof testNames, number | undefined> = {
    shrink: shrinkagePct,
    air: airPct,
    ph,
    ec: ecSaturatedMSPerCm,
    buffer: jar?.bufferMeqPerLPerPh,
    sour: jar?.phBeforeLime,
  };
  return Object.entries(all)
    .filter((entry): entry is [string, number] => entry[1] !== undefined)
    .map(([name, value]) => `${name}:${value}`)
    .join(',');
}

/** What a link says was measured by hand. */
export function testsOf(pieces: LinkPieces): MeasuredByHand {
  const tests = new Map<string, number>();
  for (const piece of pieces.list('tests')) {
    const [name = '', amount = ''] = piece.split(':');
    if (!Object.hasOwn(testNames, name)) {
      pieces.unknown('tests', name);
      continue;
    }
    const value = pieces.number('tests', amount, testNames[name as keyof typeof testNames], name);
    if (value !== null) tests.set(name, value);
  }
  return measuredFrom(tests);
}

function measuredFrom(tests: ReadonlyMap<string, number>): MeasuredByHand {
  const [shrinkagePct, airPct, ph, ecSaturatedMSPerCm, buffer, sour] = Object.keys(testNames).map((name) =>
    tests.get(name),
  );
  return {
    ...(shrinkagePct !== undefined && { shrinkagePct }),
    ...(airPct !== undefined && { airPct }),
    ...(ph !== undefined && { ph }),
    ...(ecSaturatedMSPerCm !== undefined && { ecSaturatedMSPerCm }),
    ...(buffer !== undefined &&
      sour !== undefined && { jar: { bufferMeqPerLPerPh: buffer, phBeforeLime: sour } }),
  };
}
