/**
 * Texts told apart by what they name: the id of a piece is not that of a part, a day is not an instant. A text that is not told
 * apart yet (typed in, read from a row, written in a test) may become any of them; one that is may not become another.
 */
declare const names: unique symbol
type Named<Thing extends string> = string & { readonly [names]?: Thing }

/** A moment, ISO 8601 in UTC. */
export type Instant = Named<'instant'>
/** A day on the studio's wall, YYYY-MM-DD. */
export type Day = Named<'day'>
/** What the studio's clock on the wall shows, YYYY-MM-DDTHH:mm. */
export type WallTime = Named<'wall time'>

export type StudioId = Named<'studio'>
export type PersonId = Named<'person'>
export type PieceId = Named<'piece'>
export type PartId = Named<'part'>
export type PlanId = Named<'plan'>
export type StepId = Named<'step'>
/** A line of the log. */
export type EntryId = Named<'entry'>
export type PhotoId = Named<'photo'>
export type ProductId = Named<'product'>
/** A tin. */
export type LotId = Named<'lot'>
export type RoomId = Named<'room'>
export type ChannelId = Named<'channel'>
export type RecipeId = Named<'recipe'>
