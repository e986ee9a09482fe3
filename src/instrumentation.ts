/** What begins with the server. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || !process.env.DOOR_DATABASE_URL) return
  const { beginClerk } = await import('./app/_server/clerk')
  beginClerk()
}
