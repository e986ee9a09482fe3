/** The two families' Latin letters, asked for before the sheet that names them is read. */
export const fonts = [
  new URL('@fontsource-variable/archivo/files/archivo-latin-wdth-normal.woff2', import.meta.url),
  new URL('@fontsource-variable/alegreya/files/alegreya-latin-wght-normal.woff2', import.meta.url),
].map(String)
