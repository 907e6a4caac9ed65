import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { get } from '../../shared/api/http'
import type { EvidenceKey, PackChecked } from '../../shared/api/types'
import { upload } from '../../shared/api/upload'
import { FileBox } from '../../shared/ui/FileBox'
import { ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { VerdictMark } from '../../shared/ui/VerdictMark'

/** Where a pack is dropped to be checked, and the school's public key (need G5). */
export default function EvidenceScreen() {
  return <Page title="Evidence packs">{() => <Shown />}</Page>
}

function Shown() {
  const { data: key } = useQuery({ queryKey: ['evidence-key'], queryFn: () => get<EvidenceKey>('/api/evidence/key') })
  const [over, setOver] = useState(false)
  const check = useMutation({ mutationFn: (file: File) => upload<PackChecked>('/api/evidence/check', file) })
  return (
    <Box px="20px" py="16px" maxW="860px" mx="auto">
      <chakra.p fontSize="13px">
        <Link to="/casebook">
          <chakra.span textDecoration="underline">Casebook</chakra.span>
        </Link>
      </chakra.p>
      <chakra.h1 fontSize="25px">Evidence packs</chakra.h1>
      <chakra.p color="ink2" mb="12px">
        A pack holds an incident with all that it rests on. Drop one here to be told whether anything in it is missing, altered,
        moved or of another school. Nothing of it is kept. The same is told without the school by{' '}
        <code>./juricast verify PACK.zip</code>.
      </chakra.p>
      <Box
        border="1.5px dashed"
        borderColor={over ? 'ink' : 'lineStrong'}
        bg={over ? 'markSoft' : 'sheet'}
        px="16px"
        py="18px"
        mb="14px"
        onDragOver={(event) => {
          event.preventDefault()
          setOver(true)
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(event) => {
          event.preventDefault()
          setOver(false)
          const file = event.dataTransfer.files[0]
          if (file) check.mutate(file)
        }}
      >
        <FileBox label="A pack to be checked" accept=".zip" onFile={(file) => check.mutate(file)} />
        <span>or drop it here.</span>
      </Box>
      <ProblemNote problem={check.error} />
      {check.isPending && <p role="status">It is being checked…</p>}
      {check.data && !check.isPending && <Checked checked={check.data} />}
      {key && (
        <Box mt="22px" borderTop="1px solid" borderColor="lineStrong" pt="10px" fontSize="13.5px">
          <chakra.h2 fontSize="16px">The school’s key</chakra.h2>
          <p>
            Read it aloud to whoever has a pack: <chakra.strong fontFamily="mono">{key.fingerprint}</chakra.strong>
          </p>
          <chakra.p color="ink2" overflowWrap="anywhere">
            In full (Ed25519, X.509, Base64): <chakra.span fontFamily="mono">{key.key}</chakra.span>
          </chakra.p>
        </Box>
      )}
    </Box>
  )
}

function Checked({ checked }: { checked: PackChecked }) {
  const good = checked.whole && checked.ours
  return (
    <Box role="status" aria-label="What was found">
      <Flex
        gap="10px"
        align="baseline"
        bg={good ? 'verdict.inSoft' : 'verdict.awaySoft'}
        borderInlineStart="5px solid"
        borderColor={good ? 'verdict.in' : 'verdict.away'}
        px="14px"
        py="9px"
        mb="8px"
        fontSize="16px"
      >
        <VerdictMark verdict={good ? 'in' : 'away'} size={14} />
        <strong>
          {good
            ? 'It is whole, and ours: nothing is missing, altered or moved.'
            : checked.whole
              ? `It is whole, but not of this school: it was signed with the key ${checked.fingerprint}.`
              : 'It is not whole.'}
        </strong>
      </Flex>
      {checked.wrong.map((one) => (
        <chakra.p key={one} color="verdict.away">
          {one}
        </chakra.p>
      ))}
      {checked.incident > 0 && (
        <>
          <chakra.p mt="8px">
            {checked.school}, incident No. {checked.incident}: <strong>{checked.title}</strong>. Made{' '}
            {checked.made.slice(0, 16).replace('T', ' ')} by {checked.by}
            {checked.coveredFor &&
              `, as a copy for the parents of ${checked.coveredFor}: ${checked.coveredParts} parts are covered`}
            .
          </chakra.p>
          <Box as="ul" mt="6px" listStyleType="none" fontSize="13.5px">
            {checked.files.map((one) => (
              <Flex as="li" key={one.name} gap="12px" borderBottom="1px dotted" borderColor="lineStrong" py="2px">
                <chakra.span fontFamily="mono" w="210px">
                  {one.name}
                </chakra.span>
                <chakra.span flex="1">{one.about}</chakra.span>
                <chakra.span color="ink2">{one.shown ? (one.lines > 0 ? `${one.lines} lines` : '') : 'covered'}</chakra.span>
              </Flex>
            ))}
          </Box>
        </>
      )}
    </Box>
  )
}
