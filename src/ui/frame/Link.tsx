import NextLink from 'next/link'
import type { ComponentProps } from 'react'

/** A way to another page. It asks the server for nothing before it is tapped: a page renewed after every entry would ask again for each of its links. */
export const Link = (props: Omit<ComponentProps<typeof NextLink>, 'prefetch'>) => <NextLink {...props} prefetch={false} />
