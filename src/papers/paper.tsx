/** A sheet of paper as all of ours look: the studio above, what it is, page numbers below. For PDF; fonts ship with the app. */
import { join } from 'node:path'
import { Document, Font, Page, Path, StyleSheet, Svg, Text, View } from '@react-pdf/renderer'
import type { ReactNode } from 'react'

const fontAt = (name: string) => join(process.cwd(), 'node_modules', '@fontsource', name)
Font.register({
  family: 'Archivo',
  fonts: [
    { src: fontAt('archivo/files/archivo-latin-400-normal.woff') },
    { src: fontAt('archivo/files/archivo-latin-700-normal.woff'), fontWeight: 700 },
  ],
})
// letters that the first has not
Font.register({
  family: 'Archivo more',
  fonts: [
    { src: fontAt('archivo/files/archivo-latin-ext-400-normal.woff') },
    { src: fontAt('archivo/files/archivo-latin-ext-700-normal.woff'), fontWeight: 700 },
  ],
})
Font.register({ family: 'Alegreya', src: fontAt('alegreya/files/alegreya-latin-700-normal.woff'), fontWeight: 700 })
Font.register({ family: 'Alegreya more', src: fontAt('alegreya/files/alegreya-latin-ext-700-normal.woff'), fontWeight: 700 })
// words are not cut at the end of a line
Font.registerHyphenationCallback((word) => [word])

const ink = '#221d1a'
const soft = '#6b6259'
const line = '#c9bfae'
const title = { fontFamily: ['Alegreya', 'Alegreya more'], fontWeight: 700 }
export const styles = StyleSheet.create({
  page: {
    paddingTop: 48,
    paddingBottom: 56,
    paddingHorizontal: 52,
    fontFamily: ['Archivo', 'Archivo more'],
    fontSize: 10.5,
    lineHeight: 1.35,
    color: ink,
  },
  eyebrow: { fontWeight: 700, fontSize: 9 },
  title: { ...title, fontSize: 30, lineHeight: 1.2, marginTop: 2, marginBottom: 4 },
  heading: { ...title, fontSize: 16, marginTop: 20, marginBottom: 4, paddingTop: 6, borderTopWidth: 1.5, borderTopColor: ink },
  small: { ...title, fontSize: 12.5, marginTop: 8, marginBottom: 3 },
  soft: { color: soft },
  bold: { fontWeight: 700 },
  row: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    gap: 12,
    borderBottomWidth: 0.6,
    borderBottomColor: line,
    paddingVertical: 5,
  },
  total: { flexDirection: 'row', justifyContent: 'space-between', gap: 12, paddingTop: 6 },
  figure: { fontWeight: 700, fontSize: 13 },
  foot: {
    position: 'absolute',
    // of a sheet of A4, 842 points high: measured from below it is not drawn
    top: 802,
    left: 52,
    right: 52,
    flexDirection: 'row',
    justifyContent: 'space-between',
    fontSize: 8,
    color: soft,
  },
})

interface Props {
  studio: string
  what: string
  piece: string
  under: readonly (string | null)[]
  language: string
  foot: string
  pageWords: (n: number, all: number) => string
  children: ReactNode
}
export function Paper({ studio, what, piece, under, language, foot, pageWords, children }: Props) {
  return (
    <Document title={`${what}: ${piece}`} author={studio} creator="Itinerum" producer="Itinerum" language={language}>
      <Page size="A4" style={styles.page}>
        <Text style={styles.eyebrow}>
          {studio} · {what}
        </Text>
        <Text style={styles.title}>{piece}</Text>
        <Text style={styles.soft}>{under.filter((each) => each !== null).join(' · ')}</Text>
        {children}
        <View style={styles.foot} fixed>
          <Text style={{ flex: 1 }}>{foot}</Text>
          <Text render={({ pageNumber, totalPages }) => pageWords(pageNumber, totalPages)} />
        </View>
      </Page>
    </Document>
  )
}

export interface DrawnLayer {
  kind: string
  tone: string
  count: number
}
const width = 64
const height = 54
const ground = 14
/** Layers from the wood up, as they lie on a part. */
export function LayerStack({ wood, layers }: { wood: boolean; layers: readonly DrawnLayer[] }) {
  const all = layers.flatMap(({ kind, tone, count }) => Array.from({ length: Math.min(count, 4) }, () => ({ kind, tone })))
  const each = all.length === 0 ? 0 : Math.min(8, (height - ground) / all.length)
  return (
    <Svg viewBox={`0 0 ${width} ${height}`} style={{ width, height }}>
      <Path d={`M0 ${height - ground}H${width}V${height}H0Z`} fill={wood ? '#b98f5a' : '#b9b4aa'} />
      {all.map(({ tone }, index) => {
        const top = height - ground - (index + 1) * each
        return (
          <Path
            key={index}
            d={`M0 ${top}H${width}V${top + Math.max(1, each - 0.8)}H0Z`}
            fill={tone}
            stroke={soft}
            strokeWidth={0.4}
          />
        )
      })}
    </Svg>
  )
}
export const Code = ({ size, path }: { size: number; path: string }) => (
  <Svg viewBox={`0 0 ${size} ${size}`} style={{ width: 92, height: 92 }}>
    <Path d={path} fill={ink} />
  </Svg>
)
