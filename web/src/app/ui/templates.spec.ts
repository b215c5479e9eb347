import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { parseTemplate, TmplAstBoundText, TmplAstText } from '@angular/compiler';
import ts from 'typescript';

const APP = join(__dirname, '..');

function* files(folder: string): Generator<string> {
  for (const dirent of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, dirent.name);
    if (dirent.isDirectory()) yield* files(path);
    else if (/(?<!\.spec)\.ts$/.test(dirent.name)) yield path;
  }
}

/** Units and signs read alike in every language. */
const NO_WORD = /\b(pH|EC|mL|kg|mm|cm|mS|mg|meq)\b/g;
const hasWords = (text: string): boolean => /[A-Za-z]{2,}/.test(text.replaceAll(NO_WORD, ''));

/** What a template says by itself: its texts, and the attributes that are read out. */
function textsOf(template: string, path: string): string[] {
  const { nodes } = parseTemplate(template, path, { preserveWhitespaces: false });
  const found: string[] = [];
  const visit = (node: unknown): void => {
    if (typeof node !== 'object' || node === null) return;
    if (node instanceof TmplAstText) found.push(node.value);
    if (node instanceof TmplAstBoundText)
      found.push(...((node.value as unknown as { ast: { strings: string[] } }).ast.strings ?? []));
    const { attributes, ...rest } = node as { attributes?: { name: string; value: string }[] };
    for (const { name, value } of attributes ?? [])
      if (/^(aria-label|title|placeholder|alt|label|help)$/.test(name)) found.push(value);
    for (const key of [
      'children',
      'branches',
      'cases',
      'empty',
      'placeholder',
      'loading',
      'error',
    ] as const) {
      const kids = (rest as Record<string, unknown>)[key];
      if (Array.isArray(kids)) kids.forEach(visit);
      else visit(kids);
    }
  };
  nodes.forEach(visit);
  return found.map((text) => text.replaceAll(/[\s\ue500]+/g, ' ').trim()).filter(hasWords);
}

/** Three words in a row are a sentence for a person. */
const SENTENCE = /\p{L}{2,}[,;:]? \p{L}+[,;:]? \p{L}{2,}/u;

test('all that a person reads comes from the room of words: no template and no file of the page has a text', () => {
  const found: string[] = [];
  let templates = 0;
  for (const path of files(APP)) {
    const source = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true);
    const say = (text: string): void => void found.push(`${path.slice(APP.length + 1)}: ${text}`);
    const visit = (node: ts.Node): void => {
      if (ts.isImportDeclaration(node)) return;
      // Names for developers, and of typefaces.
      if (ts.isNewExpression(node) && node.expression.getText(source) === 'InjectionToken') return;
      if (ts.isPropertyAssignment(node) && node.name.getText(source) === 'font') return;
      if (ts.isPropertyAssignment(node) && ts.isDecorator(node.parent.parent.parent)) {
        const name = node.name.getText(source);
        if (name === 'styles') return;
        if (name === 'template' || name === 'templateUrl') {
          const { text } = node.initializer as ts.StringLiteralLike;
          const html = name === 'template' ? text : readFileSync(join(dirname(path), text), 'utf8');
          templates++;
          textsOf(html, path).forEach(say);
          return;
        }
      }
      if (ts.isStringLiteralLike(node) && SENTENCE.test(node.text)) say(node.text);
      if (ts.isTemplateExpression(node))
        for (const { text } of [node.head, ...node.templateSpans.map(({ literal }) => literal)])
          if (SENTENCE.test(text)) say(text);
      ts.forEachChild(node, visit);
    };
    visit(source);
  }
  expect(templates).toBeGreaterThan(100);
  expect(found).toEqual([]);
});
