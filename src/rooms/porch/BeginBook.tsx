'use client'
import { Button, Form, Input } from 'antd'
import { useState } from 'react'
import { ChoiceValue } from '@/parts/Sentence'
import { useSay } from '@/parts/useSay'

const KINDS = [
  { value: 'text', words: 'written: chapters of text' },
  { value: 'pages', words: 'planned: pages to write in' },
] as const

interface Begun {
  title: string
  author?: string
  kind: (typeof KINDS)[number]['value']
}

/** The sentence that begins a book: when it is said, the book stands on the porch. Escape leaves it. */
export function BeginBook({ onClose }: { onClose: () => void }) {
  const say = useSay()
  const [problem, setProblem] = useState<string>()
  const begin = async ({ title, author = '', kind }: Begun): Promise<void> => {
    const { beginBook } = await import('./bringIn')
    await beginBook(title.trim(), author.trim(), kind)
    onClose()
  }
  return (
    <Form<Begun>
      className="begin said"
      aria-label="A new book"
      initialValues={{ kind: 'text' }}
      onFinish={v => void begin(v).catch(say.failed)}
      onFinishFailed={f => setProblem(f.errorFields[0]?.errors[0])}
      onValuesChange={() => setProblem(undefined)}
      onKeyDown={e => e.key === 'Escape' && onClose()}
    >
      A new book, called{' '}
      <span className="value">
        <Form.Item
          name="title"
          noStyle
          rules={[{ required: true, whitespace: true, message: 'A book wants a title, even for now.' }]}
        >
          <Input
            aria-label="Title"
            aria-invalid={!!problem}
            aria-describedby={problem ? 'begin-problem' : undefined}
            variant="borderless"
            placeholder="its title"
            autoFocus
            maxLength={200}
          />
        </Form.Item>
      </span>{' '}
      and written by{' '}
      <span className="value">
        <Form.Item name="author" noStyle>
          <Input aria-label="Author" variant="borderless" placeholder="nobody named yet" maxLength={120} />
        </Form.Item>
      </span>
      . It is{' '}
      <Form.Item name="kind" noStyle>
        <KindValue />
      </Form.Item>
      .{' '}
      <span className="ways">
        <Button type="primary" htmlType="submit">
          Put it on the porch
        </Button>
        <Button type="text" onClick={onClose}>
          Leave it
        </Button>
      </span>
      {problem && (
        <p id="begin-problem" className="problem" role="alert">
          {problem}
        </p>
      )}
    </Form>
  )
}

/** The form gives it its value. */
function KindValue({
  value = 'text',
  onChange = () => undefined,
}: {
  value?: string
  onChange?: (kind: string) => void
}) {
  return <ChoiceValue label="Kind of book" value={value} choices={KINDS} onChange={onChange} />
}
