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

export const pdf = (definition: TDocumentDefinitions): Promise<Buffer> =>
  maker.createPdf(definition).getBuffer();
