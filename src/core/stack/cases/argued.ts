/** Where a painter who found a stack wrong, or right, is answered: why the rules see it otherwise. Told in docs/advice.md. */

/** Found wrong, and let pass. */
export const arguedWrong: Record<string, string> = {
  'preparation: whitewash over stripped oak under water clear, no barrier':
    'Yellowing under a wash that lets the wood be seen tints what is meant to be seen. The plan says so beforehand, as advice; it is no fault of the stack.',
  'preparation: knots under whitewash untreated':
    'Knotting would show as amber spots under a wash. The plan says beforehand that the knots stay visible and may yellow it.',
  'colour: spray runs on unsealed casein':
    'Runs bear the lifting, and often want it; the stack is sealed at its end all the same.',
  'cloth: no 400 rub': 'Thin, well misted coats stay soft without it; it is offered in the plan and may be left out.',
}
/** Found right, and spoken of. */
export const arguedRight: Record<string, string> = {}
