import { chakra } from '@chakra-ui/react'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { get } from '../../shared/api/http'
import { upload } from '../../shared/api/upload'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Quiet } from '../seat/Quiet'

/** On a teacher's phone: takes one picture and puts it on the board. Nothing else of the lesson is on this page. */
export default function BringScreen() {
  const { word = '' } = useParams()
  const path = `/api/bring/${encodeURIComponent(word)}`
  const { data, error } = useQuery({ queryKey: ['bring', word], queryFn: () => get<{ title: string }>(path), retry: false })
  const send = useMutation({ mutationFn: (file: File) => upload<{ title: string }>(path, file) })
  if (send.isSuccess) {
    return (
      <Quiet title="It is on the board">
        <chakra.p my="12px">You see it at the desk of {send.data.title}. You can close this page; the link is used up.</chakra.p>
      </Quiet>
    )
  }
  if (error) {
    return (
      <Quiet title="This link is of no use any more">
        <chakra.p my="12px">It is good once, for ten minutes. Ask for a new one at the desk: Board, Pages and files.</chakra.p>
      </Quiet>
    )
  }
  if (!data) return <LoadingNote what="the link" />
  return (
    <Quiet title="A picture for the board">
      <chakra.p my="12px">For {data.title}. Everybody in the lesson sees it as soon as you choose it.</chakra.p>
      {send.isPending ? (
        <LoadingNote what="your picture onto the board" />
      ) : (
        <chakra.label
          display="block"
          bg="mark"
          color="onMark"
          px="16px"
          py="16px"
          fontSize="19px"
          fontWeight="650"
          textAlign="center"
          cursor="pointer"
        >
          Take or choose a picture
          <chakra.input
            type="file"
            accept="image/png,image/jpeg"
            position="absolute"
            opacity="0"
            w="1px"
            h="1px"
            onChange={(event) => {
              const file = event.target.files?.[0]
              if (file) send.mutate(file)
            }}
          />
        </chakra.label>
      )}
      <ProblemNote problem={send.error} />
    </Quiet>
  )
}
