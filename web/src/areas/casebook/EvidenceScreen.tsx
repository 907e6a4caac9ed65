import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/casebook'
import { get } from '../../shared/api/http'
import type { EvidenceKey, PackChecked } from '../../shared/api/types'
import { upload } from '../../shared/api/upload'
import { FileBox } from '../../shared/ui/FileBox'
import { ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { VerdictMark } from '../../shared/ui/VerdictMark'

/** Where a pack is dropped to be checked, and the school's public key (need G5). */
export default function EvidenceScreen() {
  return <Page title={say.evidencePacks}>{() => <Shown />}</Page>
}

function Shown() {
  const { data: key } = useQuery({ queryKey: ['evidence-key'], queryFn: () => get<EvidenceKey>('/api/evidence/key') })
  const [over, setOver] = useState(false)
  const check = useMutation({ mutationFn: (file: File) => upload<PackChecked>('/api/evidence/check', file) })
  return (
    <Box px="20px" py="16px" maxW="860px" mx="auto">
      <chakra.p fontSize="13px">
        <Link to="/casebook">
          <chakra.span textDecoration="underline">{say.casebook}</chakra.span>
        </Link>
      </chakra.p>
      <chakra.h1 fontSize="25px">{say.evidencePacks}</chakra.h1>
      <chakra.p color="ink2" mb="12px">
        {say.aPackHoldsAnIncident} <code>./juricast verify PACK.zip</code>.
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
        <FileBox label={say.aPackToBeChecked} accept=".zip" onFile={(file) => check.mutate(file)} />
        <span>{say.orDropItHere}</span>
      </Box>
      <ProblemNote problem={check.error} />
      {check.isPending && <p role="status">{say.itIsBeingChecked}</p>}
      {check.data && !check.isPending && <Checked checked={check.data} />}
      {key && (
        <Box mt="22px" borderTop="1px solid" borderColor="lineStrong" pt="10px" fontSize="13.5px">
          <chakra.h2 fontSize="16px">{say.theSchoolsKey}</chakra.h2>
          <p>
            {say.readItAloudToWhoever} <chakra.strong fontFamily="mono">{key.fingerprint}</chakra.strong>
          </p>
          <chakra.p color="ink2" overflowWrap="anywhere">
            {say.inFullEd25519X509Base64} <chakra.span fontFamily="mono">{key.key}</chakra.span>
          </chakra.p>
        </Box>
      )}
    </Box>
  )
}

function Checked({ checked }: { checked: PackChecked }) {
  const good = checked.whole && checked.ours
  return (
    <Box role="status" aria-label={say.whatWasFound}>
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
        <strong>{say.itIsWholeAndOurs(good, checked.whole, checked.fingerprint)}</strong>
      </Flex>
      {checked.wrong.map((one) => (
        <chakra.p key={one} color="verdict.away">
          {one}
        </chakra.p>
      ))}
      {checked.incident > 0 && (
        <>
          <chakra.p mt="8px">
            {say.incidentNo(checked.school, checked.incident)} <strong>{checked.title}</strong>
            {say.madeBy(checked.made.slice(0, 16).replace('T', ' '), checked.by, checked.coveredFor, checked.coveredParts)}
          </chakra.p>
          <Box as="ul" mt="6px" listStyleType="none" fontSize="13.5px">
            {checked.files.map((one) => (
              <Flex as="li" key={one.name} gap="12px" borderBottom="1px dotted" borderColor="lineStrong" py="2px">
                <chakra.span fontFamily="mono" w="210px">
                  {one.name}
                </chakra.span>
                <chakra.span flex="1">{one.about}</chakra.span>
                <chakra.span color="ink2">{say.linesCovered(one.shown, one.lines)}</chakra.span>
              </Flex>
            ))}
          </Box>
        </>
      )}
    </Box>
  )
}
