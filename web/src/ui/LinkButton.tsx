import type { ReactNode } from 'react'
import { Link } from 'wouter'

/** linkButton is how a link looks that stands among buttons. */
export const linkButton =
  'eased button inline-flex items-center rounded-full border-2 border-rim bg-enamel font-bold hover:bg-linen'

/** LinkButton leads to another view. */
export function LinkButton({ href, children }: { href: string; children: ReactNode }) {
  return (
    <Link href={href} className={linkButton}>
      {children}
    </Link>
  )
}
