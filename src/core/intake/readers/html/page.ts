import type { XmlElement } from '../../../files'
import type { Styles } from './css'

/** A page of HTML among those that are read together. */
export interface HtmlPage {
  /** Where it lies, from the root of what is read. */
  path: string
  root: XmlElement
  styles: Styles
}
