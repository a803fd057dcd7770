export { htmlTree, MUTE, textOf } from './html'
export { decoded, folderOf, hrefFrom, pathIn, targetIn } from './paths'
export { child, decodeXml, elements, find, parseXml, type XmlElement } from './xml'
export { entryNames, manuscriptLimits, readZip, type Salvage, type ZipLimits } from './zip'
