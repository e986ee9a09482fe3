'use client'
/** A second factor of one's own: an app's figures beside the password. Turned on by typing them once; printed codes for a lost phone. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { TextField, Trouble } from '@/ui/form/Field'
import { openAnew, useDoor } from './ask'
import { CodeField } from './CodeField'
import { QrCode } from './QrCode'

interface Fresh {
  secret: string
  address: string
  picture: { size: number; path: string }
}
const issueWords = {
  wrong: 'That is not your password. Nothing was changed.',
  on: 'The figures of another app are asked for already. End those first, by a code of theirs; then begin anew.',
}

interface Props {
  isOn: boolean
  left: number
  /** asked before one comes any further: where to, then */
  onward?: string
}
export function SecondFactor({ isOn, left, onward }: Props) {
  const router = useRouter()
  const [fresh, setFresh] = useState<Fresh | null>(null)
  const [codes, setCodes] = useState<readonly string[] | null>(null)
  const beginning = useDoor<object, Fresh>('/api/second-factor', 'POST', issueWords)
  const changing = useDoor<object, { codes?: string[] }>('/api/second-factor', 'PUT', issueWords)
  const pending = beginning.pending || changing.pending
  const begin = async () => {
    const answer = await beginning.send({})
    if ('ok' in answer) setFresh(answer.said)
  }
  const send = async (method: 'PUT' | 'DELETE', typed: FormData) => {
    const asked = { password: typed.get('password'), code: typed.get('code'), ...(fresh && { secret: fresh.secret }) }
    const answer = await changing.send(asked, method)
    if (!('ok' in answer)) return
    setFresh(null)
    setCodes(answer.said.codes ?? null)
    router.refresh()
  }
  const steps = (
    <>
      {codes && <PrintedCodes codes={codes} />}
      {onward && isOn && (
        <p className="mt-4">
          <button type="button" className="press press-now min-h-14 px-8 text-lg" onClick={() => openAnew(onward)}>
            Go on
          </button>
        </p>
      )}
      {!isOn && !fresh && !codes && (
        <>
          <p className="mb-3 text-soft">
            An app on your phone shows six figures that change every half minute. Whoever guesses your password still doesn’t come
            in.
          </p>
          <button
            type="button"
            className={onward ? 'press press-now min-h-14 px-8 text-lg' : 'press'}
            disabled={pending}
            onClick={() => void begin()}
          >
            Begin
          </button>
        </>
      )}
      {fresh && <Taking fresh={fresh} />}
      {(fresh ?? (isOn && onward === undefined)) && (
        <form
          method="post"
          noValidate
          className="mt-4 space-y-4"
          onSubmit={(event) => {
            event.preventDefault()
            const by = event.nativeEvent.submitter?.getAttribute('value')
            void send(by === 'off' ? 'DELETE' : 'PUT', new FormData(event.currentTarget))
          }}
        >
          {isOn && !fresh && (
            <p className="text-soft">
              {left === 0
                ? 'No printed code is left.'
                : left === 1
                  ? 'One printed code is left.'
                  : `${left} printed codes are left.`}{' '}
              Both are changed by your password and a code.
            </p>
          )}
          <TextField label="Your password" name="password" type="password" autoComplete="current-password" />
          <CodeField
            name="code"
            trouble={changing.fields.code}
            {...(fresh && { hint: 'The six that it shows now: so it is sure that the app has taken it up.' })}
          />
          <div className="flex flex-wrap gap-3">
            <button type="submit" value="on" disabled={pending} className={`press min-h-12 ${fresh ? 'press-now' : ''}`}>
              {fresh ? 'Ask for it from now on' : 'Print codes anew'}
            </button>
            {isOn && !fresh && (
              <button type="submit" value="off" disabled={pending} className="press min-h-12">
                Ask for it no more
              </button>
            )}
          </div>
        </form>
      )}
      <Trouble>{beginning.issue ?? changing.issue}</Trouble>
    </>
  )
  if (onward) return <div className="mt-6 max-w-xl">{steps}</div>
  return (
    <details className="mt-2 max-w-xl" open={codes !== null || undefined}>
      <summary className="min-h-12 cursor-pointer py-2 text-lg font-semibold">
        {isOn ? 'Codes from your app: asked for' : 'A code from an app as well'}
      </summary>
      {steps}
    </details>
  )
}

/** As a camera takes it up, and as it is typed. */
function Taking({ fresh: { secret, address, picture } }: { fresh: Fresh }) {
  return (
    <div className="flex flex-wrap items-start gap-5">
      <QrCode {...picture} label="What your app takes up by its camera" />
      <div className="min-w-0 flex-1">
        <p>Show this to the app, or type what stands here into it:</p>
        <p className="figure mt-2 text-2xl [word-spacing:0.35em]" data-secret={secret}>
          {secret.replace(/(.{4})(?=.)/g, '$1 ')}
        </p>
        <p className="mt-2">
          <a href={address} className="press">
            The app is on this phone
          </a>
        </p>
      </div>
    </div>
  )
}

function PrintedCodes({ codes }: { codes: readonly string[] }) {
  return (
    <div className="border-l-4 border-now pl-4" data-printed-alone>
      <p className="text-lg font-semibold">
        Print these, or write them down: each comes in once, on the day your phone is not there. They are shown this once.
      </p>
      <ol className="figure mt-3 grid grid-cols-1 gap-x-8 gap-y-1 text-xl sm:grid-cols-2" data-codes>
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ol>
      <button type="button" className="press unprinted mt-3" onClick={() => window.print()}>
        Print
      </button>
    </div>
  )
}
