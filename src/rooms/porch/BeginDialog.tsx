'use client'
import { Form, Input, Modal, Radio } from 'antd'
import { useSay } from '@/parts/useSay'

/** Asks for a title, and a new book stands on the porch. */
export function BeginDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const say = useSay()
  const [form] = Form.useForm<{ title: string; author?: string; kind: 'text' | 'pages' }>()
  return (
    <Modal
      open={open}
      onCancel={onClose}
      title="New book"
      okText="Put it on the porch"
      cancelText="Leave it"
      onOk={() => form.submit()}
      destroyOnHidden
    >
      <Form
        form={form}
        layout="vertical"
        requiredMark={false}
        preserve={false}
        initialValues={{ kind: 'text' }}
        onFinish={v =>
          void import('./bringIn')
            .then(b => b.beginBook(v.title.trim(), v.author?.trim() ?? '', v.kind))
            .then(onClose, say.failed)
        }
      >
        <Form.Item
          name="title"
          label="Title"
          rules={[{ required: true, whitespace: true, message: 'A book wants a title, even for now.' }]}
        >
          <Input autoFocus maxLength={200} />
        </Form.Item>
        <Form.Item name="author" label="Author">
          <Input maxLength={120} />
        </Form.Item>
        <Form.Item name="kind" label="It is">
          <Radio.Group
            options={[
              { value: 'text', label: 'written: chapters of text' },
              { value: 'pages', label: 'planned: pages to write in' },
            ]}
          />
        </Form.Item>
        {/* Enter in either field puts the book on the porch. */}
        <button type="submit" hidden tabIndex={-1} />
      </Form>
    </Modal>
  )
}
