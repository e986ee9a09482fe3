/** An offer on paper, as it was made; with what was accepted of it, where it was. */
import { Text, View } from '@react-pdf/renderer'
import { formatMoney } from '@/core/measure/money'
import { depositOf, type MadeQuote, totalOf } from '@/core/price/offer'
import { clientDate, type ClientWords } from '@/words/client'
import { termsOf } from '@/words/offer'
import { LayerStack, Paper, styles } from './paper'

interface Props {
  studio: { name: string; zone: string }
  quote: Pick<MadeQuote, 'kind' | 'at' | 'offer' | 'digest' | 'answer'>
  client: string | null
  words: ClientWords
}
export function OfferPaper({ studio, quote: { kind, at, offer, digest, answer }, client, words }: Props) {
  const chosen = answer?.chosen ?? null
  const { deal, papers } = words
  const money = (minor: number) => formatMoney(minor, { currency: offer.currency, locale: words.locale })
  const total = totalOf(offer, chosen ?? {})
  const deposit = depositOf(offer, total)
  const sectionOf = new Map(offer.sections.map((section) => [section.part, section]))
  const extra = (minor: number) =>
    minor === 0 ? deal.asPlanned : minor > 0 ? `+ ${money(minor)}` : `${money(-minor)} ${deal.less}`
  return (
    <Paper
      studio={studio.name}
      what={kind === 'quote' ? papers.offerPaper : deal.change}
      piece={offer.piece}
      under={[client && words.forWhom(client), clientDate(at, words, studio)]}
      language={words.locale}
      foot={`SHA-256 ${answer?.digest ?? digest}`}
      pageWords={papers.page}
    >
      {offer.words && <Text style={{ marginTop: 10 }}>{offer.words}</Text>}
      <View style={{ marginTop: 14 }}>
        {offer.lines.map((line) => {
          const section = line.partId === null ? undefined : sectionOf.get(line.words.replace(/^\d+ × /, ''))
          return (
            <View key={line.id} style={{ ...styles.row, alignItems: 'center' }} wrap={false}>
              {section && <LayerStack {...section} />}
              <View style={{ flex: 1 }}>
                <Text style={styles.bold}>{line.words}</Text>
                {line.detail && <Text style={styles.soft}>{line.detail}</Text>}
              </View>
              <Text style={styles.figure}>{money(line.money)}</Text>
            </View>
          )
        })}
        {offer.options.map((option) => (
          <View key={option.id} style={{ marginTop: 8 }} wrap={false}>
            <Text style={styles.bold}>
              {deal.each}: {option.words}
            </Text>
            {option.choices.map((choice) => (
              <View key={choice.id} style={styles.row}>
                <Text style={{ flex: 1, ...(chosen?.[option.id] === choice.id && styles.bold) }}>
                  {choice.words}
                  {chosen?.[option.id] === choice.id && ` (${papers.chosen})`}
                </Text>
                <Text>{extra(choice.extra)}</Text>
              </View>
            ))}
          </View>
        ))}
        <View style={styles.total}>
          <Text style={styles.figure}>{deal.total}</Text>
          <Text style={{ ...styles.figure, fontSize: 20 }}>{money(total)}</Text>
        </View>
        {deposit > 0 && (
          <View style={styles.total}>
            <Text>{deal.deposit}</Text>
            <Text style={styles.bold}>{money(deposit)}</Text>
          </View>
        )}
      </View>
      {offer.excluded && (
        <Text style={{ marginTop: 12 }}>
          <Text style={styles.bold}>{deal.excluded}: </Text>
          {offer.excluded}
        </Text>
      )}
      <Text style={{ ...styles.soft, marginTop: 12 }}>{termsOf(offer, words).join(' ')}</Text>
      {answer?.answer === 'accepted' && (
        <Text style={{ ...styles.bold, marginTop: 14 }}>
          {answer.name === null
            ? deal.acceptedAtDesk(clientDate(answer.at, words, studio))
            : papers.agreedBy(answer.name, clientDate(answer.at, words, studio))}
        </Text>
      )}
    </Paper>
  )
}
