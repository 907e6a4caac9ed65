import { useMutation } from '@tanstack/react-query'
import { useNavigate } from 'react-router'
import { say } from '../../languages/en/desk/rehearsal'
import { post } from '../../shared/api/http'
import type { RehearsalBegun } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { ProblemNote } from '../../shared/ui/Notes'

interface RehearseButtonProps {
  lesson: string
  look?: 'main' | 'plain'
  children?: string
}

/** Begins a rehearsal of a planned lesson and goes to its desk. */
export function RehearseButton({ lesson, look, children = say.rehearseIt }: RehearseButtonProps) {
  const navigate = useNavigate()
  const begin = useMutation({
    mutationFn: () => post<RehearsalBegun>(`/api/lessons/${encodeURIComponent(lesson)}/rehearsal`),
    onSuccess: (begun) => navigate(`/lessons/${encodeURIComponent(begun.lesson)}/desk`),
  })
  return (
    <>
      <Button look={look} disabled={begin.isPending} onClick={() => begin.mutate()}>
        {children}
      </Button>
      <ProblemNote problem={begin.error} compact />
    </>
  )
}
