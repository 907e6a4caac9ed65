import { lazy, Suspense, useState, type ReactNode } from 'react'

const SheetDialog = lazy(() => import('./SheetDialog'))

export interface SheetProps {
  title: string
  open: boolean
  onClose: () => void
  /** For a table or a preview instead of one decision. */
  wide?: boolean
  children: ReactNode
}

/**
 * A sheet laid over the page, for one decision or one explanation. Escape closes it. What it takes to show one is fetched when
 * the first is opened: most pages are left without.
 */
export function Sheet(props: SheetProps) {
  const [wasOpen, setWasOpen] = useState(props.open)
  if (props.open && !wasOpen) setWasOpen(true)
  if (!wasOpen) return null
  return (
    <Suspense fallback={null}>
      <SheetDialog {...props} />
    </Suspense>
  )
}
