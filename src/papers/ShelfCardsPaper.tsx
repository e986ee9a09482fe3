/** Cards that stand before the tins on a shelf: the colour, what it is, how far it goes, when it dries, what it wants and what to beware of. */
import { Path, Svg, Text, View } from '@react-pdf/renderer'
import { CutSheets } from './CutSheets'
import { styles } from './paper'

const small = { lineHeight: 1.25, flexShrink: 0 }

export interface ShelfCard {
  name: string
  /** null where the tin is called so already */
  family: string | null
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
        <Text style={{ ...styles.title, fontSize: 15, lineHeight: 1.2, marginTop: 0, marginBottom: 1, flexShrink: 0 }}>
          {name}
        </Text>
        {family && <Text style={{ ...styles.soft, ...small, fontSize: 9 }}>{family}</Text>}
        <View style={{ marginTop: 4, flexShrink: 0 }}>
          {facts.map(([what, figure]) => (
            <View key={what} style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
              <Text style={{ ...small, fontSize: 8.5 }}>{what}</Text>
              <Text style={{ ...styles.bold, ...small, fontSize: 8.5 }}>{figure}</Text>
            </View>
          ))}
        </View>
        <Text style={{ ...small, fontSize: 8, marginTop: 4 }}>{words.join(' ')}</Text>
      </View>
    </>
  )
  return <CutSheets title="Cards for the shelf" rows={5} all={cards} {...{ studio, one }} />
}
