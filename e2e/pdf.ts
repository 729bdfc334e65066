import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** The words of each page of a PDF, as a reader has them. */
export async function pagesOfPdf(pdf: Buffer): Promise<string[]> {
  const document = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let n = 1; n <= document.numPages; n++) {
    const { items } = await (await document.getPage(n)).getTextContent();
    pages.push(items.map((item) => ('str' in item ? item.str + (item.hasEOL ? '\n' : ' ') : '')).join(''));
  }
  await document.destroy();
  return pages;
}
