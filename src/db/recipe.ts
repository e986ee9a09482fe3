/** House recipes: named wishes. */
import type { HouseRecipe } from '../core/house/recipe'
import type { Client } from './pool'

export async function listRecipes(client: Client): Promise<HouseRecipe[]> {
  const { rows } = await client.query<HouseRecipe>('select id, name, wish from recipe order by name, id limit 200')
  return rows
}

/** Keeps a recipe; the same id again leaves the first. */
export async function addRecipe(client: Client, studioId: string, recipe: HouseRecipe, keptAt: string): Promise<void> {
  await client.query(
    'insert into recipe (id, studio_id, name, wish, kept_at) values ($1, $2, $3, $4, $5) on conflict (id) do nothing',
    [recipe.id, studioId, recipe.name, JSON.stringify(recipe.wish), keptAt],
  )
}
