import { theme, type ThemeConfig } from 'antd'

/** Colours and type of the interface. Amber means lamp and nothing else. */
export const tones = {
  light: {
    ink: '#15343d',
    second: '#41606a',
    muted: '#56717a',
    paper: '#fbf8f1',
    panel: '#f5f0e5',
    table: '#efe9dc',
    hairline: '#ddd4c2',
    sheet: '#fffefb',
    lamp: '#e59f2c',
    stop: '#a8412a',
    rail: '#15343d',
  },
  dark: {
    ink: '#e9e3d4',
    second: '#b9c3c1',
    muted: '#93a6a8',
    paper: '#0f2128',
    panel: '#15303a',
    table: '#122a33',
    hairline: '#2b4650',
    sheet: '#1a3540',
    lamp: '#e59f2c',
    stop: '#e58a70',
    rail: '#0a181d',
  },
} as const

export type Tone = keyof typeof tones

/** Ant Design's theme in our tokens. Where nothing may move, it waits for the end of no movement either. */
export function antTheme(tone: Tone, still: boolean): ThemeConfig {
  const t = tones[tone]
  return {
    algorithm: tone === 'dark' ? theme.darkAlgorithm : theme.defaultAlgorithm,
    cssVar: { key: 'porchlight' },
    token: {
      colorPrimary: tone === 'dark' ? '#7fb0b8' : t.ink,
      colorInfo: t.second,
      colorError: t.stop,
      colorTextLightSolid: tone === 'dark' ? '#0f2128' : '#fffefb',
      colorText: t.ink,
      colorTextSecondary: t.second,
      colorTextTertiary: t.muted,
      colorTextPlaceholder: t.muted,
      colorBgBase: t.paper,
      colorBgContainer: t.sheet,
      colorBgElevated: t.sheet,
      colorBgLayout: t.paper,
      colorBorder: t.hairline,
      // What is chosen in a list stands on the table's tone, in ink.
      controlItemBgHover: t.panel,
      controlItemBgActive: t.table,
      controlItemBgActiveHover: t.table,
      colorBorderSecondary: t.hairline,
      fontFamily: "'Figtree Variable', system-ui, sans-serif",
      fontSize: 13.5,
      lineHeight: 1.45,
      borderRadius: 5,
      sizeStep: 4,
      controlHeight: 32,
      motion: !still,
      motionDurationMid: '0.12s',
      motionDurationSlow: '0.16s',
      boxShadow: '0 2px 10px rgba(21, 52, 61, 0.14)',
      boxShadowSecondary: '0 2px 10px rgba(21, 52, 61, 0.14)',
      wireframe: false,
    },
    components: {
      Button: { primaryShadow: 'none', defaultShadow: 'none', dangerShadow: 'none', fontWeight: 500 },
      Input: { activeShadow: 'none' },
      Modal: { titleFontSize: 18 },
    },
  }
}

/** The same tones as custom properties, for our own style sheets. */
export const toneVariables = (tone: Tone): Record<string, string> =>
  Object.fromEntries(Object.entries(tones[tone]).map(([k, v]) => [`--${k}`, v]))
