'use client'
/** Lets the dialogs hold the page still behind them: the one style they put in carries the nonce of this very document. */
import { setNonce } from 'get-nonce'
import { useState } from 'react'

export function StyleNonce({ nonce }: { nonce: string | null }) {
  // a later reading of the page has another nonce; the document keeps its first
  useState(() => nonce && setNonce(nonce))
  return null
}
