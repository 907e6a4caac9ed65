import { chakra } from '@chakra-ui/react'

/** At the doorstep and in the waiting: what is said to who arrives. */
export function WelcomeNote({ welcome }: { welcome: { text: string; by: string } | undefined }) {
  if (!welcome) return null
  return (
    <chakra.blockquote
      my="12px"
      px="14px"
      py="10px"
      bg="verdict.inSoft"
      borderInlineStart="4px solid"
      borderColor="verdict.in"
      fontSize="17px"
    >
      {welcome.text}
      <chakra.footer fontSize="13px" color="ink2">
        {welcome.by}
      </chakra.footer>
    </chakra.blockquote>
  )
}
