import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/desk/board'
import { get } from '../../shared/api/http'
import { upload } from '../../shared/api/upload'
import type { Desk, EarlierBoard, PhoneLink } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { FileBox } from '../../shared/ui/FileBox'
import { Key } from '../../shared/ui/Key'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Sheet } from '../../shared/ui/Sheet'
import { Sure } from '../../shared/ui/Sure'
import { Choice, DeskMenu, MenuHead, Opener } from '../DeskMenu'
import { DrawingBoard } from '../drawing/DrawingBoard'
import { useSheet } from '../drawing/useSheet'
import { Launcher, type Shown } from '../activities/Activities'
import { mayOrder } from '../mayOrder'
import { useOrders, type Give } from '../orders'
import { client } from '../send'
import { UnderPage } from './UnderPage'

interface DeskBoardProps {
  desk: Desk
  lesson: string
  give: Give
  onList: () => void
  onShow: (what: Shown) => void
}

/** The board in place of the class list: drawn on, its pages turned, one author’s pen taken and wiped in one act. */
export function DeskBoard({ desk, lesson, give, onList, onShow }: DeskBoardProps) {
  // The page of the group one is in, or looks into.
  const here = desk.mine.groups.in ?? desk.mine.groups.looking
  const table = desk.groups.tables.find((one) => one.id === here)
  const base = `/api/lessons/${encodeURIComponent(lesson)}/board`
  const { shown, pages } = desk.board
  const query = table ? `?in=${encodeURIComponent(table.id)}` : `?page=${shown}`
  const sheet = useSheet(`${base}${query}`, table ? table.id : shown)
  const orders = useOrders(lesson)
  const page = table ? sheet.page : shown
  const mayDraw = mayOrder(desk) && (!table || desk.mine.groups.in === table.id)
  const authors = [...new Map(sheet.marks.map((mark) => [mark.author, mark.authorName])).entries()].filter(
    ([id]) => id !== sheet.me,
  )
  const at = pages.findIndex((one) => one.id === shown)
  const under = table ? undefined : pages[at]?.under
  const name = table ? say.boardOf(table.name) : say.board
  return (
    <Flex
      as="section"
      direction="column"
      bg="sheet"
      minW="0"
      minH="0"
      overflowY="auto"
      px="16px"
      py="8px"
      gap="8px"
      aria-label={name}
    >
      <Flex gap="8px" align="center" wrap="wrap">
        <chakra.h2 fontSize="17px">{name}</chakra.h2>
        {!table && pages.length > 1 && (
          <Flex as="nav" aria-label={say.pagesOfTheBoard} gap="4px" align="center">
            <Button size="small" disabled={at <= 0} onClick={() => give({ do: 'turn-page', page: pages[at - 1]?.id ?? shown })}>
              {say.pageBefore}
            </Button>
            <chakra.span fontFamily="mono" aria-live="polite">
              {say.of(at + 1, pages.length)}
            </chakra.span>
            <Button
              size="small"
              disabled={at >= pages.length - 1}
              onClick={() => give({ do: 'turn-page', page: pages[at + 1]?.id ?? shown })}
            >
              {say.nextPage}
            </Button>
          </Flex>
        )}
        <Box flex="1" />
        {mayOrder(desk) && <PageMenu desk={desk} lesson={lesson} give={give} place={table?.id} />}
        <Button onClick={onList}>
          {say.classList} <Key>L</Key>
        </Button>
      </Flex>
      {sheet.problem && <ProblemNote problem={sheet.problem} />}
      {sheet.loading ? (
        <LoadingNote what={say.theBoard} />
      ) : (
        <DrawingBoard
          label={name}
          marks={sheet.marks}
          pointed={sheet.pointed}
          me={sheet.me}
          mayDraw={mayDraw}
          mayEraseAll
          fill
          onDraw={(drawing) => orders.mutateAsync({ do: 'draw', page, drawing })}
          onErase={(marks) => give({ do: 'erase', page, marks })}
          onUndo={() => give({ do: 'undo-mark', page })}
          onPoint={(points) => give({ do: 'point', page, points })}
          under={under && <UnderPage path={base} under={under} />}
        />
      )}
      <ProblemNote problem={orders.error} compact />
      {mayOrder(desk) && authors.length > 0 && (
        <Flex gap="6px" wrap="wrap" align="center" fontSize="13px">
          <span>{say.drawnHereByOthers}</span>
          {authors.map(([id, author]) => (
            <Author key={id} id={id} name={author} desk={desk} give={give} place={table?.id} />
          ))}
        </Flex>
      )}
      {mayOrder(desk) && <Launcher onShow={onShow} />}
      {!mayDraw && <chakra.span fontSize="13px">{say.youLook}</chakra.span>}
    </Flex>
  )
}

/** One press takes the pen and wipes what they drew; the rest is behind the name. */
function Author({
  id,
  name,
  desk,
  give,
  place,
}: {
  id: string
  name: string
  desk: Desk
  give: Give
  place: string | undefined
}) {
  const isPupil = desk.door.pupils.some((one) => one.id === id)
  return (
    <Flex align="center" border="1px solid" borderColor="lineStrong" borderRadius="3px" ps="7px">
      <strong>{name}</strong>
      {isPupil && (
        <Button look="quiet" size="small" mx="7px" onClick={() => give({ do: 'take-pen', person: id, minutes: 10 })}>
          {say.takeThePenAndWipe}
        </Button>
      )}
      <Button look="quiet" size="small" mx="7px" onClick={() => give({ do: 'wipe', of: id, place })}>
        {say.onlyWipe}
      </Button>
    </Flex>
  )
}

function PageMenu({ desk, lesson, give, place }: { desk: Desk; lesson: string; give: Give; place: string | undefined }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const [sheet, setSheet] = useState<'file' | 'phone' | 'earlier' | 'remove' | 'wipe' | null>(null)
  const base = `/api/lessons/${encodeURIComponent(lesson)}/board`
  const save = (kind: string) => {
    window.location.href = `${base}.${kind}${place ? `?in=${encodeURIComponent(place)}` : ''}`
  }
  return (
    <>
      <Opener onOpen={setAnchor}>
        <chakra.span border="1px solid" borderColor="lineStrong" borderRadius="3px" px="9px" py="4px" bg="sheet">
          {say.pagesAndFiles}
        </chakra.span>
      </Opener>
      <DeskMenu anchor={anchor} onClose={() => setAnchor(null)}>
        <MenuHead>{say.ontoTheBoard}</MenuHead>
        <Choice value="add" onSelect={() => give({ do: 'add-page', place })}>
          {say.anEmptyPage}
        </Choice>
        <Choice value="file" onSelect={() => setSheet('file')}>
          {say.aPdfOrAPicture}
        </Choice>
        {!place && (
          <Choice value="phone" onSelect={() => setSheet('phone')}>
            {say.aPictureFromMyPhone}
          </Choice>
        )}
        <Choice value="earlier" onSelect={() => setSheet('earlier')}>
          {say.theBoardOfAnEarlierLesson}
        </Choice>
        <MenuHead>{say.whoMayDraw}</MenuHead>
        <Choice value="all" onSelect={() => give({ do: 'set', rule: 'share.draw', value: 'open' })}>
          {say.everybody}
        </Choice>
        <Choice value="none" onSelect={() => give({ do: 'set', rule: 'share.draw', value: 'closed' })}>
          {say.nobodyButAdults}
        </Choice>
        {desk.groups.tables.map((table) => (
          <Choice
            key={table.id}
            value={table.id}
            onSelect={() => table.mates.forEach((mate) => give({ do: 'pass', person: mate.id, rule: 'share.draw', minutes: 10 }))}
          >
            {say.for10Min(table.name)}
          </Choice>
        ))}
        <MenuHead>{say.thisBoard}</MenuHead>
        <Choice value="svg" onSelect={() => save('svg')}>
          {say.saveThisPage}
        </Choice>
        <Choice value="pdf" onSelect={() => save('pdf')}>
          {say.saveAllPagesOnPaperPdf}
        </Choice>
        {!place && desk.board.pages.length > 1 && (
          <Choice value="remove" grave onSelect={() => setSheet('remove')}>
            {say.removeThisPage}
          </Choice>
        )}
        <Choice value="wipe" grave onSelect={() => setSheet('wipe')}>
          {say.wipeThisPage}
        </Choice>
      </DeskMenu>
      <Sure
        title={say.removeThisPageTitle}
        lost={say.thePageGoesForEverybody}
        act={say.removeThisPageAct}
        open={sheet === 'remove'}
        onClose={() => setSheet(null)}
        onSure={() => give({ do: 'remove-page', page: desk.board.shown })}
      />
      <Sure
        title={say.wipeThisPageTitle}
        lost={say.allMarksOfEverybody}
        act={say.wipeThisPageAct}
        open={sheet === 'wipe'}
        onClose={() => setSheet(null)}
        onSure={() => give({ do: 'wipe', of: null, place })}
      />
      <Sheet title={say.aPdfOrAPictureOnto} open={sheet === 'file'} onClose={() => setSheet(null)}>
        <BringFile path={`${base}/files${place ? `?in=${encodeURIComponent(place)}` : ''}`} onDone={() => setSheet(null)} />
      </Sheet>
      <Sheet title={say.aPictureFromYourPhone} open={sheet === 'phone'} onClose={() => setSheet(null)}>
        <FromPhone lesson={lesson} />
      </Sheet>
      <Sheet title={say.openAnEarlierBoard} open={sheet === 'earlier'} onClose={() => setSheet(null)}>
        <Earlier path={`${base}/earlier`} onChoose={(from) => (give({ do: 'bring-board', from, place }), setSheet(null))} />
      </Sheet>
    </>
  )
}

/** Each page becomes a page of the board, with what is drawn on top. */
export function BringFile({ path, onDone }: { path: string; onDone: () => void }) {
  const send = useMutation({ mutationFn: (file: File) => upload(path, file), onSuccess: onDone })
  return (
    <Flex direction="column" gap="10px">
      <p>{say.aPdfOfUp}</p>
      {send.isPending ? (
        <LoadingNote what={say.yourPagesTheyAreDrawn} />
      ) : (
        <FileBox
          label={say.aPdfOrAPictureLabel}
          accept="application/pdf,image/png,image/jpeg"
          onFile={(file) => send.mutate(file)}
        />
      )}
      <ProblemNote problem={send.error} compact />
    </Flex>
  )
}

function FromPhone({ lesson }: { lesson: string }) {
  const time = useSchoolTime()
  const { data, error } = useQuery({
    queryKey: ['phone', lesson],
    queryFn: async () =>
      (await client.POST('/api/lessons/{lesson}/board/phone', { params: { path: { lesson } } })).data as PhoneLink,
    staleTime: Infinity,
    gcTime: 0,
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.aLink} />
  return (
    <Flex direction="column" gap="10px" align="center">
      <p>{say.pointYourPhonesCamera}</p>
      <chakra.img
        src={`data:image/svg+xml;utf8,${encodeURIComponent(data.qr)}`}
        alt={say.aCodeFor(data.url)}
        w="230px"
        h="230px"
        border="1.5px solid"
        borderColor="ink"
      />
      <chakra.code fontSize="12px" wordBreak="break-all">
        {data.url}
      </chakra.code>
      <chakra.span color="ink2" fontSize="13px">
        {say.goodOnceUntil(time.clock(data.until))}
      </chakra.span>
    </Flex>
  )
}

function Earlier({ path, onChoose }: { path: string; onChoose: (lesson: string) => void }) {
  const time = useSchoolTime()
  const { data, error } = useQuery({ queryKey: ['earlier', path], queryFn: () => get<EarlierBoard[]>(path) })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.earlierBoards} />
  if (data.length === 0) return <p>{say.noEarlierLesson}</p>
  return (
    <chakra.ul listStyleType="none" maxH="50vh" overflowY="auto">
      {data.map((one) => (
        <chakra.li
          key={one.lesson}
          display="flex"
          gap="10px"
          alignItems="center"
          py="5px"
          borderBottom="1px solid"
          borderColor="line"
        >
          <span>
            <strong>{one.title}</strong>
            {say.marksOn(time.day(one.starts), time.clock(one.starts), one.marks, one.pages)}
          </span>
          <Box flex="1" />
          <Button size="small" onClick={() => onChoose(one.lesson)}>
            {say.openItHere}
          </Button>
        </chakra.li>
      ))}
    </chakra.ul>
  )
}
