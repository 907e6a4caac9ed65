import { useEffect, useState } from 'react'

/** Something that one key opens on every page, while nothing is being typed and no sheet or menu is open. */
export function useOpenKey(key: string) {
  const [open, setOpen] = useState(false)
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const typing = (event.target as HTMLElement).closest('input, textarea, select, [role=dialog], [role=menu]')
      if (event.key !== key || typing || event.ctrlKey || event.metaKey || event.altKey) return
      event.preventDefault()
      setOpen(true)
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  }, [key])
  return [open, setOpen] as const
}
