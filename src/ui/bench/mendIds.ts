/** The numbers a mending is stored under, made here so that sending twice stores once. */
import { v7 as uuidv7 } from 'uuid'

export const mendIds = () => ({
  planId: uuidv7(),
  entryId: uuidv7(),
  stepIds: Array.from({ length: 100 }, () => uuidv7()),
})
