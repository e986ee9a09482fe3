/** What went wrong and what to do, one sentence a code. Nothing typed is lost by any of them. */
export const issueWords = {
  'already-corrected': 'Somebody has put this entry right already. Reload to see the newest, then correct that one.',
  'not-believable': 'That figure is beyond what can be. Check it and send again.',
  'not-whole': 'Something is missing from this entry. Fill it in and send again.',
  'not-found': 'What this belongs to is not here any more. Reload the page.',
  'id-taken': 'This entry could not be stored under its number. Reload the page and enter it again.',
  'not-readable': 'Some of it can’t be read. Look at the marked fields.',
  unreachable: 'The records can’t be reached just now. Nothing was saved; what you typed is still here. Try again in a moment.',
  'already-ended': 'This piece has left already. Strike out its ending in the log first, if that was wrong.',
} as const
export type IssueCode = keyof typeof issueWords
