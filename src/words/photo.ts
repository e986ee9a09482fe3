/** What is wrong with a photograph that was sent, and what to do. */
export const pictureWords = {
  empty: 'This file is empty. Choose the photograph again.',
  'too-big': 'This photograph is too big: 40 MB and 60 megapixels are the most. Send a smaller one.',
  'no-picture': 'This file is no photograph, whatever its name says. Choose a JPEG, HEIC, PNG, WebP, AVIF or TIFF.',
  broken: 'This photograph is damaged and can’t be read to its end. Choose it again.',
  incomplete: 'This upload is incomplete. Reload the page and choose the photograph again.',
} as const
