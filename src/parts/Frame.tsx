'use client'
import { AntdRegistry } from '@ant-design/nextjs-registry'
import { MoonOutlined, SunOutlined } from '@ant-design/icons'
import { App, ConfigProvider } from 'antd'
import Link from 'next/link'
import { usePathname } from 'next/navigation'
import { type ReactNode, useSyncExternalStore } from 'react'
import { antTheme, type Tone, toneVariables } from '@/look/theme'

const KEY = 'porchlight-tone'
const listeners = new Set<() => void>()

const readTone = (): Tone => (localStorage.getItem(KEY) as Tone | null) ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light')

function useTone(): [Tone, () => void] {
  const tone = useSyncExternalStore(
    l => {
      listeners.add(l)
      return () => listeners.delete(l)
    },
    readTone,
    () => 'light' as Tone,
  )
  return [tone, () => {
    localStorage.setItem(KEY, tone === 'dark' ? 'light' : 'dark')
    listeners.forEach(l => l())
  }]
}

const shelfIcon = (
  <svg width="22" height="22" viewBox="0 0 24 24" fill="none" stroke="currentColor" strokeWidth="1.5" strokeLinejoin="round" aria-hidden>
    <path d="M4 4h4v16H4zM10 4h4v16h-4zM15.4 5.2l3.6-1 3.6 15-3.8 1z M2.5 22h19" transform="translate(-1 -1)" />
  </svg>
)

const outletsIcon = (
  <svg width="22" height="22" viewBox="0 0 24 24" fill="none" stroke="currentColor" strokeWidth="1.5" strokeLinejoin="round" strokeLinecap="round" aria-hidden>
    <path d="M4 21V10.5L12 4l8 6.5V21M4 21h16M9.5 21v-5.5a2.5 2.5 0 0 1 5 0V21" />
  </svg>
)

/** Rail, room and sill. The rail shows the rooms that there are. */
export function Frame({ children }: { children: ReactNode }) {
  const path = usePathname()
  const [tone, turn] = useTone()
  return (
    <AntdRegistry>
      <ConfigProvider theme={antTheme(tone)}>
        <App>
          <a className="skip" href="#room">To the room</a>
          <div className="frame" style={{ ...toneVariables(tone), background: 'var(--paper)', color: 'var(--ink)' }} data-tone={tone}>
            <nav className="rail" aria-label="Rooms">
              <div className="sign">
                <svg width="30" height="30" viewBox="0 0 32 32" aria-label="Porchlight" role="img">
                  <path d="M4 14 16 4l12 10v14" fill="none" stroke="#e9e3d4" strokeWidth="2" strokeLinejoin="round" strokeLinecap="round" />
                  <path d="M4 14v14" stroke="#e9e3d4" strokeWidth="2" strokeLinecap="round" />
                  <rect x="12.4" y="15" width="7.2" height="8.6" rx="2" fill="#e59f2c" />
                  <path d="M12 27h8" stroke="#e9e3d4" strokeWidth="2" strokeLinecap="round" />
                </svg>
              </div>
              <Link href="/" aria-current={path === '/' ? 'page' : undefined}>
                {shelfIcon}
                Shelf
              </Link>
              <Link href="/outlets" aria-current={path === '/outlets' ? 'page' : undefined}>
                {outletsIcon}
                Outlets
              </Link>
              <div className="foot">
                <button type="button" onClick={turn}>
                  {tone === 'dark' ? <SunOutlined style={{ fontSize: 18 }} /> : <MoonOutlined style={{ fontSize: 18 }} />}
                  {tone === 'dark' ? 'Daylight' : 'Dusk'}
                </button>
              </div>
            </nav>
            {children}
          </div>
        </App>
      </ConfigProvider>
    </AntdRegistry>
  )
}
