/** What goes along with a piece: its layers and their days, its colours and what they are made of, its care, the way to its page. */
import { Path, Svg, Text, View } from '@react-pdf/renderer'
import { getFamily } from '@/core/craft/families'
import { dayOf } from '@/core/measure/time'
import type { Handover } from '@/core/piece/handover'
import { clientDate, clientDay, type ClientWords } from '@/words/client'
import { capital } from '@/words/text'
import { Code, type DrawnLayer, LayerStack, Paper, styles } from './paper'

interface Props {
  studio: { name: string; zone: string }
  piece: { name: string; client: string | null }
  madeAt: string
  handover: Handover
  /** of each part, in the same order */
  drawn: readonly { wood: boolean; layers: readonly DrawnLayer[] }[]
  words: ClientWords
  /** the client's page */
  code: { size: number; path: string; address: string } | null
}
export function HandoverPaper({ studio, piece, madeAt, handover, drawn, words, code }: Props) {
  const { papers } = words
  // families are told in the language they are kept in
  const isEnglish = words.locale.startsWith('en')
  const date = (at: string) => clientDate(at, words, studio)
  return (
    <Paper
      studio={studio.name}
      what={papers.paper}
      piece={piece.name}
      under={[piece.client && words.forWhom(piece.client), date(madeAt)]}
      language={words.locale}
      foot={studio.name}
      pageWords={papers.page}
    >
      <Text style={styles.heading}>{words.record}</Text>
      {handover.parts.map((part, index) => (
        <View key={index} style={{ flexDirection: 'row', gap: 14, marginTop: 8 }} wrap={false}>
          {drawn[index] && <LayerStack {...drawn[index]} />}
          <View style={{ flex: 1 }}>
            <Text style={styles.small}>{part.name}</Text>
            {part.lines.map(({ kind, colour, family, mix, on }, k) => (
              <View key={k} style={styles.row}>
                <Text style={{ flex: 1 }}>
                  {[capital(words.layers[kind]), colour, isEnglish && family ? getFamily(family).words : null, mix]
                    .filter(Boolean)
                    .join(' · ')}
                </Text>
                <Text style={styles.soft}>{date(on)}</Text>
              </View>
            ))}
          </View>
        </View>
      ))}
      {handover.colours.length > 0 && (
        <View wrap={false}>
          <Text style={styles.heading}>{papers.made}</Text>
          {handover.colours.map(({ name, hex, parts }) => (
            <View key={`${name} ${hex}`} style={{ ...styles.row, alignItems: 'center', justifyContent: 'flex-start' }}>
              <Svg viewBox="0 0 14 14" style={{ width: 14, height: 14 }}>
                <Path d="M0 0H14V14H0Z" fill={hex} stroke="#6b6259" strokeWidth={0.6} />
              </Svg>
              <Text style={styles.bold}>{name}</Text>
              <Text style={styles.soft}>{parts.map((each) => `${each.parts} ${each.name}`).join(' : ')}</Text>
            </View>
          ))}
          <Text style={styles.small}>{papers.touchUp}</Text>
          <Text>{papers.touchUpHow}</Text>
        </View>
      )}
      <View wrap={false}>
        <Text style={styles.heading}>{words.care}</Text>
        <View style={{ flexDirection: 'row', gap: 16 }}>
          <View style={{ flex: 1, gap: 4 }}>
            {handover.usable && (
              <Text style={styles.bold}>{words.careDated(clientDay(dayOf(handover.usable, studio.zone), words))}</Text>
            )}
            <Text>{words.careText}</Text>
            {handover.isOiled && <Text style={styles.bold}>{papers.oiled}</Text>}
            <Text>{words.careSafety}</Text>
          </View>
          {code && (
            <View style={{ width: 92 }}>
              <Code {...code} />
              <Text style={{ ...styles.soft, fontSize: 8 }}>{papers.scan}</Text>
            </View>
          )}
        </View>
      </View>
    </Paper>
  )
}
