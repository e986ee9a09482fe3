/** Pages that a device keeps beside those of the pieces in hand. */
export const keptPages = ['/week', '/pieces', '/shelf', '/shelf/buy', '/air', '/kerb', '/shared'] as const
