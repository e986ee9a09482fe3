/** The block that every section is sawn from, in the units of its drawing: how large it is, where the corner of the bare substrate sits and how round. */
export const size = 240
export const corner = { x: 96, y: 96, r: 34 }
