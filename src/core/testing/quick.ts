/** Each property is tried for this long at most, whatever it asks for: `./itinerum test quick`. */
import fc from 'fast-check'

const mostMs = 250
fc.configureGlobal({ interruptAfterTimeLimit: mostMs, markInterruptAsFailure: false })
