import { cookies } from 'next/headers'
import type { ReactNode } from 'react'
import * as bench from '@/app/_actions/bench'
import * as client from '@/app/_actions/client'
import * as correct from '@/app/_actions/correct'
import * as doors from '@/app/_actions/doors'
import * as houseActions from '@/app/_actions/house'
import * as job from '@/app/_actions/job'
import * as leaving from '@/app/_actions/leaving'
import * as parts from '@/app/_actions/parts'
import * as piece from '@/app/_actions/piece'
import * as quote from '@/app/_actions/quote'
import * as rest from '@/app/_actions/rest'
import * as week from '@/app/_actions/week'
import { loadHouse } from '@/app/_server/session'
import { whoIsIn } from '@/app/_server/whoIsIn'
import { themeOf } from '@/app/theme'
import { type Within, Workshop } from '@/ui/frame/Workshop'

/** Where there is work: everything but the door. */
const actions = {
  ...bench,
  ...client,
  ...correct,
  ...doors,
  ...houseActions,
  ...job,
  ...leaving,
  ...parts,
  ...piece,
  ...quote,
  ...rest,
  ...week,
}

/** Whose house it is, and who is in it. */
async function readWithin(): Promise<Within> {
  const [{ studio, people }, session] = await Promise.all([loadHouse(), whoIsIn()])
  const { name, currency, units, zone, locale, hidesMoney } = studio
  const who = session && {
    personId: session.personId,
    name: session.personName,
    role: session.role,
    membershipId: session.membershipId,
  }
  return {
    house: { currency, units, zone, locale, hidesMoney },
    name,
    // a helper's entries are the helper's own
    people: who?.role === 'helper' ? people.filter(({ id }) => id === who.personId) : people,
    who,
  }
}

export default async function Layout({ children }: { children: ReactNode }) {
  const theme = themeOf(await cookies())
  return (
    <Workshop within={readWithin()} actions={actions} theme={theme} startMs={startOf()}>
      {children}
    </Workshop>
  )
}

const startOf = () => Date.now()
