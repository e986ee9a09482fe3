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
/** Steps that a painter asked about, and that stay as they are. */
export const answered: Record<string, string> = {
  'A degreaser on new, bare wood':
    'New wood was handled, glued and stored. Five minutes and six a square metre are less than a coat that lets go; whoever knows the wood leaves it out, and is told what that means.',
  'A last rub at 400 to 600 under wax':
    'It decides how the piece feels in the hand. It is marked as a choice: nothing breaks without it.',
  'Gilding over wax on the same day':
    'Wax that was rubbed off and buffed carries gilding wax, which is wax itself. What is not buffed yet is spoken of.',
  'A foam brush for clear on turned work, a bristle brush for a pale base':
    'Tools here are the usual ones; the painter’s own list names another for any layer, and minutes follow where the tool changes them.',
  'A second round of stripper, two strippers on patches':
    'Nobody knows before the first round is scraped. The check after it asks; what did not come off grows the plan by a round.',
  'Clay paint outdoors': 'Under its hard clear it stands where the clear stands. Sealed with anything less it is refused there.',
  'A dark colour sealed on the same day':
    'It can be done with a light hand. The plan keeps a night, for a wet brush draws dark pigment into the clear; an hour earlier is spoken of, not forbidden.',
}
