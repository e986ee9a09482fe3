import { IntakeForm } from '@/ui/piece/IntakeForm'

export const metadata = { title: 'Take a piece in' }

export default function TakeIn() {
  return (
    <div className="pt-6">
      <h1 className="title mb-6 text-5xl">Take a piece in</h1>
      <IntakeForm />
    </div>
  )
}
