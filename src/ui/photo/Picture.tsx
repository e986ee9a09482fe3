/** A photograph as the server keeps it: in two sizes, its bytes never changing. */
import type { ComponentProps } from 'react'
import type { PhotoId } from '@/core/measure/named'

interface Props extends Omit<ComponentProps<'img'>, 'src' | 'id'> {
  photoId: PhotoId
  size: 'small' | 'large'
  alt: string
}

export function Picture({ photoId, size, alt, ...rest }: Props) {
  // made in two sizes when it came in: nothing is left to make smaller
  // eslint-disable-next-line @next/next/no-img-element
  return <img src={`/api/photos/${photoId}?size=${size}`} alt={alt} {...rest} />
}
