import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { say } from '../../languages/en/desk/material'
import type { Desk } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { TextArea, TextInput } from '../../shared/ui/Fields'
import type { Give } from '../orders'

/** What latecomers still find. */
export function Material({ desk, give }: { desk: Desk; give: Give }) {
  const [title, setTitle] = useState('')
  const [body, setBody] = useState('')
  return (
    <Flex direction="column" flex="1" minH="0" px="14px" pb="8px">
      <Box flex="1" overflowY="auto" tabIndex={0} role="region" aria-label={say.handedOut}>
        {desk.material.handouts.length === 0 && <Box color="ink2">{say.nothingIsHandedOut}</Box>}
        {desk.material.handouts.map((one) => (
          <Flex key={one.number} gap="8px" py="2px" borderBottom="1px dotted" borderColor="line">
            <Box flex="1" overflowWrap="anywhere">
              <strong>{one.title}</strong> {one.body}
            </Box>
            <Button size="small" onClick={() => give({ do: 'take-back', number: one.number })}>
              {say.takeBack}
            </Button>
          </Flex>
        ))}
      </Box>
      {desk.mine.door.in && !desk.mine.door.observing && (
        <chakra.form
          onSubmit={(event) => {
            event.preventDefault()
            give({ do: 'hand-out', title, body })
            setTitle('')
            setBody('')
          }}
        >
          <TextInput
            aria-label={say.whatYouHandOut}
            placeholder={say.whatItIs}
            value={title}
            maxLength={120}
            required
            onChange={(event) => setTitle(event.target.value)}
          />
          <Flex gap="6px" mt="4px">
            <TextArea
              aria-label={say.linkOrNote}
              placeholder={say.linkOrNote}
              rows={1}
              value={body}
              maxLength={1000}
              onChange={(event) => setBody(event.target.value)}
            />
            <Button type="submit">{say.handOut}</Button>
          </Flex>
        </chakra.form>
      )}
    </Flex>
  )
}
