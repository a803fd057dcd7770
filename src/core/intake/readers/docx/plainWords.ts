/** The words of an HTML or plain text that was embedded, a line a paragraph. Nothing of it is run or fetched. */
export const plainWords = (text: string): string =>
  text
    .replace(/<(script|style|head)\b[\s\S]*?<\/\1>/gi, '')
    .replace(/<(\/p|\/div|\/h[1-6]|\/li|br\s*\/?)>/gi, '\n')
    .replace(/<[^>]*>/g, '')
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&quot;/g, '"')
    .replace(/&nbsp;/g, ' ')
    .replace(/&amp;/g, '&')
