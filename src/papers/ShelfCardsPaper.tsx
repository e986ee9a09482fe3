/** Cards that stand before the tins on a shelf: the colour, what it is, how far it goes, when it dries, what it wants and what to beware of. */
import { Path, Svg, Text, View } from '@react-pdf/renderer'
import { CutSheets } from './CutSheets'
import { styles } from './paper'

export interface ShelfCard {
  name: string
  family: string
  /** #rrggbb */
  colour: string | null
  facts: readonly (readonly [what: string, figure: string])[]
  /** what it wants, what it bears; cautions last */
  words: readonly string[]
}

export function ShelfCardsPaper({ studio, cards }: { studio: string; cards: readonly ShelfCard[] }) {
  const one = ({ name, family, colour, facts, words }: ShelfCard) => (
    <>
      <Svg viewBox="0 0 40 138" style={{ width: 40, height: 138 }}>
        <Path d="M12 0H40V138H0V12Z" fill={colour ?? '#efe8da'} stroke="#6b6259" strokeWidth={0.6} />
      </Svg>
      <View style={{ flex: 1 }}>
        <Text style={{ ...styles.title, fontSize: 17, marginTop: 0, marginBottom: 0 }}>{name}</Text>
        <Text style={styles.soft}>{family}</Text>
        <View style={{ marginTop: 4 }}>
          {facts.map(([what, figure]) => (
            <View key={what} style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
              <Text style={{ fontSize: 9 }}>{what}</Text>
              <Text style={{ ...styles.bold, fontSize: 9 }}>{figure}</Text>
            </View>
          ))}
        </View>
        {words.map((line) => (
          <Text key={line} style={{ fontSize: 8, marginTop: 1 }}>
            {line}
          </Text>
        ))}
      </View>
    </>
  )
  return <CutSheets title="Cards for the shelf" rows={5} all={cards} {...{ studio, one }} />
}
