/** Small papers, many on a sheet of A4, to be cut apart along dashed lines: two beside each other. */
import { Document, Page, View } from '@react-pdf/renderer'
import type { ReactNode } from 'react'
import { styles } from './paper'

/** points of A4 */
const [width, height] = [595.2, 840]

interface Props<T> {
  title: string
  studio: string
  all: readonly T[]
  /** below each other */
  rows: number
  one: (each: T) => ReactNode
}
export function CutSheets<T>({ title, studio, all, rows, one }: Props<T>) {
  const perSheet = rows * 2
  const sheets = Array.from({ length: Math.max(1, Math.ceil(all.length / perSheet)) }, (_, k) =>
    all.slice(k * perSheet, (k + 1) * perSheet),
  )
  return (
    <Document title={title} author={studio} creator="Itinerum" producer="Itinerum">
      {sheets.map((sheet, k) => (
        <Page key={k} size="A4" style={{ ...styles.page, paddingTop: 0, paddingBottom: 0, paddingHorizontal: 0 }}>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
            {sheet.map((each, index) => (
              <View
                key={index}
                wrap={false}
                style={{
                  ...{ width: width / 2, height: height / rows, padding: 13, flexDirection: 'row', gap: 12 },
                  ...{ borderWidth: 0.5, borderColor: '#c9bfae', borderStyle: 'dashed', overflow: 'hidden' },
                }}
              >
                {one(each)}
              </View>
            ))}
          </View>
        </Page>
      ))}
    </Document>
  )
}
