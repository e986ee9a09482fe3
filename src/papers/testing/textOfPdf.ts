/** What a PDF says, for tests: its text, read back by another program than the one that wrote it. */
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'

export async function textOfPdf(bytes: Uint8Array): Promise<string> {
  const document = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise
  let text = ''
  for (let page = 1; page <= document.numPages; page += 1) {
    const { items } = await (await document.getPage(page)).getTextContent()
    text += items.map((item) => ('str' in item ? item.str + (item.hasEOL ? ' ' : '') : '')).join('')
    text += '\n'
  }
  return text.replace(/\s+/g, ' ')
}
