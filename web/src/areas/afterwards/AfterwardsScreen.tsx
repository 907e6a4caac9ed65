import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import { Link, useParams } from 'react-router'
import { say as staffSays } from '../../languages/en/staff/afterwards'
import { ownWords } from '../../languages/own'
import { whom } from '../../lesson/chat/whom'
import { Handouts } from '../../lesson/material/Handouts'
import { get } from '../../shared/api/http'
import type { AfterLesson, BoardKept, Heard } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { SentFile } from '../../shared/ui/SentFile'

/** What was kept of a lesson that is over: for its adults all of it, for a pupil what the rules leave. */
export default function AfterwardsScreen() {
  const { id = '' } = useParams()
  return <Page title={ownWords().afterLesson}>{() => <Shown id={id} />}</Page>
}

function Shown({ id }: { id: string }) {
  const path = `/api/lessons/${encodeURIComponent(id)}/afterwards`
  const say = ownWords()
  const time = useSchoolTime()
  const { data, error } = useQuery({ queryKey: ['afterwards', id], queryFn: () => get<AfterLesson>(path) })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote says={say.fetchingKept} />
  const gone = (kind: 'WORDS' | 'BOARD') => data.erased[kind] ?? data.erased.REGISTERS
  return (
    <Box maxW="1180px" mx="auto" px="20px" py="16px">
      <chakra.h1 fontSize="25px" overflowWrap="anywhere">
        {say.afterLessonOf(data.title)}
      </chakra.h1>
      <chakra.p color="ink2" mb="12px">
        {say.dayFromTo(time.longDay(data.from), time.clock(data.from), time.clock(data.until))}
        {data.isAdult && (
          <>
            {' '}
            ·{' '}
            <Link to={`/lessons/${id}/register`}>
              <u>{staffSays.theRegister}</u>
            </Link>{' '}
            ·{' '}
            <Link to={`/lessons/${id}/replay`}>
              <u>{staffSays.theLessonAgain}</u>
            </Link>
          </>
        )}
      </chakra.p>
      <Grid templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 420px' }} gap="22px" alignItems="start">
        <Box minW="0">
          <Part name={say.handedOut} what={data.material} gone={undefined} kept={say.handedOutKept} none={say.handedOutNone}>
            {(all) => <Handouts of={all} />}
          </Part>
          <Part name={say.board} what={data.boards} gone={gone('BOARD')} kept={say.boardKept} none={say.boardNone}>
            {(boards) => boards.map((board) => <Board key={board.place} board={board} path={path} />)}
          </Part>
        </Box>
        <Part name={say.words} what={data.words} gone={gone('WORDS')} kept={say.wordsKept} none={say.wordsNone}>
          {(words) => words.map((one) => <Said key={one.number} words={one} path={path} />)}
        </Part>
      </Grid>
    </Box>
  )
}

/** One kind of what was kept, or in one sentence why there is none of it. */
function Part<T>(props: {
  name: string
  what?: T[]
  gone?: string
  kept: string
  none: string
  children: (what: T[]) => ReactNode
}) {
  const time = useSchoolTime()
  const { name, what, gone } = props
  return (
    <Box as="section" aria-label={name} mb="20px">
      <chakra.h2 fontSize="17px" mb="4px">
        {name}
      </chakra.h2>
      {what && what.length > 0 ? (
        props.children(what)
      ) : (
        <chakra.p color="ink2">{!what ? props.kept : gone ? ownWords().erasedOn(time.day(gone)) : props.none}</chakra.p>
      )}
    </Box>
  )
}

function Board({ board, path }: { board: BoardKept; path: string }) {
  const say = ownWords()
  return (
    <Box mb="10px">
      {board.name && (
        <chakra.h3 fontSize="15px" mb="2px">
          {board.name}
        </chakra.h3>
      )}
      <Grid templateColumns={{ base: '1fr', md: board.pages.length > 1 ? '1fr 1fr' : '1fr' }} gap="12px">
        {board.pages.map((page, at) => {
          const drawing = `${path}/board.svg?place=${encodeURIComponent(board.place)}&page=${page}`
          const name = board.name ? say.pageOf(at + 1, board.name) : say.page(at + 1)
          return (
            <chakra.figure key={page} bg="sheet" border="1px solid" borderColor="lineStrong">
              <chakra.img src={drawing} alt={name} w="100%" display="block" />
              <chakra.figcaption fontSize="13.5px" px="8px" py="4px" borderTop="1px solid" borderColor="line">
                {name} ·{' '}
                <chakra.a href={drawing} download textDecoration="underline">
                  {say.save}
                </chakra.a>
              </chakra.figcaption>
            </chakra.figure>
          )
        })}
      </Grid>
    </Box>
  )
}

function Said({ words, path }: { words: Heard; path: string }) {
  const time = useSchoolTime()
  return (
    <Flex gap="8px" py="4px" borderBottom="1px dotted" borderColor="line" align="baseline">
      <chakra.span fontFamily="mono" fontSize="12.5px" color="ink2" flexShrink={0}>
        {time.clock(words.at)}
      </chakra.span>
      <Box minW="0" overflowWrap="anywhere">
        <strong>{words.mine ? ownWords().you : words.from}</strong> <chakra.span color="ink2">{whom(words)}:</chakra.span>{' '}
        <SentFile text={words.text} file={words.file} href={`${path}/files/${words.number}`} />
      </Box>
    </Flex>
  )
}
