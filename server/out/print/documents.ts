import { createRequire } from 'node:module';
import { join } from 'node:path';
import { type TDocumentDefinitions } from 'pdfmake/interfaces';

/** pdfmake comes as CommonJS, and its types know only the page of old: the two calls that are used. */
interface Maker {
  setFonts(fonts: object): void;
  setLocalAccessPolicy(allows: (path: string) => boolean): void;
  setUrlAccessPolicy(allows: (url: string) => boolean): void;
  createPdf(definition: TDocumentDefinitions): { getBuffer(): Promise<Buffer> };
}

const require = createRequire(join(process.cwd(), 'package.json'));
const maker = require('pdfmake') as Maker;
const roboto = (cut: string): string => require.resolve(`pdfmake/build/fonts/Roboto/Roboto-${cut}.ttf`);
maker.setFonts({
  Roboto: {
    normal: roboto('Regular'),
    bold: roboto('Medium'),
    italics: roboto('Italic'),
    bolditalics: roboto('MediumItalic'),
  },
});
// Its own fonts and nothing else, from here and from nowhere else.
maker.setLocalAccessPolicy((path) => path.includes('Roboto-'));
maker.setUrlAccessPolicy(() => false);

/** Pages of a file that was made here. */
const pagesOf = (file: Buffer): number => file.toString('latin1').match(/\/Type \/Page\b/g)?.length ?? 0;

/** The first of them that is one page; the last where none is. @param definitions the same, the largest type first */
export async function onePage(definitions: readonly TDocumentDefinitions[]): Promise<Buffer> {
  let [low, high] = [0, definitions.length];
  let fits: Buffer | null = null;
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    const file = await pdf(definitions[middle]!);
    if (pagesOf(file) === 1) [fits, high] = [file, middle];
    else low = middle + 1;
  }
  return fits ?? pdf(definitions.at(-1)!);
}

export const pdf = (definition: TDocumentDefinitions): Promise<Buffer> =>
  maker.createPdf(definition).getBuffer();
