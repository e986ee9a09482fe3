/** An invoice, or a note that takes some of it back, as it was made. */
import { Text, View } from '@react-pdf/renderer'
import { formatMoney } from '@/core/measure/money'
import { numberText } from '@/core/measure/number'
import type { MadeReceipt } from '@/core/price/receipt'
import { clientDate, type ClientWords } from '@/words/client'
import { Paper, styles } from './paper'

export function ReceiptPaper({ receipt: { number, kind, paper, digest }, words }: { receipt: MadeReceipt; words: ClientWords }) {
  const { deal, papers } = words
  const money = (minor: number) => formatMoney(minor, { currency: paper.currency, locale: words.locale })
  const { tax, of } = paper
  return (
    <Paper
      studio={paper.studio}
      what={paper.piece}
      piece={kind === 'invoice' ? papers.invoice(number) : papers.creditNote(number)}
      under={[paper.client && words.forWhom(paper.client), clientDate(`${paper.day}T12:00:00.000Z`, words, { zone: 'UTC' })]}
      language={words.locale}
      foot={`SHA-256 ${digest}`}
      pageWords={papers.page}
    >
      {paper.letterhead && (
        <View style={{ marginTop: 8 }}>
          <Text style={styles.bold}>{paper.studio}</Text>
          <Text>{paper.letterhead}</Text>
        </View>
      )}
      {of && <Text style={{ marginTop: 12 }}>{papers.takesBack(of.number, of.reason)}</Text>}
      <View style={{ marginTop: 16 }}>
        {paper.lines.map((line, k) => (
          <View key={k} style={styles.row} wrap={false}>
            <Text style={{ flex: 1 }}>{line.words}</Text>
            <Text style={styles.figure}>{money(line.money)}</Text>
          </View>
        ))}
        <View style={{ ...styles.total, marginBottom: 6 }}>
          <Text style={styles.figure}>{of ? papers.back : deal.total}</Text>
          <Text style={{ ...styles.figure, fontSize: 20 }}>{money(paper.total)}</Text>
        </View>
        {tax.mode === 'inclusive' && (
          <View style={styles.total}>
            <Text>{papers.taxWithin(`${numberText(tax.share * 100, { locale: words.locale }, 2)} %`)}</Text>
            <Text style={styles.bold}>{money(tax.money)}</Text>
          </View>
        )}
        {paper.paid !== null && (
          <>
            <View style={styles.total}>
              <Text>{deal.paid}</Text>
              <Text style={styles.bold}>{money(paper.paid)}</Text>
            </View>
            <View style={styles.total}>
              <Text>{paper.paid > paper.total ? deal.back : deal.balance}</Text>
              <Text style={styles.bold}>{money(Math.abs(paper.total - paper.paid))}</Text>
            </View>
          </>
        )}
      </View>
      {tax.mode === 'margin' && <Text style={{ ...styles.soft, marginTop: 14 }}>{papers.marginTaxed}</Text>}
    </Paper>
  )
}
