import { Box, chakra } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useRef, type ReactNode } from 'react'
import { Link } from 'react-router'
import { say } from '../../../languages/en/staff/charter'
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
      <Section title={say.refinedFor}>
        {YEARS.map((year) => (
          <Link key={year} to={`/rules/year:${year}`}>
            {say.yearSaid(year)}
          </Link>
        ))}
        <Link to="/classes">{say.classes}</Link>
      </Section>
      <Section title={say.use}>
        <Link to="/try">{say.tryASituation}</Link>
        <Link to="/sets">{say.readyMadeSets}</Link> · <Link to="/ladder">{say.theLadder}</Link>
        <Button look="quiet" onClick={onHistory}>
          {say.historyAndTheRules}
        </Button>
        <WatchedWords lead={lead} />
        <MeritReasons mayChange={lead} />
      </Section>
      <Section title={say.takeAlong}>
        <a href="/api/charter/for-parents.pdf">{say.forParentsOnPaperPdf}</a>
        <a href="/api/charter/file">{say.asAFileJson}</a>
        <a href="/api/charter/schema">{say.whatSuchAFileLooksLike}</a>
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
        {say.readAFileIntoTheDraft}
      </Button>
      <input
        ref={input}
        hidden
        type="file"
        accept="application/json,.json"
        aria-label={say.charterFile}
        onChange={(event) => {
          const file = event.target.files?.[0]
          if (file) read.mutate(file)
          event.target.value = ''
        }}
      />
      <ProblemNote problem={read.error} compact />
      {read.data?.draft.length === 0 && <p role="status">{say.theFileSays}</p>}
    </>
  )
}

function WhatIsWrong() {
  const { data } = useQuery({ queryKey: ['rules-findings'], queryFn: () => get<FindingLine[]>('/api/rules-findings') })
  if (!data) return null
  return data.length === 0 ? (
    <chakra.p color="ink2">{say.noRuleContradictsAnother}</chakra.p>
  ) : (
    <Findings title={say.wrongInTheRules(data.length)} lines={data} />
  )
}
