'use client'
import { AntdRegistry } from '@ant-design/nextjs-registry'
import { MoonOutlined, SunOutlined } from '@ant-design/icons'
import { App, ConfigProvider } from 'antd'
import Link from 'next/link'
import { usePathname } from 'next/navigation'
import { type ReactNode, useCallback, useSyncExternalStore } from 'react'
import { antTheme, type Tone, toneVariables } from '@/look/theme'
import { setPreferences, usePreferences } from './preferences'
import { Keeping } from './Keeping'
import { Offline } from './Offline'
import { Shortcuts } from './Shortcuts'
import { deskVariables } from './desk'

/** What the machine says of a wish of its user now, and while the page stands; false on the server. */
function useMachine(query: string): boolean {
  const listen = useCallback(
    (l: () => void) => {
      const q = matchMedia(query)
      q.addEventListener('change', l)
      return () => q.removeEventListener('change', l)
    },
    [query],
  )
  return useSyncExternalStore(
    listen,
    () => matchMedia(query).matches,
    () => false,
  )
}

/** The tone now: the author's, or the machine's. */
function useTone(): Tone {
  const { tone } = usePreferences()
  const machine = useMachine('(prefers-color-scheme: dark)') ? 'dark' : 'light'
  return tone === 'system' ? machine : tone
}

const never = (): (() => void) => () => undefined
/** False on the server and while the page comes alive: until then nobody knows which tone the author likes. */
const useAlive = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  )

const icon = (d: string): ReactNode => (
  <svg
    width="22"
    height="22"
    viewBox="0 0 24 24"
    fill="none"
    stroke="currentColor"
    strokeWidth="1.5"
    strokeLinejoin="round"
    strokeLinecap="round"
    aria-hidden
  >
    <path d={d} />
  </svg>
)

/** The rooms of the rail, and those at its foot. */
const rooms = [
  {
    href: '/porch',
    name: 'Porch',
    face: icon('M2.5 10.5 12 4l9.5 6.5M5.5 8.6v11.9M18.5 8.6v11.9M2.5 20.5h19M12 4v5.2M10 9.2h4v5.3h-4z'),
  },
  {
    href: '/research',
    name: 'Research',
    face: icon(
      'M4 3v17h17 M9.2 14.5a1.2 1.2 0 1 1-.01 0M13.5 9.5a1.2 1.2 0 1 1-.01 0M18 12.6a1.2 1.2 0 1 1-.01 0M17.2 5.4a1.2 1.2 0 1 1-.01 0',
    ),
  },
  {
    href: '/ledger',
    name: 'Ledger',
    face: icon('M5 3h12a2 2 0 0 1 2 2v16H7a2 2 0 0 1-2-2zM5 17.5A2 2 0 0 1 7 16h12M9 7.5h6M9 11h6'),
  },
  {
    href: '/supplies',
    name: 'Supplies',
    face: icon('M3.5 3v18M20.5 3v18M3.5 11h17M3.5 20h17M7 11V6h3.5v5M13.5 11V8H17v3M6.5 20v-4.5h5V20M14.5 20v-6h2.5v6'),
  },
  {
    href: '/outlets',
    name: 'Outlets',
    face: icon('M4 21V10.5L12 4l8 6.5V21M4 21h16M9.5 21v-5.5a2.5 2.5 0 0 1 5 0V21'),
  },
]
const foot = [
  { href: '/backup', name: 'Backup', face: icon('M4 16v4h16v-4M12 4v11M8 11l4 4 4-4') },
  {
    href: '/preferences',
    name: 'Preferences',
    face: icon('M3 8h9M16 8h5M14 5.8a2.2 2.2 0 1 1-.01 0M3 16h4M11 16h10M9 13.8a2.2 2.2 0 1 1-.01 0'),
  },
]

/**
 * Rail, room and sill. The server draws none of it: the author's tone is known in the browser only, and a page that is answered
 * anew each time (its nonce) is answered sooner for it.
 */
export function Frame({ children }: { children: ReactNode }) {
  return useAlive() && <Drawn>{children}</Drawn>
}

/** The rail shows the rooms that there are. */
function Drawn({ children }: { children: ReactNode }) {
  // The program opens on the porch.
  const path = usePathname().replace(/^\/$/, '/porch')
  const tone = useTone()
  const still = useMachine('(prefers-reduced-motion: reduce)')
  const { desk } = usePreferences()
  return (
    <AntdRegistry>
      <ConfigProvider theme={antTheme(tone, still)}>
        <App>
          <a className="skip" href="#room">
            To the room
          </a>
          <div
            className="frame"
            style={{
              ...toneVariables(tone),
              ...deskVariables(desk, tone),
              background: 'var(--paper)',
              color: 'var(--ink)',
            }}
            data-tone={tone}
          >
            <nav className="rail" aria-label="Rooms">
              <div className="sign">
                <svg width="30" height="30" viewBox="0 0 32 32" aria-label="Porchlight" role="img">
                  <path
                    d="M4 14 16 4l12 10v14"
                    fill="none"
                    stroke="#e9e3d4"
                    strokeWidth="2"
                    strokeLinejoin="round"
                    strokeLinecap="round"
                  />
                  <path d="M4 14v14" stroke="#e9e3d4" strokeWidth="2" strokeLinecap="round" />
                  <rect x="12.4" y="15" width="7.2" height="8.6" rx="2" fill="#e59f2c" />
                  <path d="M12 27h8" stroke="#e9e3d4" strokeWidth="2" strokeLinecap="round" />
                </svg>
              </div>
              {rooms.map(r => (
                <Link prefetch={false} key={r.href} href={r.href} aria-current={path === r.href ? 'page' : undefined}>
                  {r.face}
                  {r.name}
                </Link>
              ))}
              <div className="foot">
                {foot.map(r => (
                  <Link prefetch={false} key={r.href} href={r.href} aria-current={path === r.href ? 'page' : undefined}>
                    {r.face}
                    {r.name}
                  </Link>
                ))}
                <button type="button" onClick={() => setPreferences({ tone: tone === 'dark' ? 'light' : 'dark' })}>
                  {tone === 'dark' ? (
                    <SunOutlined style={{ fontSize: 18 }} />
                  ) : (
                    <MoonOutlined style={{ fontSize: 18 }} />
                  )}
                  {tone === 'dark' ? 'Daylight' : 'Dusk'}
                </button>
              </div>
            </nav>
            {children}
          </div>
          <Keeping />
          <Shortcuts />
          <Offline />
        </App>
      </ConfigProvider>
    </AntdRegistry>
  )
}
