/** Set where a reader of PDFs is to work in the same thread. */
declare module 'pdfjs-dist/build/pdf.worker.min.mjs' {
  export const WorkerMessageHandler: unknown
}
