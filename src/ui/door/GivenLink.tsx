'use client'
/** An address that was just made: shown this once, copied, or sent by a letter where the house has mail. */
import { type SyntheticEvent, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { Field, Trouble } from '@/ui/form/Field'
import { useDoor } from './ask'

interface Props {
  /** what it is and how long it is good */
  words: string
  address: string
  /** by what tests and programs find it */
  mark: 'invitation' | 'password' | 'client-link'
  hasMail: boolean
  /** it opens a page that its maker may look at */
  isOpen?: boolean
}
export function GivenLink({ words, address, mark, hasMail, isOpen = false }: Props) {
  const [isCopied, setCopied] = useState(false)
  const copy = () =>
    navigator.clipboard.writeText(address).then(
      () => setCopied(true),
      () => setCopied(false),
    )
  return (
    <div className="mt-3 border-l-4 border-now pl-4">
      <strong className="block">{words}</strong>
      <code className="block break-all" {...{ [`data-${mark}`]: true }}>
        {address}
      </code>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <button type="button" className="press" onClick={() => void copy()}>
          Copy it
        </button>
        {isOpen && (
          <a href={address} target="_blank" rel="noreferrer" className="press">
            Look at it
          </a>
        )}
        <span role="status" className="font-semibold text-now">
          {isCopied ? 'Copied.' : ''}
        </span>
      </div>
      {hasMail && <ByLetter key={address} address={address} />}
    </div>
  )
}

const own = {
  gone: 'This address opens nothing any more. Make another one.',
  wait: 'Thirty letters within an hour are enough. Try again later, or give it by hand.',
  'no-mail': 'No mail server is named any more. Give it by hand.',
  'not-yours': 'Who makes such an address sends it.',
}
/** The same letter under the same number, however often it is sent off. */
function ByLetter({ address }: { address: string }) {
  const [id, setId] = useState<string>(() => uuidv7())
  const [sent, setSent] = useState<string | null>(null)
  const { send, issue, fields, pending } = useDoor<{ id: string; to: string; address: string }>('/api/letters', 'POST', own)
  const write = async (event: SyntheticEvent<HTMLFormElement>) => {
    event.preventDefault()
    const form = event.currentTarget
    const to = String(new FormData(form).get('to') ?? '')
    const said = await send({ id, to, address })
    if (!('ok' in said)) return
    setSent(to)
    setId(uuidv7())
    form.reset()
  }
  return (
    <form noValidate onSubmit={(event) => void write(event)} className="mt-3 grid items-end gap-3 sm:grid-cols-[1fr_auto]">
      <Field label="Send it by mail to" trouble={fields.to}>
        {(wired) => <input {...wired} name="to" type="email" inputMode="email" autoComplete="off" className="field" />}
      </Field>
      <button type="submit" className="press min-h-12" disabled={pending}>
        Send the letter
      </button>
      <p role="status" className="font-semibold text-now sm:col-span-2">
        {sent ? `On its way to ${sent}.` : ''}
      </p>
      <Trouble>{issue}</Trouble>
    </form>
  )
}
