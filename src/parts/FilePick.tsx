'use client'
import { type ReactNode, type Ref, useImperativeHandle, useRef } from 'react'

export interface FilePicker {
  open(): void
}

/** The browser's way to choose files, opened by whatever `children` draw, or from elsewhere through `ref`. The same file may be chosen twice. */
export function FilePick({
  label,
  accept,
  multiple,
  onPick,
  ref,
  children,
}: {
  label: string
  /** Types and endings, as an input has them. */ accept: string
  multiple?: boolean
  onPick: (files: File[]) => void
  ref?: Ref<FilePicker>
  children?: (open: () => void) => ReactNode
}) {
  const input = useRef<HTMLInputElement>(null)
  const open = (): void => input.current?.click()
  useImperativeHandle(ref, () => ({ open }), [])
  return (
    <>
      {children?.(open)}
      <input
        ref={input}
        type="file"
        hidden
        multiple={multiple}
        accept={accept}
        aria-label={label}
        onChange={e => {
          const files = [...(e.target.files ?? [])]
          if (files.length) onPick(files)
          e.target.value = ''
        }}
      />
    </>
  )
}
