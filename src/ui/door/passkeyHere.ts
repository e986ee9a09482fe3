'use client'
/** Whether a passkey can be had here: by a browser that knows them, at a name. A bare number names no server. */
import { useSyncExternalStore } from 'react'

const never = () => () => undefined
const isNumber = (host: string) => /^[\d.]+$|^\[/.test(host)
export type PasskeysHere = 'yes' | 'bare-number' | 'unknown-to-browser'
const look = (): PasskeysHere =>
  isNumber(location.hostname) ? 'bare-number' : 'PublicKeyCredential' in window ? 'yes' : 'unknown-to-browser'

/** Null until it is known. */
export const usePasskeysHere = (): PasskeysHere | null => useSyncExternalStore(never, look, () => null)

/** Why no passkey was made or shown: whoever was asked said no, or there is none. */
export const notGiven =
  'No passkey was shown. It was broken off, or there is none for this address on what you have here. Try again, or come in by your name and password.'
