'use client'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { App, Button, Form, Input, type InputRef, Modal, Radio } from 'antd'
import { useMemo, useRef, useState } from 'react'
import { Beside } from '@/parts/Beside'
import { BadBook } from '@/parts/BadBook'
import { kindWords } from '@/parts/kinds'
import { Lamp, lampWords } from '@/parts/Lamp'
import { editionLamp } from '@/parts/useListings'
import { Sill } from '@/parts/Sill'
import { Cancelled, Fault, formatTrim } from '@/core/trade'
import type { EditionOutlook, Outlook } from '@/core/chain'
import { putBackUp, takeDown } from '@/data/removal'
import { nextHeld } from '@/data/waiting'
import { beginBook, bringIn, type ShelfEntry, useShelf } from './useShelf'
import { TakenDown } from './TakenDown'
import './shelf.css'
import { useSay } from '@/parts/useSay'
import { isTyping, useKeys } from '@/parts/useKeys'
import { FilePick } from '@/parts/FilePick'

/** How far an edition is before anything is sent: nothing in it, something stops it, ready. */
const readiness = (o: Outlook, e: EditionOutlook): 'dark' | 'dim' | 'lit' =>
  o.words + o.planned === 0 ? 'dark' : e.stops ? 'dim' : 'lit'

/** The shelf: all books by series and imprint, with what each needs next. */
export function Shelf() {
  const { entries, resting, trouble, stopped, again, lookAgain } = useShelf()
  const [query, setQuery] = useState('')
  const [beginning, setBeginning] = useState(false)
  const [over, setOver] = useState(false)
  const search = useRef<InputRef>(null)
  const { modal } = App.useApp()
  const say = useSay()
  const router = useRouter()

  useKeys(e => {
    if (e.key !== '/' || isTyping(e)) return
    e.preventDefault()
    search.current?.focus()
  })

  const turned = async (shown: string[]): Promise<boolean> =>
    modal.confirm({
      title: 'Signs that turn the direction of reading',
      content: (
        <>
          Unseen signs make what is written look otherwise:{' '}
          {shown.map(s => (
            <b key={s}>{s} </b>
          ))}
          . Hardly any book needs them.
        </>
      ),
      okText: 'Take them out',
      cancelText: 'Leave them in',
    })
  const take = async (files: Iterable<File>): Promise<void> => {
    for (const f of files) {
      const done = say.during(`Reading ${f.name} …`)
      try {
        const { title, lost } = await bringIn(f, turned).catch(async (e: Error) => {
          // A damaged file is brought in as far as it can be read only where the author wishes it.
          if (!(e instanceof Fault && e.code.startsWith('damaged'))) throw e
          done()
          const wished = await modal.confirm({
            title: `${f.name} is damaged`,
            content: `${e.message} Whatever can still be read of it can be brought in; what is lost will be listed. The file itself is not changed.`,
            okText: 'Bring in what can be saved',
            cancelText: 'Leave it',
          })
          if (!wished) throw new Cancelled()
          return bringIn(f, turned, true)
        })
        if (title) say.done(`“${title}” stands on the shelf.`)
        if (lost?.length)
          modal.info({
            title: `Not everything of ${f.name} could be taken`,
            content: (
              <ul>
                {lost.slice(0, 12).map(l => (
                  <li key={l}>{l}</li>
                ))}
              </ul>
            ),
          })
      } catch (e) {
        if (e instanceof Cancelled) say.note(`${f.name} was not brought in.`)
        else say.failed(e, f.name)
      } finally {
        done()
      }
    }
    if (nextHeld()) router.push('/intake')
  }

  // It only rests: no question is asked, and one word brings it back.
  const down = (e: ShelfEntry): void =>
    void takeDown(e.id).then(
      () => say.offer(`“${e.title}” was taken down.`, 'Put it back', () => void putBackUp(e.id).catch(say.failed)),
      say.failed,
    )

  const groups = useMemo(() => group(entries ?? [], query), [entries, query])
  const known = (entries ?? []).filter(e => e.outlook)
  const words = known.reduce((n, e) => n + e.outlook!.words, 0)
  // What has been sent and needs the author comes before what is begun, and that before what is ready.
  const needs = known
    .flatMap(e => {
      const n = nextFor(e, e.outlook!)
      return n
        ? [{ ...n, title: e.title, urgent: n.stage !== 'listings' ? 1 : e.pairs.some(p => p.events.length) ? 0 : 2 }]
        : []
    })
    .sort((a, b) => a.urgent - b.urgent)
  const asking = needs.map(n => `${n.title}: ${n.words}`)

  return (
    <>
      <main
        id="room"
        className={`room shelf${over ? ' over' : ''}`}
        onDragOver={e => {
          e.preventDefault()
          setOver(true)
        }}
        onDragLeave={() => setOver(false)}
        onDrop={e => {
          e.preventDefault()
          setOver(false)
          void take(e.dataTransfer.files)
        }}
      >
        <header className="topline">
          <h1>Shelf</h1>
          <Input
            ref={search}
            className="find"
            placeholder="Find a book ( / )"
            aria-label="Find a book"
            value={query}
            onChange={e => setQuery(e.target.value)}
            allowClear
          />
          <FilePick
            label="Manuscript file"
            accept=".docx,.md,.markdown,.txt,.porchlight"
            multiple
            onPick={files => void take(files)}
          >
            {pick => <Button onClick={pick}>Bring in a manuscript</Button>}
          </FilePick>
          <Button type="primary" onClick={() => setBeginning(true)}>
            New book
          </Button>
        </header>
        <div className="stacks">
          {trouble && (
            <p className="trouble" role="alert">
              {trouble}
            </p>
          )}
          {!entries && (
            <p className="waiting" role="status">
              Taking the books down …
            </p>
          )}
          {entries && !entries.length && (
            <div className="empty">
              <h2>Nothing on the shelf yet</h2>
              <p>
                Drop a manuscript here, as it came from your word processor, and it becomes a book: chapters found,
                pages set, a cover to its spine. Or begin with an empty one.
              </p>
            </div>
          )}
          {entries && entries.length > 0 && !groups.length && (
            <p className="waiting">No book by that name. The search looks at titles, authors, series and imprints.</p>
          )}
          {groups.map((g, i) => (
            <section key={g.name} aria-labelledby={`stack-${i}`}>
              <div className="grouphead">
                <h2 id={`stack-${i}`}>{g.name}</h2>
                <span className="sort">{g.sort}</span>
                <span className="count">{g.entries.length === 1 ? '1 book' : `${g.entries.length} books`}</span>
              </div>
              <ul>
                {g.entries.map(e => (
                  <Beside
                    key={e.id}
                    otherwise={x => (
                      <li className="row bad">
                        <BadBook id={e.id} title={e.title} why={x.message} onMended={() => lookAgain(e.id)}>
                          <span />
                        </BadBook>
                      </li>
                    )}
                  >
                    {e.bad ? (
                      <li className="row bad">
                        <BadBook id={e.id} title={e.title} why={e.bad} onMended={() => lookAgain(e.id)}>
                          <Link
                            prefetch={false}
                            href={`/book/${encodeURIComponent(e.id)}/${e.planned ? 'pages' : 'interior'}`}
                          >
                            To its {e.planned ? 'pages' : 'interior'}
                          </Link>
                        </BadBook>
                      </li>
                    ) : (
                      <Row entry={e} onTakeDown={() => down(e)} />
                    )}
                  </Beside>
                ))}
              </ul>
            </section>
          ))}
          <TakenDown books={resting} />
          {entries && entries.length > 0 && (
            <p className="legend" aria-label="What the lamps mean">
              {(['dark', 'dim', 'lit', 'burning', 'drifted'] as const).map(s => (
                <span key={s}>
                  <Lamp state={s} size={16} /> {lampWords[s]}
                </span>
              ))}
            </p>
          )}
        </div>
        <BeginDialog open={beginning} onClose={() => setBeginning(false)} />
      </main>
      <Sill
        figures={
          entries
            ? [
                { name: 'Books', value: String(entries.length) },
                { name: 'Words', value: words.toLocaleString('en') },
                {
                  name: 'Pages in print',
                  value: String(
                    known.reduce((n, e) => n + e.outlook!.editions.reduce((m, x) => m + (x.pages ?? 0), 0), 0),
                  ),
                },
              ]
            : []
        }
        asks={
          stopped ? (
            <>
              The press was stopped.{' '}
              <button type="button" onClick={again}>
                Look at all books
              </button>
            </>
          ) : (
            (asking[0] ?? (entries?.length && known.length === entries.length ? 'Nothing is asked of you' : undefined))
          )
        }
      />
    </>
  )
}

function Row({ entry, onTakeDown }: { entry: ShelfEntry; onTakeDown: () => void }) {
  const o = entry.outlook
  const at = `/book/${encodeURIComponent(entry.id)}`
  const needs = o && nextFor(entry, o)
  return (
    <li className="row">
      <div className="front">
        {entry.front ? <img src={entry.front} alt={`Front cover of ${entry.title}`} /> : <span aria-hidden />}
      </div>
      <div className="who">
        <h3>
          <Link prefetch={false} href={`${at}/${entry.planned ? 'pages' : !o || o.words ? 'interior' : 'text'}`}>
            {entry.title}
          </Link>
        </h3>
        <p>
          {[
            entry.series?.number && `${entry.series.number}`,
            entry.author,
            o && (entry.planned ? `${o.planned} planned pages` : `${o.words.toLocaleString('en')} words`),
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
      </div>
      <div className="editions">
        {o?.editions.map(e => (
          <div key={e.id} className="edition">
            <Lamp state={lampFor(entry, o, e).lamp} />
            <div>
              <b>{kindWords[e.kind] ?? e.kind}</b> <span className="word">{lampFor(entry, o, e).word}</span>
              <p>
                {e.pages
                  ? `${e.pages} pp · ${formatTrim(e.trim ?? '')}`
                  : e.outlets.length === 1
                    ? '1 outlet'
                    : `${e.outlets.length} outlets`}
              </p>
            </div>
          </div>
        )) ?? (
          <span className="word" role="status">
            setting …
          </span>
        )}
      </div>
      <div className="acts">
        <p className={`next${needs ? '' : ' quiet'}`}>
          {o ? (
            needs ? (
              <Link prefetch={false} href={`${at}/${needs.stage}`}>
                {needs.words}
              </Link>
            ) : (
              'in order'
            )
          ) : (
            ''
          )}
        </p>
        <button type="button" className="down" aria-label={`Take ${entry.title} down`} onClick={onTakeDown}>
          take it down
        </button>
      </div>
    </li>
  )
}

const lampFor = (entry: ShelfEntry, o: Outlook, e: EditionOutlook) =>
  editionLamp(
    entry.pairs.filter(p => p.edition.id === e.id),
    readiness(o, e),
  )

/** What a book needs next, and the room for it. */
function nextFor(entry: ShelfEntry, o: Outlook): { words: string; stage: string } | undefined {
  if (o.words + o.planned === 0)
    return entry.planned
      ? { words: 'Plan its pages', stage: 'pages' }
      : { words: 'Write something first', stage: 'text' }
  const drifted = entry.pairs.find(p => p.state.live && p.differences.length && !p.state.pending)
  if (drifted)
    return {
      words: `Moved on since it was sent: ${drifted.differences
        .slice(0, 3)
        .map(d => d.what)
        .join(', ')}`,
      stage: 'listings',
    }
  const returned = entry.pairs.find(p => p.state.status === 'returned')
  if (returned) return { words: `Returned: ${returned.state.returned!.reasons[0]!}`, stage: 'listings' }
  const asks = o.editions.find(e => e.asks)
  if (asks) return { words: asks.asks!, stage: 'check' }
  return entry.pairs.some(p => p.state.status !== 'draft')
    ? undefined
    : { words: 'Ready for its listing', stage: 'listings' }
}

function BeginDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const say = useSay()
  const [form] = Form.useForm<{ title: string; author?: string; kind: 'text' | 'pages' }>()
  return (
    <Modal
      open={open}
      onCancel={onClose}
      title="New book"
      okText="Put it on the shelf"
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
        onFinish={v => void beginBook(v.title.trim(), v.author?.trim() ?? '', v.kind).then(onClose, say.failed)}
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
        {/* Enter in either field puts the book on the shelf. */}
        <button type="submit" hidden tabIndex={-1} />
      </Form>
    </Modal>
  )
}

interface Group {
  name: string
  sort: string
  entries: ShelfEntry[]
}

/** Books by series, then by imprint; those that match the search. */
function group(entries: ShelfEntry[], query: string): Group[] {
  const q = query.trim().toLowerCase()
  const groups = new Map<string, Group>()
  for (const e of entries) {
    if (q && ![e.title, e.subtitle, e.author, e.series?.name, e.imprint].some(t => t?.toLowerCase().includes(q)))
      continue
    const name = e.series?.name ?? (e.imprint || 'Without an imprint')
    const g = groups.get(name) ?? {
      name,
      sort: e.series ? `series${e.author ? `, ${e.author}` : ''}` : '',
      entries: [],
    }
    g.entries.push(e)
    groups.set(name, g)
  }
  for (const g of groups.values())
    g.entries.sort((a, b) => (a.series?.number ?? 0) - (b.series?.number ?? 0) || (a.title < b.title ? -1 : 1))
  return [...groups.values()].sort((a, b) => Number(!a.sort) - Number(!b.sort) || (a.name < b.name ? -1 : 1))
}
