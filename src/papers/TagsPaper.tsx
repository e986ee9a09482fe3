/** Tags to tie to pieces in the workshop: what it is, for whom, until when, what it becomes, what to beware of, and a code that opens its page. */
import { Text, View } from '@react-pdf/renderer'
import { CutSheets } from './CutSheets'
import { Code, styles } from './paper'

export interface Tag {
  name: string
  /** for whom, until when */
  under: readonly string[]
  /** its parts and what they become */
  parts: readonly string[]
  caution: string | null
  code: { size: number; path: string }
}
const mostParts = 4

export function TagsPaper({ studio, tags }: { studio: string; tags: readonly Tag[] }) {
  const one = ({ name, under, parts, caution, code }: Tag) => (
    <>
      <View style={{ width: 92 }}>
        <Code {...code} />
        <Text style={{ ...styles.soft, fontSize: 8, marginTop: 2 }}>{studio}</Text>
      </View>
      <View style={{ flex: 1 }}>
        <Text style={{ ...styles.title, fontSize: 18, marginTop: 0 }}>{name}</Text>
        {under.map((line) => (
          <Text key={line} style={styles.bold}>
            {line}
          </Text>
        ))}
        <View style={{ marginTop: 5 }}>
          {parts.slice(0, mostParts).map((line, k) => (
            <Text key={k} style={{ fontSize: 9 }}>
              {line}
            </Text>
          ))}
          {parts.length > mostParts && <Text style={{ ...styles.soft, fontSize: 9 }}>+ {parts.length - mostParts}</Text>}
        </View>
        {caution && <Text style={{ ...styles.bold, fontSize: 9, marginTop: 6 }}>{caution}</Text>}
      </View>
    </>
  )
  return <CutSheets title="Tags" rows={4} all={tags} {...{ studio, one }} />
}
