import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { unit } from 'mathjs';
import { library } from '#testing/library';
import { samplesOf } from '#testing/message-samples';
import { FORBIDDEN, METRIC } from '#testing/plain-english';
import { metric, us } from '#testing/readers';
import { formatsFor, inSentence } from '#words/formats';
import { beside } from '#core/units/show';
import { en } from '#words/en/index';
import { problems } from '#words/en/problems';
import { nameIn } from '#words/names';
import {
  addLanguage,
  chooseLanguage,
  type Filling,
  line,
  place,
  type PlaceTexts,
  textsIn,
} from '#words/place';
import { type Reader } from '#words/reader';

const english = formatsFor(metric);
const american = formatsFor(us);
const plain = (text: string): string => text.replaceAll('\u00a0', ' ').replaceAll('\u202f', ' ');

/** Everything that a language says, of every sample. */
function* all(reader: Reader): Generator<[code: string, text: string]> {
  const formats = formatsFor(reader);
  for (const [code, words] of Object.entries({ ...en, ...problems }))
    for (const facts of samplesOf(code))
      yield [code, plain((words as (f: unknown, g: unknown) => string)(facts, formats))];
}

const MOST_WORDS = 18;

describe('every text of every message', () => {
  test('says its facts: none of them is left out by mistake, none is no number', () => {
    for (const [code, text] of all(metric)) {
      expect([code, text]).toEqual([code, expect.not.stringMatching(/undefined|NaN|null|\[object| {2}/)]);
      expect(text.length).toBeGreaterThan(1);
    }
  });

  test('in US units nothing is metric', () => {
    for (const [code, text] of all(us))
      // The capacity of a scoop is in its name.
      expect([code, METRIC.exec(text)?.[0]]).toEqual([code, undefined]);
  });

  test('a sentence has at most 18 words, and a message at most two sentences', () => {
    for (const [code, text] of all(metric)) {
      if (code.startsWith('sum.') && code.endsWith('.source')) continue;
      // A list of amounts is one thing to read for each of its items.
      const sentences = text.split(/[.!?:;](?:\s|$)/).filter((each) => each.trim() !== '');
      for (const sentence of sentences)
        expect([code, sentence, sentence.split(/\s+/).length <= MOST_WORDS]).toEqual([code, sentence, true]);
      const stops = text.split(/[.!?](?:\s|$)/).filter((each) => each.trim() !== '').length;
      expect([code, stops <= 2]).toEqual([code, true]);
    }
  });

  test('one of a thing and many of it, and the article before them', () => {
    for (const [code, text] of all(metric))
      expect([
        code,
        /\b1 (kettles|loads|parts|minutes|days|weeks|times)\b|\ba [aeio]|\ban [^aeiou8h1]/.exec(text)?.[0],
      ]).toEqual([code, undefined]);
  });
});

test('results of entries of before are said as those of now', () => {
  const kept = { value: 32, low: null, high: null, verdict: 'ok' } as const;
  const cooling = { ...kept, unit: '°C around it', says: 'It never cools.' };
  expect(plain(en['test.cooling.value'](cooling, english))).toBe('32 °C around it');
  expect(plain(en['test.cooling.says'](cooling, english))).toMatch(/^It never cools to 30 °C/);
  const moisture = { ...kept, unit: '% water by weight', measures: { saturation: 0.52 } };
  expect(plain(en['test.moisture.says'](moisture, english))).toBe('Pores 52 % full.');
});

describe('every text of every place', () => {
  const texts: [where: string, text: string][] = [...files('words/en/places')].flatMap((file) =>
    Object.values(jest.requireActual<Record<string, PlaceTexts>>(join('..', file))).flatMap((place) =>
      Object.entries(place).map(([key, text]): [string, string] => [
        `${file}: ${key}`,
        typeof text === 'string' ? text : text(...(Array(text.length).fill('…') as never[])),
      ]),
    ),
  );

  test('each has words, and no sentence has more than 18', () => {
    expect(texts.length).toBeGreaterThan(1500);
    const wrong = texts.flatMap(([where, text]) =>
      ['', ...text.split(/[.!?:;](?:\s|$)/)]
        .filter((sentence, i) => (i === 0 ? !/\S/.test(text) : sentence.split(/\s+/).length > MOST_WORDS))
        .map((sentence) => `${where}: ${sentence}`),
    );
    expect(wrong).toEqual([]);
  });

  test('a size in it is in both systems, or comes from a quantity', () => {
    const wrong = texts.filter(([, text]) => METRIC.test(text) && !/gal\b|°F|\bfoot\b|\(no\. /.test(text));
    expect(wrong).toEqual([]);
  });

  test('another language takes the place of what it has, and leaves the rest', () => {
    const sown = place('a test', { sow: 'Sow', left: (n: Filling) => line`${n} left` });
    addLanguage('es', { 'a test': { sow: 'Siembre' }, 'one that comes later': { sow: 'Siembre' } });
    expect([sown.sow, textsIn(sown, 'es').sow, textsIn(sown, 'es').left(3)]).toEqual([
      'Sow',
      'Siembre',
      '3 left',
    ]);
    chooseLanguage('es');
    expect([sown.sow, sown.left(3)]).toEqual(['Siembre', '3 left']);
    expect(place('one that comes later', { sow: 'Sow' }).sow).toBe('Siembre');
    chooseLanguage('en');
    expect(sown.sow).toBe('Sow');
  });
});

/** Every string of a program, and every text of a template. */
function textsOf(file: string): string[] {
  const source = readFileSync(file, 'utf8');
  const ofTemplate = (html: string): string[] =>
    html
      .replaceAll(/<!--[^]*?-->/g, '')
      .split(/<[^>]*>|[@][a-z]+[^{]*\{|\}/)
      .map((text) =>
        text
          .replaceAll(/\{\{[^]*?(\}\}|$)/g, ' ')
          .replaceAll(/\s+/g, ' ')
          .trim(),
      )
      .filter((text) => /[a-z]{3}/i.test(text));
  if (file.endsWith('.html')) return ofTemplate(source);
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node))
      found.push(...(node.text.includes('</') ? ofTemplate(node.text) : [node.text]));
    else if (ts.isTemplateExpression(node))
      found.push(node.head.text, ...node.templateSpans.map(({ literal }) => literal.text));
    ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile(file, source, ts.ScriptTarget.Latest));
  return found;
}

function* files(folder: string): Generator<string> {
  for (const dirent of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, dirent.name);
    if (dirent.isDirectory()) yield* files(path);
    else if (/\.(ts|html)$/.test(dirent.name) && !/\.spec\.ts$/.test(dirent.name)) yield path;
  }
}

test('no text of the house has a turn of speech that is forbidden, nor a word that has a better one', () => {
  const wrong: string[] = [];
  for (const room of ['core', 'contract', 'words', 'server', 'web/src/app'])
    for (const file of files(room))
      for (const text of textsOf(file))
        for (const pattern of FORBIDDEN) if (pattern.test(text)) wrong.push(`${file}: ${text.slice(0, 120)}`);
  expect(wrong).toEqual([]);
});

test('a day is said from the reader’s own; on paper, which has none, in full', () => {
  const here = formatsFor({ ...metric, today: '2031-03-03' });
  const tomato = { crop: { id: 'tomato', name: 'Tomato' }, sort: '', sowing: 1, of: 1 };
  const late = { name: tomato, on: '2031-03-02', days: 4, ready: '2031-04-20' };
  expect([here.day('2031-03-04'), english.day('2031-03-04')]).toEqual(['tomorrow', '4 March 2031']);
  expect(plain(en['season.late'](late, here))).toMatch(/was to begin yesterday\..* later, on 20 Apr\.$/);
});

describe('quantities', () => {
  test('each has both systems, as mathjs turns them', () => {
    const to = (value: number, from: string, into: string): number => unit(value, from).toNumber(into);
    const numberOf = (text: string): number =>
      Number(
        plain(text)
          .replaceAll(' ', '')
          .replace(/[^\d.−-].*$/, '')
          .replace('−', '-'),
      );
    expect(numberOf(american.density(1327))).toBeCloseTo(to(1327, 'g/l', 'lbm/cuft'), 1);
    expect(numberOf(american.dose(3))).toBeCloseTo(to(3, 'g/l', 'lbm/cuyd'), 2);
    expect(numberOf(american.mass(5000))).toBeCloseTo(to(5000, 'g', 'lbm'), 1);
    expect(numberOf(american.volume(40))).toBeCloseTo(to(40, 'l', 'gallon'), 1);
    expect(plain(american.celsius(-4))).toBe('25 °F');
    expect(plain(english.celsius(-4))).toBe('−4 °C');
    expect(plain(american.celsiusRange(15, 21))).toBe('59–70 °F');
    expect(plain(english.celsiusRange(-5, 6))).toBe('−5 to 6 °C');
    expect(plain(english.density(1327))).toBe('1 327 g/L');
  });

  test('no more digits than a hand can use', () => {
    expect([7.81, 0.0078, 12.34, 1234.5].map((litres) => plain(english.volume(litres)))).toEqual([
      '7.81 L',
      '8 mL',
      '12.3 L',
      '1 235 L',
    ]);
    expect([11.1, 198].map((grams) => plain(american.mass(grams)))).toEqual(['0.39 oz', '7.0 oz']);
    expect(plain(american.volume(0.36))).toBe('1 ½ cups');
  });

  test('a number never looks like the edge that it is beside', () => {
    expect(Number(beside(7.96, 0, 8))).toBeLessThan(8);
    expect(Number(beside(8.04, 0, 8))).toBeGreaterThan(8);
    expect([beside(6.84, 1, 6.8), beside(12.4, 0, 8), beside(8, 0, 8)]).toEqual(['6.84', '12', '8']);
  });

  test('names of the library: sizes in inches, both ends alike; one’s own stay as they were written', () => {
    expect(nameIn('Perlite, coarse (2-5 mm)', 'us')).toBe('Perlite, coarse (0.08–0.20 in)');
    expect(nameIn('9 cm pot', 'us')).toBe('3 ½ in pot');
    expect(american.title({ id: 'own-x', name: 'Bark 10 mm' })).toBe('Bark 10 mm');
    for (const { name } of [...library.materials.values(), ...library.vessels.values()])
      expect(METRIC.exec(nameIn(name, 'us'))?.[0]).toBeUndefined();
  });

  test('in a sentence a label begins small, an abbreviation does not', () => {
    expect(['Fill weight', 'pH', 'EC', 'Salts'].map(inSentence)).toEqual([
      'fill weight',
      'pH',
      'EC',
      'salts',
    ]);
  });
});

/**
 * Rooms whose sentences are of another kind: what a rule of the mix finds and proposes, and where its window is from
 * (said where it is found, until the adviser says it); the made-up nursery; files that are read by machines; what
 * only who runs the server, or writes the program, sees.
 */
const OTHER_SENTENCES = [
  /^core\/(judge\/(flags|readings)|mix\/windows|recipe\/approaches|material\/retention)/,
  /^server\/(kept\/plants\/plant-events|out\/(demo|archive\/(schema|csv))|base\/http\/openapi|main)/,
];
/** Four words in a row, the first of them no code of a program. */
const SENTENCE = /[A-Za-z][a-z’']*,? [a-z’']+,? [a-z’']+,? [a-z’']+/;
const SQL = /\b(SELECT|INSERT|UPDATE|DELETE|CREATE|FROM|WHERE|ON CONFLICT|ORDER BY|PRAGMA|SET|AND|VALUES)\b/;

/** Texts of a file that are not thrown as what only a developer sees. */
function sentencesOf(file: string): string[] {
  const source = readFileSync(file, 'utf8');
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    // Plain errors are for who writes the program: what a person meets is a code.
    if (ts.isNewExpression(node) && /^(Error|RangeError)$/.test(node.expression.getText(parsed))) return;
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) found.push(node.text);
    else if (ts.isTemplateExpression(node))
      found.push(node.head.text, ...node.templateSpans.map(({ literal }) => literal.text));
    ts.forEachChild(node, visit);
  };
  const parsed = ts.createSourceFile(file, source, ts.ScriptTarget.Latest);
  visit(parsed);
  return found.filter((text) => SENTENCE.test(text) && !SQL.test(text));
}

test('core and server say nothing to a person themselves: their sentences are in words', () => {
  const wrong: string[] = [];
  for (const room of ['core', 'server'])
    for (const file of files(room))
      if (!OTHER_SENTENCES.some((rooms) => rooms.test(file)))
        for (const text of sentencesOf(file)) wrong.push(`${file}: ${text.slice(0, 90)}`);
  expect(wrong).toEqual([]);
});
