import type { Reader } from '../reader'
import { decodeHtml, readHtml } from '.'

export const html: Reader = {
  id: 'html',
  name: 'Web page',
  endings: ['html', 'htm', 'xhtml'],
  knows: file =>
    /^x?html?$/.test(file.ending) ||
    /^\s*(<\?xml[^>]*>\s*)?<(!doctype\s+html|html[\s>])/i.test(file.text().slice(0, 2000)),
  read: ({ bytes }, { beside }) => readHtml(decodeHtml(bytes), beside),
}
