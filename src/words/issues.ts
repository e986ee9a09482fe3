/** What went wrong and what to do, one sentence a code. Nothing typed is lost by any of them. */
import type { IssueCode } from '@/core/input/issues'

export const issueWords: Record<IssueCode, string> = {
  'already-answered': 'This offer was answered already, and that stands. Reload the page to see what was said.',
  'already-billed': 'It is billed already. Take that invoice back first, by a credit note.',
  'already-corrected': 'Somebody has put this entry right already. Reload to see the newest, then correct that one.',
  'already-ended': 'This piece has left already. Strike out its ending in the log first, if that was wrong.',
  'belongs-elsewhere':
    'They sign in to another studio too, or not by a password: that is theirs to change, or for whoever runs the machine, by ./itinerum password.',
  busy: 'Too many ask at once. Nothing was saved; what you typed is still here. Try again in a moment.',
  elsewhere: 'This came from somewhere else than the page that was opened here. Open Itinerum anew and send it from there.',
  'id-taken':
    'Under this number something else was stored before, and that stands. Reload the page to see it, then enter this anew.',
  'last-owner': 'Somebody has to own the studio. Make somebody else an owner first: “Another role”, beside their name.',
  'leaves-unfinished': 'Something about it is not done. Read what, below, and say that it leaves all the same.',
  'not-believable': 'That figure or day is beyond what can be. Check it and send again.',
  'not-found': 'What this belongs to is not here any more, or is not of each other. Reload the page.',
  'not-readable': 'Some of it can’t be read. Look at the marked fields.',
  'not-storable': 'The server broke over this and has not stored it. It stays on this device: send it again, or let it go.',
  'not-whole': 'Something is missing from this entry. Fill it in and send again.',
  'not-yours': 'What you are in this studio doesn’t include this. Nothing was changed; its owner can.',
  'offer-over':
    'This offer stands no more: it was withdrawn, changed, or its last day is past. Reload the page to see what stands.',
  'over-invoice': 'More than still stands on that invoice can’t be taken back.',
  'service-silent':
    'The payment service does not answer. Nothing was given back; try again in a moment, or give it back by hand and write it down.',
  'signed-out':
    'Nobody is signed in here any more. What you typed is still here: sign in again in another tab, then send it once more.',
  'still-running': 'A clock runs on it. End or pause that step first.',
  unreachable: 'The records can’t be reached just now. Nothing was saved; what you typed is still here. Try again in a moment.',
}
