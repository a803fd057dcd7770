import type { Reader } from '../reader'
import { readOdt } from '.'

export const odt: Reader = {
  id: 'odt',
  name: 'Open-document text',
  endings: ['odt', 'ott'],
  knows: ({ entries }) => entries.has('content.xml') && !entries.has('META-INF/container.xml'),
  read: ({ bytes }, { report, salvage }) => readOdt(bytes, report, salvage),
}
