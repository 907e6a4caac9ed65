import { Box, chakra } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useRef, type ReactNode } from 'react'
import { Link } from 'react-router'
import { get, post } from '../../../shared/api/http'
import type { FindingLine, Rules } from '../../../shared/api/types'
import { Button } from '../../../shared/ui/Button'
import { ProblemNote } from '../../../shared/ui/Notes'
import { keep } from '../api'
import { Findings } from './ConsequencesView'
import { MeritReasons } from '../../results/MeritReasons'
import { WatchedWords } from './WatchedWords'

const YEARS = [7, 8, 9, 10, 11]

/** What else there is to do with the rules of the school, where nothing is chosen. */
export function Glance({ lead, editable, onHistory }: { lead: boolean; editable: boolean; onHistory: () => void }) {
  return (
    <Box>
      <Section title="Refined for">
        {YEARS.map((year) => (
          <Link key={year} to={`/rules/year:${year}`}>
            Year {year}
          </Link>
        ))}
        <Link to="/classes">Classes</Link>
      </Section>
      <Section title="Use">
        <Link to="/try">Try a situation</Link>
        <Link to="/sets">Ready-made sets</Link> · <Link to="/ladder">The ladder</Link>
        <Button look="quiet" onClick={onHistory}>
          History, and the rules of a day
        </Button>
        <WatchedWords lead={lead} />
        <MeritReasons mayChange={lead} />
      </Section>
      <Section title="Take along">
        <a href="/api/charter/for-parents.pdf">For parents, on paper (PDF)</a>
        <a href="/api/charter/file">As a file (JSON)</a>
        <a href="/api/charter/schema">What such a file looks like</a>
        {editable && <ReadFile />}
      </Section>
      {lead && <WhatIsWrong />}
    </Box>
  )
}

function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box mb="14px">
      <chakra.h2 fontSize="15px" mb="2px">
        {title}
      </chakra.h2>
      <Box
        display="flex"
        flexWrap="wrap"
        gap="2px 14px"
        css={{ '& a': { textDecoration: 'underline', textUnderlineOffset: '2px' }, '& a, & button': { minHeight: '24px' } }}
      >
        {children}
      </Box>
    </Box>
  )
}

/** A file becomes the draft; its consequences are shown like those of any other. */
function ReadFile() {
  const cache = useQueryClient()
  const input = useRef<HTMLInputElement>(null)
  const read = useMutation({
    mutationFn: (file: File) => {
      const form = new FormData()
      form.append('file', file)
      return post<Rules>('/api/charter/file', form)
    },
    onSuccess: (rules) => keep(cache, rules),
  })
  return (
    <>
      <Button look="quiet" disabled={read.isPending} onClick={() => input.current?.click()}>
        Read a file into the draft
      </Button>
      <input
        ref={input}
        hidden
        type="file"
        accept="application/json,.json"
        aria-label="Charter file"
        onChange={(event) => {
          const file = event.target.files?.[0]
          if (file) read.mutate(file)
          event.target.value = ''
        }}
      />
      <ProblemNote problem={read.error} compact />
      {read.data?.draft.length === 0 && <p role="status">The file says what the charter says; nothing to change.</p>}
    </>
  )
}

function WhatIsWrong() {
  const { data } = useQuery({ queryKey: ['rules-findings'], queryFn: () => get<FindingLine[]>('/api/rules-findings') })
  if (!data) return null
  return data.length === 0 ? (
    <chakra.p color="ink2">No rule contradicts another, and every setting counts somewhere.</chakra.p>
  ) : (
    <Findings title={`Wrong in the rules: ${data.length}`} lines={data} />
  )
}
