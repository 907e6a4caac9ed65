import { chakra } from '@chakra-ui/react'
import { say } from '../../../languages/en/staff/charter'
import type { Role, RuleCell, RuleLine, Rules } from '../../../shared/api/types'
import { Shutter } from '../../../shared/ui/Shutter'
import { ROLES, roleName } from '../roles'

/** The value somebody looks at. `when` is empty for what always counts. */
export interface Chosen {
  rule: RuleLine
  cell: RuleCell
  when: string
  whenWords: string
}

interface RulesTableProps {
  chapters: Rules['chapters']
  role: Role | ''
  /** Whether to say which layer a value comes from: below the charter, where there are several. */
  layered: boolean
  chosen: Chosen | null
  onChoose: (chosen: Chosen) => void
  /** Which value the pointer or the focus is on; nothing if it is on none. */
  onOver: (chosen: Chosen | undefined) => void
}

/** Rules as a document: what each is about and why, and what it is for each role. */
export function RulesTable({ chapters, role, layered, chosen, onChoose, onOver }: RulesTableProps) {
  const roles = role === '' ? ROLES : ROLES.filter((one) => one.role === role)
  return chapters.map((chapter) => (
    <chakra.section key={chapter.area} id={chapter.area} mb="22px" aria-label={chapter.title} scrollMarginTop="12px">
      <chakra.table
        w="100%"
        tableLayout="fixed"
        bg="sheet"
        css={{ '& td, & th': { padding: '5px 4px', verticalAlign: 'top' }, '& th': { textAlign: 'left' } }}
      >
        <chakra.thead>
          <chakra.tr borderBottom="1.5px solid" borderColor="ink">
            <chakra.th css={{ paddingLeft: '14px !important' }}>
              <chakra.h2 fontSize="19px">{chapter.title}</chakra.h2>
              <chakra.span fontWeight="400" fontSize="12.5px" color="ink2">
                {chapter.about}
              </chakra.span>
            </chakra.th>
            {roles.map((one) => (
              <chakra.th
                key={one.role}
                scope="col"
                w="66px"
                fontWeight="500"
                fontSize="11.5px"
                lineHeight="1.2"
                color="ink2"
                css={{ verticalAlign: 'bottom !important', textAlign: 'center !important' }}
              >
                {one.name}
              </chakra.th>
            ))}
          </chakra.tr>
        </chakra.thead>
        <tbody>
          {chapter.rules.map((rule) => (
            <Lines
              key={rule.key}
              rule={rule}
              roles={roles.map((one) => one.role)}
              layered={layered}
              chosen={chosen}
              onChoose={onChoose}
              onOver={onOver}
            />
          ))}
        </tbody>
      </chakra.table>
    </chakra.section>
  ))
}

interface LinesProps {
  rule: RuleLine
  roles: Role[]
  layered: boolean
  chosen: Chosen | null
  onChoose: (chosen: Chosen) => void
  /** Which value the pointer or the focus is on; nothing if it is on none. */
  onOver: (chosen: Chosen | undefined) => void
}

/** A rule, and under it what is different under conditions. */
function Lines({ rule, roles, layered, chosen, onChoose, onOver }: LinesProps) {
  const always = { rule, when: '', whenWords: '', from: '', cells: rule.cells }
  const rows = [always, ...rule.conditions.map((one) => ({ ...one, rule, whenWords: one.words }))]
  return rows.map((row, place) => {
    const last = place === rows.length - 1
    const binds = rows.some((one) => one.cells.some((cell) => cell.binding))
    const drafted = row.cells.some((cell) => cell.drafted)
    return (
      <chakra.tr
        key={row.when + row.from}
        bg={drafted ? 'markSoft' : undefined}
        borderBottom={last ? (binds ? '3px double' : '1px solid') : undefined}
        borderColor={binds ? 'ink' : 'line'}
      >
        <chakra.th scope="row" fontWeight="400" css={{ paddingLeft: '14px !important' }}>
          {row === always ? (
            <About rule={rule} />
          ) : (
            <chakra.em ps="18px">{[row.from && say.from(row.from), row.whenWords].filter(Boolean).join(', ')}</chakra.em>
          )}
          {drafted && <Tag>{say.draft}</Tag>}
        </chakra.th>
        {rule.wholeLesson ? (
          <chakra.td colSpan={roles.length} css={{ textAlign: 'center' }}>
            {row.cells.map((cell) => (
              <Cell
                key={cell.role}
                rule={rule}
                when={row.when}
                whenWords={row.whenWords}
                from={row.from}
                layered={layered}
                cell={cell}
                chosen={chosen}
                onChoose={onChoose}
                onOver={onOver}
              />
            ))}
          </chakra.td>
        ) : (
          roles.map((role) => {
            const cell = row.cells.find((one) => one.role === role)
            return (
              <chakra.td key={role} css={{ textAlign: 'center' }}>
                {cell ? (
                  <Cell
                    rule={rule}
                    when={row.when}
                    whenWords={row.whenWords}
                    from={row.from}
                    layered={layered}
                    cell={cell}
                    chosen={chosen}
                    onChoose={onChoose}
                    onOver={onOver}
                  />
                ) : (
                  row === always && <chakra.span color="ink3">–</chakra.span>
                )}
              </chakra.td>
            )
          })
        )}
      </chakra.tr>
    )
  })
}

function About({ rule }: { rule: RuleLine }) {
  return (
    <>
      <chakra.strong fontWeight="640">{rule.title}</chakra.strong>
      {rule.enforced === '' && (
        <chakra.span fontSize="11px" color="ink2" ms="6px" px="4px" border="1px dashed" borderColor="lineStrong">
          {say.notEnforcedYet}
        </chakra.span>
      )}
      <chakra.span display="block" fontSize="12.5px" color="ink2">
        {rule.meaning}
      </chakra.span>
      {rule.overruledIn.length > 0 && (
        <chakra.span display="block" fontSize="12px" color="verdict.away">
          {say.overrules(rule.overruledIn.join(', '))}
        </chakra.span>
      )}
    </>
  )
}

function Tag({ children }: { children: string }) {
  return (
    <chakra.span ms="6px" px="5px" fontSize="12px" bg="mark" color="onMark" fontStyle="normal">
      {children}
    </chakra.span>
  )
}

interface CellProps {
  rule: RuleLine
  cell: RuleCell
  when: string
  whenWords: string
  /** The day on which it begins to count; empty for now. */
  from: string
  layered: boolean
  chosen: Chosen | null
  onChoose: (chosen: Chosen) => void
  /** Which value the pointer or the focus is on; nothing if it is on none. */
  onOver: (chosen: Chosen | undefined) => void
}

function Cell({ rule, cell, when, whenWords, from, layered, chosen, onChoose, onOver }: CellProps) {
  const isChosen = chosen?.rule.key === rule.key && chosen.cell.role === cell.role && chosen.when === when
  const held = cell.binding || cell.bound
  const below = cell.overruled
    ? say.overruled
    : rule.right
      ? cell.words
      : cell.bound
        ? say.bound
        : cell.binding
          ? say.bindingForce
          : ''
  // What is heard begins with what is seen, word for word, so that both can be said to a computer.
  const said = rule.right ? (cell.overruled ? `${say.overruled}, ${cell.words}` : cell.words) : `${cell.words} ${below}`.trim()
  const source = layered ? cell.source : ''
  const heard = source ? `${said} ${source}` : said
  const force = rule.right ? (cell.binding ? say.binding : cell.bound ? say.boundAbove : '') : ''
  // A long unit stands below its number, for a column is no wider than the word.
  const isShort = rule.form === 'NUMBER' && (rule.wholeLesson || cell.words.length < 9)
  const whose = rule.wholeLesson ? '' : `, ${roleName(cell.role)}`
  return (
    <chakra.button
      type="button"
      cursor="pointer"
      px="3px"
      py="1px"
      minW="50px"
      maxW="100%"
      overflowWrap={rule.form === 'KINDS' ? 'normal' : 'anywhere'}
      aria-pressed={isChosen}
      outline={isChosen ? '2px solid' : undefined}
      outlineColor="ink"
      onClick={() => onChoose({ rule, cell, when, whenWords })}
      onPointerEnter={() => onOver({ rule, cell, when, whenWords })}
      onPointerLeave={() => onOver(undefined)}
      onFocus={() => onOver({ rule, cell, when, whenWords })}
      onBlur={() => onOver(undefined)}
      aria-label={`${rule.title}${whose}${from && say.fromSaid(from)}${whenWords && `, ${whenWords}`}: ${heard}${force}`}
      _hover={{ bg: 'markSoft' }}
    >
      {rule.right ? (
        <Shutter value={cell.value} bound={held} size={16} />
      ) : (
        <chakra.span
          fontFamily={isShort ? 'mono' : 'body'}
          fontSize={rule.form === 'KINDS' || (rule.form === 'NUMBER' && !isShort) ? '10.5px' : '12px'}
          overflowWrap={rule.form === 'KINDS' ? 'normal' : undefined}
          whiteSpace={isShort ? 'nowrap' : 'normal'}
          display="inline-block"
          maxW="100%"
          letterSpacing={isShort ? '-0.04em' : undefined}
          lineHeight="1.25"
          borderBottom={held ? '3px double' : 'none'}
          borderColor="ink"
        >
          {cell.words}
        </chakra.span>
      )}{' '}
      <chakra.span
        display="block"
        fontSize="11px"
        lineHeight="1.2"
        color={cell.own ? 'ink' : 'ink2'}
        fontWeight={cell.own ? 650 : 400}
        textDecoration={cell.overruled ? 'line-through' : 'none'}
      >
        {below}
      </chakra.span>{' '}
      {source && (
        <chakra.span display="block" fontSize="10.5px" lineHeight="1.15" color="ink2" overflowWrap="normal">
          {source}
        </chakra.span>
      )}
    </chakra.button>
  )
}
