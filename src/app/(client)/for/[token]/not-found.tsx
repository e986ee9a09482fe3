/** A link that opens nothing, said in each of the languages: whose it was is not known here. */
import { clientLanguages } from '@/core/house/clientPage'
import { clientWords } from '@/words/client'

export default function Over() {
  return (
    <main id="main" className="mx-auto max-w-xl px-5 py-16">
      {clientLanguages.map((language) => (
        <section key={language} lang={language} className="border-b border-line py-5">
          {language === 'en' ? (
            <h1 className="title text-3xl">{clientWords[language].over}</h1>
          ) : (
            <h2 className="title text-3xl">{clientWords[language].over}</h2>
          )}
          <p className="mt-1 font-serif text-lg">{clientWords[language].overHint}</p>
        </section>
      ))}
    </main>
  )
}
