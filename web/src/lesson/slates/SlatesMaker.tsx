import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { say } from '../../languages/en/desk/slates'
import { Button } from '../../shared/ui/Button'
import { TextField } from '../../shared/ui/Fields'
import { Key } from '../../shared/ui/Key'
import { useDigits } from '../../shared/useDigits'
import { GROUNDS } from '../drawing/Marks'
import type { OrderOf } from '../send'
import type { slatesOrders } from './orders'

type Give = (order: OrderOf<typeof slatesOrders>) => void

/** Gives everybody an empty slate by one press. Keys 1 to 5 press what is under it. */
export function SlatesMaker({ give }: { give: Give }) {
  const [task, setTask] = useState('')
  useDigits((place) => {
    const ground = GROUNDS[place]
    if (ground) give({ do: 'give-slates', task: task.trim(), ground: ground.ground })
  })
  return (
    <Box>
      <TextField
        label={say.whatToDrawOrWrite}
        hint={say.orLeaveItEmpty}
        maxLength={300}
        value={task}
        onChange={(event) => setTask(event.target.value)}
      />
      <Flex gap="6px" wrap="wrap">
        {GROUNDS.map((one, place) => (
          <Button key={one.ground} onClick={() => give({ do: 'give-slates', task: task.trim(), ground: one.ground })}>
            {one.name} <Key>{place + 1}</Key>
          </Button>
        ))}
      </Flex>
    </Box>
  )
}
