'use client'
/** The section, drawn where it is shown: the page is sent what it is of, not every stroke of it. */
export { Section as SectionHere } from './Section'
