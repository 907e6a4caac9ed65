import { Box, chakra } from '@chakra-ui/react'
import { say } from '../../../languages/en/staff/charter'
import type { Role, Rules } from '../../../shared/api/types'
import { Select, TextInput } from '../../../shared/ui/Fields'
import { Shutter } from '../../../shared/ui/Shutter'
import { counts, SHOW_ONLY, type Filter, type Only } from '../filter'
import { ROLES } from '../roles'

const OF_SCHOOL: Only[] = ['binding', 'conditional', 'differs', 'overruled', 'draft', 'waiting']
const BELOW: Only[] = ['here', 'bound', 'free', 'conditional', 'overruled', 'draft']

interface ChaptersProps {
  rules: Rules
  shown: Rules['chapters']
  filter: Filter
  onFilter: (filter: Filter) => void
}

/** The way through a long document: search, chapters, what to show, and what the signs mean. */
export function Chapters({ rules, shown, filter, onFilter }: ChaptersProps) {
  const number = counts(rules)
  return (
    <Box as="aside" px="16px" py="16px" h="100%" aria-label={say.findARule}>
      <Box position={{ xl: 'sticky' }} top="12px">
        <Box display={{ base: 'flex', xl: 'block' }} gap="10px" flexWrap={{ base: 'wrap', sm: 'nowrap' }}>
          <TextInput
            type="search"
            aria-label={say.searchTheRules}
            placeholder={say.searchTheRules}
            value={filter.search}
            onChange={(event) => onFilter({ ...filter, search: event.target.value })}
            mb="6px"
          />
          <Select
            aria-label={say.role}
            value={filter.role}
            onChange={(event) => onFilter({ ...filter, role: event.target.value as Role | '' })}
            mb="12px"
          >
            <option value="">{say.allRoles}</option>
            {ROLES.map((one) => (
              <option key={one.role} value={one.role}>
                {one.name}
              </option>
            ))}
          </Select>
        </Box>
        <chakra.nav aria-label={say.chapters} hideBelow="xl">
          {rules.chapters.map((chapter) => {
            const left = shown.find((one) => one.area === chapter.area)?.rules.length ?? 0
            return (
              <chakra.a
                key={chapter.area}
                href={`#${chapter.area}`}
                display="flex"
                justifyContent="space-between"
                py="3px"
                minH="24px"
                color={left === 0 ? 'ink3' : 'ink2'}
                _hover={{ color: 'ink' }}
              >
                {chapter.title}
                <chakra.span fontFamily="mono" fontSize="12px">
                  {left}
                </chakra.span>
              </chakra.a>
            )
          })}
        </chakra.nav>
        <chakra.fieldset mt="14px">
          <chakra.legend fontSize="13px" color="ink2" fontWeight="600">
            {say.showOnly}
          </chakra.legend>
          <Box display={{ base: 'flex', xl: 'block' }} flexWrap="wrap" gap="0 14px">
            {(rules.place === 'school' ? OF_SCHOOL : BELOW).map((only) => (
              <chakra.label key={only} display="flex" justifyContent="space-between" gap="6px" py="1px" cursor="pointer">
                <span>
                  <input
                    type="checkbox"
                    checked={filter.only === only}
                    onChange={() => onFilter({ ...filter, only: filter.only === only ? '' : only })}
                  />{' '}
                  {SHOW_ONLY[only]}
                </span>
                <chakra.span fontFamily="mono" fontSize="12px" color="ink2">
                  {number[only]}
                </chakra.span>
              </chakra.label>
            ))}
          </Box>
        </chakra.fieldset>
        <Box
          mt="14px"
          pt="8px"
          borderTop="1px solid"
          borderColor="lineStrong"
          fontSize="12.5px"
          color="ink2"
          hideBelow="xl"
          css={{ '& p': { paddingBlock: '1px' } }}
        >
          <p>
            <Shutter value="open" /> {say.open}
          </p>
          <p>
            <Shutter value="on-request" /> {say.onRequestAnAdultGives}
          </p>
          <p>
            <Shutter value="closed" /> {say.closed}
          </p>
          <p>
            <Shutter value="closed" bound /> {say.sillBindingNobodyBelow}
          </p>
          <p>
            <strong>{say.bold}</strong>
            {say.setHereElseUsual}
          </p>
        </Box>
      </Box>
    </Box>
  )
}
