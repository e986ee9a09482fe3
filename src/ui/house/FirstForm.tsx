'use client'
/** How a new studio reckons: asked once in its life. */
import { whereShown } from '@/ui/frame/later'

export const FirstForm = whereShown(async () => (await import('./StartForm')).StartForm)
