/** Before the database tests: one migrated template that every test file copies. */
import pg from 'pg'
import { keepCodes } from '@/db/codes'
import { migrate } from '@/db/migrate'
import { templateName, testOwnerUrl } from './database'

export async function setup() {
  const owner = new pg.Client({ connectionString: testOwnerUrl('postgres') })
  await owner.connect()
  await owner.query(`drop database if exists ${templateName}`)
  await owner.query(`create database ${templateName}`)
  await migrate(testOwnerUrl(templateName))
  const template = new pg.Client({ connectionString: testOwnerUrl(templateName) })
  await template.connect()
  await keepCodes(template)
  await template.end()
  const secret = owner.escapeLiteral(process.env.ITINERUM_TEST_APP_SECRET ?? '')
  for (const role of ['itinerum_app', 'itinerum_door']) await owner.query(`alter role ${role} login password ${secret}`)
  await owner.end()
}
