/** How a phone comes to trust the studio's own authority: by its kind, in the order it is done. */
import { hasAuthority } from '@/origin'
import { DoorFrame } from '@/ui/door/DoorFrame'

export const metadata = { title: 'Trust this studio' }

const kinds = [
  {
    name: 'A phone whose Settings have “Security”',
    steps: [
      'Load the file above.',
      'Open Settings, and there Security, then Encryption and credentials, then Install a certificate: CA certificate.',
      'Say that it is to be installed anyway, and choose itinerum.crt.',
    ],
  },
  {
    name: 'A phone whose Settings have “General”',
    steps: [
      'Load the file above, in the browser that came with the phone.',
      'Open Settings: Profile loaded stands near the top. Install it.',
      'Then General, About, Certificate Trust Settings: switch on what is called Itinerum.',
    ],
  },
  {
    name: 'A computer',
    steps: [
      'Load the file above and open it.',
      'Put it with the trusted root authorities of this computer, or in the browser’s own settings under Certificates, Authorities.',
    ],
  },
] as const

export default function Trust() {
  if (!hasAuthority())
    return (
      <DoorFrame
        title="Nothing to trust here"
        words="This studio listens to this machine alone. Started with ./itinerum start --lan it has an authority of its own, and this page says how a phone comes to trust it."
      >
        {null}
      </DoorFrame>
    )
  return (
    <DoorFrame
      title="Trust this studio"
      words="The first time, the browser warns: nobody it knows has signed for this studio, for nobody but you does. Tell each phone once, and it warns no more."
    >
      <a href="/api/authority" download className="press press-now mt-6 inline-flex min-h-14 items-center px-8 text-lg">
        Load the studio’s authority
      </a>
      {kinds.map(({ name, steps }) => (
        <section key={name} className="mt-8 border-t-2 border-ink pt-3">
          <h2 className="title text-2xl">{name}</h2>
          <ol className="mt-2 list-decimal space-y-1 pl-6 text-lg">
            {steps.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
        </section>
      ))}
      <p className="mt-8 max-w-prose text-soft">
        The authority signs for addresses of a workshop’s own network alone, so it can stand in for no other site. Its key stays
        on the machine that serves the studio. Remove it in the same place when the phone leaves the workshop.
      </p>
    </DoorFrame>
  )
}
