/** Writes docs/advice.md from the tables. */
import { writeFileSync } from 'node:fs'
import { format } from 'prettier'
import { adviceText } from './adviceText'

void format(adviceText(), { parser: 'markdown', printWidth: 160, proseWrap: 'preserve' }).then((text) =>
  writeFileSync('docs/advice.md', text),
)
