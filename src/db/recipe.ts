/** House recipes: named wishes. */
import * as z from 'zod'
import type { HouseRecipe } from '@/core/house/recipe'
import { recipeWish } from '@/core/input/piece'
import type { Instant, StudioId } from '@/core/measure/named'
import type { Client } from './pool'
import { many, query } from './rows'

const recipeRow = z.object({ id: z.string(), name: z.string(), wish: recipeWish })
const recipes = query('a house recipe', recipeRow, 'select id, name, wish from recipe order by name, id limit 200')
export const listRecipes = (client: Client): Promise<HouseRecipe[]> => many(client, recipes)

/** Keeps a recipe. */
export async function addRecipe(client: Client, studioId: StudioId, recipe: HouseRecipe, keptAt: Instant): Promise<void> {
  await client.query('insert into recipe (id, studio_id, name, wish, kept_at) values ($1, $2, $3, $4, $5)', [
    recipe.id,
    studioId,
    recipe.name,
    JSON.stringify(recipe.wish),
    keptAt,
  ])
}
