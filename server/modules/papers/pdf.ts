/** Turns a page description into a PDF with the fonts that ship with the package; nothing is read from elsewhere. */
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import pdfmake from 'pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces.js';

const fonts = join(dirname(createRequire(import.meta.url).resolve('pdfmake/package.json')), 'fonts', 'Roboto');

pdfmake.setFonts({
  Roboto: {
    normal: join(fonts, 'Roboto-Regular.ttf'),
    bold: join(fonts, 'Roboto-Medium.ttf'),
    italics: join(fonts, 'Roboto-Italic.ttf'),
    bolditalics: join(fonts, 'Roboto-MediumItalic.ttf'),
  },
});
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path) => path.startsWith(fonts));

export async function renderPdf(document: TDocumentDefinitions): Promise<Buffer> {
  return pdfmake.createPdf(document).getBuffer();
}

/** Pages of a PDF as this library writes it: each is an object of its own. */
export function pagesOf(pdf: Buffer): number {
  return pdf.toString('latin1').match(/\/Type \/Page\b/g)?.length ?? 0;
}
