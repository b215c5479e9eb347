import { gPerLInPoundPerCubicYard, millimetresIn } from '#core/units/factors';
import { fixed, showMass, showVolume, type Shown } from '#core/units/show';

const fahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32;

const QUARTERS = ['', ' ¼', ' ½', ' ¾'];

/** Inches as they stand on a rule: quarters from an inch on, hundredths below. */
function inches(mm: number): string {
  const exact = mm / millimetresIn.inch;
  if (exact < 1) return fixed(exact, 2);
  const quarters = Math.round(exact * 4);
  return `${Math.floor(quarters / 4)}${QUARTERS[quarters % 4]!}`;
}

const said = ({ text, unit }: Shown): string => `${text} ${unit}`;

/** Metric units as they stand behind a number in a sentence, and what is said in their place. */
const inUs: Record<string, (value: number) => string> = {
  '°C': (c) => `${Math.round(fahrenheit(c))} °F`,
  mm: (mm) => `${inches(mm)} in`,
  cm: (cm) => `${inches(10 * cm)} in`,
  'mg/L': (mg) => `${mg} ppm`,
  'g/L': (g) => `${fixed(g / gPerLInPoundPerCubicYard, 2)} lb/yd³`,
  mL: (ml) => said(showVolume(ml / 1000, 'us')),
  L: (litres) => said(showVolume(litres, 'us')),
  kg: (kg) => said(showMass(1000 * kg, 'us')),
  g: (g) => said(showMass(g, 'us')),
};
const NUMBER_AND_UNIT =
  /((?<![\d.])[−-]?\d+(?:\.\d+)?)(?:(–|-| to )(\d+(?:\.\d+)?))?[ \u00a0](°C|mm|cm|mg\/L|g\/L|mL|L|kg|g)(?![\w/])/g;

/**
 * A text with its metric quantities said in US units: "below 30 °C" → "below 86 °F", "9 cm pot" → "3 ½ in pot". For
 * words that carry their numbers with them: names, cautions, texts frozen on an old card. Milligrams per litre are
 * parts per million; mS/cm stays.
 */
export function usWords(text: string): string {
  return text
    .replace(
      NUMBER_AND_UNIT,
      (_, from: string, dash: string | undefined, to: string | undefined, unit: string) => {
        const say = inUs[unit]!;
        const last = say(Number((to ?? from).replace('−', '-')));
        if (to === undefined) return last;
        const first = say(Number(from.replace('−', '-')));
        // "60–70 °F", not "60 °F–70 °F", where both ends have the same unit.
        const [number, own] = [first.slice(0, first.lastIndexOf(' ')), first.slice(first.lastIndexOf(' '))];
        return last.endsWith(own) ? `${number}${dash}${last}` : `${first}${dash}${last}`;
      },
    )
    .replace(/\bmg\/L\b/g, 'ppm');
}
