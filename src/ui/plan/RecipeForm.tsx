'use client'
/** Keeps the finish on the desk as a house recipe, and puts a kept one on the desk. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { HouseRecipe } from '@/core/house/recipe'
import { recipeInput, type RecipeText } from '@/core/input/piece'
import { useActions } from '@/ui/form/actions'
import { TextField, Trouble } from '@/ui/form/Field'
import { useMoment } from '@/ui/form/useMoment'
import { useWrite } from '@/ui/form/useWrite'

export function RecipeForm({
  recipes,
  wish,
  take,
}: {
  recipes: readonly HouseRecipe[]
  wish: RecipeText['wish']
  take: (recipe: HouseRecipe['wish']) => void
}) {
  const { keepRecipe } = useActions()
  const write = useWrite(keepRecipe)
  const router = useRouter()
  const [id, setId] = useState(() => uuidv7())
  const moment = useMoment(id)
  const [name, setName] = useState('')
  const [trouble, setTrouble] = useState<string | undefined>()
  const keep = async () => {
    const typed: RecipeText = { id, at: moment(), name, wish }
    const readable = recipeInput.safeParse(typed)
    setTrouble(readable.success ? undefined : readable.error.issues[0]?.message)
    if (!readable.success || !(await write.send(typed))) return
    setName('')
    setId(uuidv7())
    router.refresh()
  }
  return (
    <details className="mt-3 border-t-2 sm:mt-8 border-ink">
      <summary className="flex min-h-12 cursor-pointer flex-wrap items-baseline gap-x-4 py-1.5 sm:min-h-16 sm:py-3">
        <h2 className="title text-2xl sm:text-3xl">House recipes</h2>
        <span className="text-sm text-soft sm:text-base">
          {recipes.length === 0 ? 'keep this finish for another piece' : `${recipes.length} kept`}
        </span>
      </summary>
      <div className="mt-2 flex flex-wrap gap-2">
        {recipes.map((recipe) => (
          <button key={recipe.id} type="button" className="press" onClick={() => take(recipe.wish)}>
            {recipe.name}
          </button>
        ))}
      </div>
      <div className="mt-4 flex flex-wrap items-end gap-3">
        <TextField
          label="Keep this finish as"
          value={name}
          trouble={trouble}
          onChange={(event) => setName(event.target.value)}
          className="w-72"
        />
        <button type="button" className="press" disabled={write.pending} onClick={() => void keep()}>
          Keep it
        </button>
      </div>
      <div className="mt-3 empty:hidden">
        <Trouble>{write.issue}</Trouble>
      </div>
    </details>
  )
}
