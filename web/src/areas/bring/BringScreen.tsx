import { chakra } from '@chakra-ui/react'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { say } from '../../languages/en/staff/bring'
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
      <Quiet title={say.itIsOnTheBoard}>
        <chakra.p my="12px">{say.youSee(send.data.title)}</chakra.p>
      </Quiet>
    )
  }
  if (error) {
    return (
      <Quiet title={say.thisLink}>
        <chakra.p my="12px">{say.itIsGoodOnce}</chakra.p>
      </Quiet>
    )
  }
  if (!data) return <LoadingNote what={say.theLink} />
  return (
    <Quiet title={say.aPictureForTheBoard}>
      <chakra.p my="12px">{say.forEverybodyInTheLesson(data.title)}</chakra.p>
      {send.isPending ? (
        <LoadingNote what={say.yourPictureOntoTheBoard} />
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
          {say.takeOrChooseAPicture}
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
