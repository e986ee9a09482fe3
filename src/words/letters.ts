/** Letters that bring an address, in the language of whoever gets them. */
import type { ClientLanguage } from '@/core/house/clientPage'

export interface LetterText {
  subject: string
  words: string
}
const lines = (...each: string[]) => each.join('\n\n')

export const joinLetter = (studio: string, by: string, address: string): LetterText => ({
  subject: `Come in at ${studio}`,
  words: lines(
    `${by} asks you in at ${studio}. This address opens once, within three days:`,
    address,
    'If you know nothing of it, leave it alone: by itself it opens nothing.',
  ),
})
export const passwordLetter = (studio: string, by: string, address: string): LetterText => ({
  subject: `A new password at ${studio}`,
  words: lines(
    `${by} made you an address where you choose a new password. It opens once, within a day:`,
    address,
    'If you asked for none, tell them, and do not open it.',
  ),
})
const forClient: Record<ClientLanguage, (studio: string, piece: string, address: string) => LetterText> = {
  en: (studio, piece, address) => ({
    subject: `${piece}, at ${studio}`,
    words: lines(
      `Here you see how ${piece} comes along, and ask what you wish to know:`,
      address,
      'Whoever has this address sees the page. It is yours alone; pass it on only to whom you trust with it.',
    ),
  }),
  de: (studio, piece, address) => ({
    subject: `${piece}, bei ${studio}`,
    words: lines(
      `Hier sehen Sie, wie es mit „${piece}“ vorangeht, und können fragen, was Sie wissen möchten:`,
      address,
      'Wer diese Adresse hat, sieht die Seite. Sie ist nur für Sie; geben Sie sie nur weiter, wem Sie sie anvertrauen.',
    ),
  }),
  fr: (studio, piece, address) => ({
    subject: `${piece}, chez ${studio}`,
    words: lines(
      `Ici vous voyez où en est « ${piece} », et vous pouvez poser vos questions :`,
      address,
      'Quiconque a cette adresse voit la page. Elle n’est que pour vous ; ne la donnez qu’à des personnes de confiance.',
    ),
  }),
  es: (studio, piece, address) => ({
    subject: `${piece}, en ${studio}`,
    words: lines(
      `Aquí puede ver cómo avanza «${piece}» y preguntar lo que quiera saber:`,
      address,
      'Quien tiene esta dirección ve la página. Es solo para usted; désela únicamente a quien le merezca confianza.',
    ),
  }),
}
export const clientLetter = (language: ClientLanguage, studio: string, piece: string, address: string): LetterText =>
  forClient[language](studio, piece, address)
