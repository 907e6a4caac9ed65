import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { put, remove } from '../api/http'
import type { Charter, Role, RuleCell, RuleLine } from '../api/types'
import { Button } from '../ui/Button'
import { Labelled, TextInput } from '../ui/Fields'
import { ProblemNote } from '../ui/Notes'
import { Sheet } from '../ui/Sheet'
import { Shutter } from '../ui/Shutter'
import { WhySheet } from '../ui/Why'

const ROLES: { role: Role; name: string }[] = [
  { role: 'LEAD_ADULT', name: 'Lead adult' },
  { role: 'SECOND_ADULT', name: 'Second adult' },
  { role: 'CLASS_MONITOR', name: 'Class monitor' },
  { role: 'PUPIL', name: 'Pupil' },
  { role: 'VISITOR', name: 'Visitor' },
]

interface RuleTableProps {
  charter: Charter
  /** Where these rules are kept: the charter, or a class. */
  path: string
  cacheKey: unknown[]
}

interface Chosen {
  rule: RuleLine
  cell: RuleCell
}

/** Rules as a document: what each is about and why, and what it is for each role. */
export function RuleTable({ charter, path, cacheKey }: RuleTableProps) {
  const [chosen, setChosen] = useState<Chosen | null>(null)
  const [why, setWhy] = useState<string | null>(null)
  return (
    <>
      {charter.chapters.map((chapter) => (
        <chakra.section key={chapter.area} id={chapter.area} mb="22px" aria-label={chapter.title}>
          <chakra.table
            w="100%"
            tableLayout="fixed"
            bg="sheet"
            borderTop="1.5px solid"
            borderColor="ink"
            css={{ '& td, & th': { padding: '7px 6px', verticalAlign: 'top' } }}
          >
            <chakra.thead>
              <chakra.tr borderBottom="1.5px solid" borderColor="ink">
                <chakra.th textAlign="left" css={{ paddingLeft: '16px !important' }}>
                  <chakra.h2 fontSize="18px">{chapter.title}</chakra.h2>
                </chakra.th>
                {ROLES.map((one) => (
                  <chakra.th
                    key={one.role}
                    w="88px"
                    fontWeight="500"
                    fontSize="12px"
                    color="ink2"
                    css={{ verticalAlign: 'bottom !important' }}
                    textAlign="center"
                  >
                    {one.name}
                  </chakra.th>
                ))}
              </chakra.tr>
            </chakra.thead>
            <tbody>
              {chapter.rules.map((rule) => (
                <chakra.tr
                  key={rule.key}
                  borderBottom={rule.cells.some((cell) => cell.binding) ? '3px double' : '1px solid'}
                  borderColor={rule.cells.some((cell) => cell.binding) ? 'ink' : 'line'}
                >
                  <chakra.th scope="row" textAlign="left" fontWeight="400" css={{ paddingLeft: '16px !important' }}>
                    <chakra.strong fontWeight="640">{rule.title}</chakra.strong>
                    <chakra.span display="block" fontSize="12.5px" color="ink2" maxW="420px">
                      {rule.meaning} <em>{rule.reason}</em>
                    </chakra.span>
                  </chakra.th>
                  {ROLES.map(({ role }) => {
                    const cell = rule.cells.find((one) => one.role === role)
                    return (
                      <chakra.td key={role} textAlign="center">
                        {cell ? (
                          <Cell rule={rule} cell={cell} onChoose={() => setChosen({ rule, cell })} />
                        ) : (
                          <chakra.span color="ink3">–</chakra.span>
                        )}
                      </chakra.td>
                    )
                  })}
                </chakra.tr>
              ))}
            </tbody>
          </chakra.table>
        </chakra.section>
      ))}
      {chosen && (
        <Editor
          key={chosen.rule.key + chosen.cell.role}
          chosen={chosen}
          editable={charter.editable}
          path={path}
          cacheKey={cacheKey}
          onClose={() => setChosen(null)}
          onWhy={() => {
            setWhy(`${path}/${chosen.rule.key}/${chosen.cell.role}/why`)
            setChosen(null)
          }}
        />
      )}
      <WhySheet path={why} onClose={() => setWhy(null)} />
    </>
  )
}

const SHUTTERS = new Set(['open', 'on-request', 'closed'])

function isRight(rule: RuleLine) {
  return rule.choices.length > 0 && rule.choices.every((choice) => SHUTTERS.has(choice.value))
}

function Cell({ rule, cell, onChoose }: { rule: RuleLine; cell: RuleCell; onChoose: () => void }) {
  const role = ROLES.find((one) => one.role === cell.role)?.name ?? ''
  const force = cell.binding ? ', binding' : cell.bound ? ', bound above' : ''
  const below = cell.overruled ? 'overruled' : isRight(rule) ? cell.words : cell.own ? 'set here' : cell.bound ? 'bound' : ''
  // What is heard begins with what is seen, word for word, so that both can be said to a computer.
  const heard = isRight(rule) ? (cell.overruled ? `overruled, ${cell.words}` : cell.words) : `${cell.words} ${below}`.trim()
  return (
    <chakra.button
      type="button"
      cursor="pointer"
      px="6px"
      py="1px"
      minW="56px"
      onClick={onChoose}
      aria-label={`${rule.title}, ${role}: ${heard}${force}`}
      _hover={{ bg: 'markSoft' }}
    >
      {isRight(rule) ? (
        <Shutter value={cell.value} bound={cell.binding || cell.bound} size={17} />
      ) : (
        <chakra.span fontFamily="mono" fontSize="13.5px" borderBottom={cell.binding || cell.bound ? '2px solid' : 'none'}>
          {cell.words}
        </chakra.span>
      )}{' '}
      <chakra.span display="block" fontSize="11px" color={cell.own ? 'ink' : 'ink3'} fontWeight={cell.own ? 650 : 400}>
        {below}
      </chakra.span>
    </chakra.button>
  )
}

interface EditorProps {
  chosen: Chosen
  editable: boolean
  path: string
  cacheKey: unknown[]
  onClose: () => void
  onWhy: () => void
}

function Editor({ chosen: { rule, cell }, editable, path, cacheKey, onClose, onWhy }: EditorProps) {
  const cache = useQueryClient()
  const [value, setValue] = useState(cell.value)
  const [binding, setBinding] = useState(cell.binding)
  const done = {
    onSuccess: (charter: Charter) => {
      cache.setQueryData(cacheKey, charter)
      onClose()
    },
  }
  const at = `${path}/${rule.key}/${cell.role}`
  const set = useMutation({ mutationFn: () => put<Charter>(at, { value, binding }), ...done })
  const clear = useMutation({ mutationFn: () => remove<Charter>(at), ...done })
  const role = ROLES.find((one) => one.role === cell.role)?.name
  return (
    <Sheet title={rule.title} open onClose={onClose}>
      <chakra.form
        onSubmit={(event) => {
          event.preventDefault()
          set.mutate()
        }}
      >
        <chakra.p mb="8px">
          {role}: <strong>{cell.words}</strong>
          {cell.bound && '. Bound above: only stricter values count here.'}{' '}
          <Button look="quiet" onClick={onWhy}>
            Why?
          </Button>
        </chakra.p>
        <chakra.p color="ink2" mb="10px">
          {rule.meaning} {rule.reason}
        </chakra.p>
        {editable && (
          <>
            <chakra.fieldset mb="10px">
              <chakra.legend fontWeight="600">From now on</chakra.legend>
              {rule.choices.map((choice) => (
                <chakra.label key={choice.value} display="flex" alignItems="center" gap="8px" py="2px">
                  <input
                    type="radio"
                    name="value"
                    value={choice.value}
                    checked={value === choice.value}
                    onChange={() => setValue(choice.value)}
                  />
                  {isRight(rule) && <Shutter value={choice.value} />}
                  {choice.words}
                </chakra.label>
              ))}
              {rule.choices.length === 0 && (
                <Labelled label="Minutes" hint={`${rule.min} to ${rule.max}`}>
                  {(id) => (
                    <TextInput
                      id={id}
                      type="number"
                      min={rule.min}
                      max={rule.max}
                      value={value}
                      onChange={(event) => setValue(event.target.value)}
                      w="110px"
                    />
                  )}
                </Labelled>
              )}
            </chakra.fieldset>
            <chakra.label display="flex" gap="8px" mb="12px">
              <input type="checkbox" checked={binding} onChange={(event) => setBinding(event.target.checked)} />
              <span>
                Binding: what stands below may only be stricter
                <Box fontSize="12.5px" color="ink2">
                  No class, no live order and no pass goes beyond it.
                </Box>
              </span>
            </chakra.label>
            <ProblemNote problem={set.error ?? clear.error} />
            <Flex gap="8px">
              <Button type="submit" look="main" disabled={set.isPending}>
                Put in force
              </Button>
              {cell.own && <Button onClick={() => clear.mutate()}>Take back what is set here</Button>}
            </Flex>
          </>
        )}
      </chakra.form>
    </Sheet>
  )
}
