import { Box } from '@chakra-ui/react'
import { say } from '../../languages/en/desk/chat'
import { Button } from '../../shared/ui/Button'
import { SentFile } from '../../shared/ui/SentFile'
import { Actions, Small, Title, type CardProps, type Cards } from '../cards'

/** Messages that wait to be read. */
export const chatNeeds: Cards = { HELD: Held }

function Held({ need, desk, give }: CardProps) {
  const held = desk.chat.held.find((one) => one.number === need.number)
  if (!held) return null
  return (
    <>
      <Title>
        {held.name} {held.file ? say.sendsAFile : say.writes} {say.to(held.to)}
      </Title>
      <Small>{say.itOnlyYouRead(held.because)}</Small>
      <Box fontSize="13px" overflowWrap="anywhere">
        “
        <SentFile
          text={held.text}
          file={held.file}
          href={`/api/lessons/${encodeURIComponent(desk.lesson)}/files/${held.number}`}
        />
        ”
      </Box>
      <Actions>
        <Button onClick={() => give({ do: 'let-through', number: held.number })}>{say.letThrough}</Button>
        <Button onClick={() => give({ do: 'keep-back', number: held.number })}>{say.keepBack}</Button>
      </Actions>
    </>
  )
}
