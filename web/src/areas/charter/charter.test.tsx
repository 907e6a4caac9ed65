import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import type { DraftLine, Report, RuleCell, RuleLine, Rules, Tried, Why } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import { counts, filtered, NO_FILTER } from './filter'
import { wantedBy } from './keys'
import RulesScreen from './RulesScreen'
import SetsScreen from './SetsScreen'
import TryScreen from './TryScreen'

const cell = (more: Partial<RuleCell> = {}): RuleCell => ({
  role: 'PUPIL',
  value: 'open',
  words: 'open',
  own: false,
  ownValue: '',
  binding: false,
  bound: false,
  overruled: false,
  differs: false,
  drafted: false,
  note: '',
  source: '',
  refined: false,
  ...more,
})

const rule = (more: Partial<RuleLine> = {}): RuleLine => ({
  key: 'chat.class',
  title: 'Write to the whole class',
  meaning: 'Whether a person may write what everybody reads.',
  reason: 'Side talk.',
  pupilWords: 'write to the whole class',
  alsoCalled: 'chat message messages texting files upload',
  form: 'CHOICE',
  unit: '',
  ordered: true,
  right: true,
  wholeLesson: false,
  enforced: 'in the lesson',
  choices: ['closed', 'on-request', 'open'].map((value) => ({ value, words: value.replace('-', ' ') })),
  min: 0,
  max: 0,
  cells: [cell()],
  conditions: [],
  circumstances: ['visitor-present', 'recording', 'school-account', 'first-minutes', 'years'],
  overruledIn: [],
  ...more,
})

const GAP = rule({
  key: 'supervision.gap-minutes',
  title: 'Between two lessons',
  form: 'NUMBER',
  unit: 'minutes',
  right: false,
  wholeLesson: true,
  enforced: '',
  choices: [],
  min: 0,
  max: 60,
  cells: [cell({ role: 'LEAD_ADULT', value: '5', words: '5 min', own: true, ownValue: '5', binding: true })],
})

const KINDS = rule({
  key: 'chat.file-kinds',
  title: 'Which files',
  form: 'KINDS',
  right: false,
  choices: ['documents', 'pictures', 'slides'].map((value) => ({ value, words: value })),
  cells: [cell({ value: 'documents+pictures', words: 'documents, pictures' })],
})

const document = (rules: RuleLine[], more: Partial<Rules> = {}): Rules => ({
  place: 'school',
  title: 'Charter',
  editable: true,
  on: '',
  chapters: [{ area: 'CHAT', title: 'Chat', about: 'Who may write.', rules }],
  draft: [],
  sets: [],
  ...more,
})

const WHY: Why = {
  rule: 'chat.class',
  title: 'Write to the whole class',
  value: 'open',
  valueWords: 'open',
  chain: [{ text: 'Usual for a pupil: open', value: 'open', effect: 'DECIDES', note: '' }],
  until: '00:00 on Tuesday 15 September',
  next: 'closed',
  otherwise: ['while a visitor is present: closed (Charter, binding)'],
  changedBy: 'Only the safeguarding lead, in the charter.',
  forPupils: 'You may write to the whole class.',
  reason: 'Side talk.',
}

const line: DraftLine = {
  rule: 'chat.class',
  title: 'Write to the whole class',
  role: 'PUPIL',
  roleWords: 'pupil',
  when: 'visitor-present',
  whenWords: 'while a visitor is present',
  before: 'nothing of its own',
  value: 'closed',
  after: 'closed, binding',
  binding: true,
  note: '',
  until: '',
  overtaken: '',
}

const REPORT: Report = {
  from: 'now',
  classes: 7,
  lessons: 212,
  shifts: [],
  overruled: [],
  freed: [],
  appearing: [],
  vanishing: [],
}

const whyOf = '/api/rules/school/why?rule=chat.class&role=PUPIL'

const signedIn = (rules: Rules, more: Record<string, unknown> = {}) =>
  serve({
    'GET /api/standing': standingOf('LEAD', 'Maren Oddlund'),
    [`GET /api/rules/${rules.place}`]: rules,
    'GET /api/rules-findings': [],
    [`GET ${whyOf}`]: WHY,
    [`POST /api/rules/${rules.place}/draft/consequences`]: REPORT,
    [`GET /api/inspection/draft/${rules.place}?from=`]: { appearing: [], gone: [] },
    ...more,
  })

describe('keys on a value', () => {
  const wanted = (on: RuleLine, key: string, shift = false) =>
    wantedBy(on, on.cells[0] as RuleCell, key, /^\d$/.test(key) ? `Digit${key}` : `Key${key.toUpperCase()}`, shift)

  it('set a permission, a choice, some kinds and a number, and bind', () => {
    expect(wanted(rule({}), 'c')).toEqual({ value: 'closed', binding: false })
    expect(wanted(rule({}), 'O', true)).toEqual({ value: 'open', binding: true })
    expect(wanted(rule({}), 'b')).toMatchObject({ binding: true })
    expect(wanted(KINDS, '1')).toEqual({ value: 'pictures', binding: false })
    expect(wanted(KINDS, '3', true)).toEqual({ value: 'documents+pictures+slides', binding: true })
    expect(wanted(GAP, '+')).toEqual({ value: '6', binding: true })
    expect(wanted(GAP, 'b')).toEqual({ value: '5', binding: false })
    expect(wanted(GAP, 'c')).toBeUndefined()
  })

  it('take back only what is set here', () => {
    expect(wanted(GAP, 'Delete')).toEqual({ value: null, binding: false })
    expect(wanted(KINDS, 'Delete')).toBeUndefined()
  })

  it('go into the draft from the value under the pointer or with the focus, and never from a box', async () => {
    const asked = signedIn(document([rule({})]), { 'PUT /api/rules/school/draft': document([rule({})], { draft: [line] }) })
    show(<RulesScreen />, '/charter')
    const cell = await screen.findByRole('button', { name: /^Write to the whole class, Pupil/ })
    await userEvent.hover(cell)
    await userEvent.keyboard('{Shift>}C{/Shift}')
    const sent = () => asked.filter((one) => one.method === 'PUT').map((one) => one.body)
    await waitFor(() => expect(sent()).toHaveLength(1))
    expect(sent()[0]).toMatchObject({ rule: 'chat.class', role: 'PUPIL', when: '', value: 'closed', binding: true })
    await userEvent.unhover(cell)
    await userEvent.keyboard('o')
    expect(sent()).toHaveLength(1)
    await userEvent.hover(cell)
    await userEvent.type(screen.getByRole('searchbox'), 'o')
    expect(sent()).toHaveLength(1)
  })
})

describe('the charter', () => {
  it('adds a binding value under a condition to the draft and shows in numbers what it changes', async () => {
    const drafted = document([rule({ cells: [cell({ drafted: true })] })], { draft: [line] })
    const asked = signedIn(document([rule()]), { 'PUT /api/rules/school/draft': drafted })
    show(<RulesScreen />)

    await userEvent.click(await screen.findByRole('button', { name: 'Write to the whole class, Pupil: open' }))
    await userEvent.click(screen.getByRole('radio', { name: /closed/ }))
    await userEvent.click(screen.getByRole('checkbox', { name: /^Binding What stands/ }))
    await userEvent.selectOptions(screen.getByLabelText('Only under a condition'), 'visitor-present')
    await userEvent.selectOptions(screen.getByLabelText('Only under a condition'), 'first-minutes 10')
    await userEvent.click(screen.getByRole('button', { name: 'Add to the draft' }))

    expect(await screen.findByText('212')).toBeTruthy()
    expect(asked.find((one) => one.method === 'PUT')?.body).toMatchObject({
      rule: 'chat.class',
      role: 'PUPIL',
      value: 'closed',
      binding: true,
      when: 'visitor-present & first-minutes 10',
    })
  })

  it('says until when a value holds, what else would count, and who can change it', async () => {
    signedIn(document([rule()]))
    show(<RulesScreen />)

    await userEvent.click(await screen.findByRole('button', { name: 'Write to the whole class, Pupil: open' }))

    expect(await screen.findByText(/until 00:00 on Tuesday 15 September; then closed/)).toBeTruthy()
    expect(screen.getByText('while a visitor is present: closed (Charter, binding)')).toBeTruthy()
    expect(screen.getByText(/Only the safeguarding lead/)).toBeTruthy()
  })

  it('lets those who may not edit read and ask why, and nothing else', async () => {
    signedIn(document([rule()], { editable: false }))
    show(<RulesScreen />)

    await userEvent.click(await screen.findByRole('button', { name: 'Write to the whole class, Pupil: open' }))

    expect(await screen.findByText('Who can change it:')).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Add to the draft' })).toBeNull()
  })

  it('puts a draft in force from tomorrow and says so', async () => {
    const asked = signedIn(document([rule()], { draft: [line] }), {
      'POST /api/rules/school/draft/in-force': document([rule()]),
    })
    show(<RulesScreen />)

    await userEvent.selectOptions(await screen.findByLabelText('From when'), 'tomorrow')
    await screen.findByText('212')
    await userEvent.click(screen.getByRole('button', { name: 'Put in force' }))

    expect((await screen.findByRole('status')).textContent).toContain('1 change counts from 2026-09-15.')
    expect(asked.find((one) => one.path.endsWith('in-force'))?.body).toEqual({ from: '2026-09-15' })
  })

  it('shows what somebody else changed meanwhile and keeps mine only when told to', async () => {
    const overtaken = { ...line, overtaken: 'Tam Birket set it to closed meanwhile' }
    const asked = signedIn(document([rule()], { draft: [overtaken] }), {
      'PUT /api/rules/school/draft': document([rule()], { draft: [line] }),
    })
    show(<RulesScreen />)

    await userEvent.click(await screen.findByRole('button', { name: 'Keep mine' }))

    expect(asked.find((one) => one.method === 'PUT')?.body).toMatchObject({ value: 'closed', when: 'visitor-present' })
    expect(screen.queryByText(/Tam Birket/)).toBeNull()
  })

  it('writes numbers and kinds as the server reads them', async () => {
    const asked = signedIn(document([KINDS]), {
      'GET /api/rules/school/why?rule=chat.file-kinds&role=PUPIL': WHY,
      'PUT /api/rules/school/draft': document([KINDS]),
    })
    show(<RulesScreen />)

    await userEvent.click(await screen.findByRole('button', { name: /^Which files, Pupil/ }))
    await userEvent.click(screen.getByRole('checkbox', { name: 'documents' }))
    await userEvent.click(screen.getByRole('checkbox', { name: 'slides' }))
    await userEvent.click(screen.getByRole('button', { name: 'Add to the draft' }))

    expect(asked.find((one) => one.method === 'PUT')?.body).toMatchObject({ value: 'pictures+slides' })
  })

  it('says of every value in words what is bound, overruled, to come, and not enforced', async () => {
    signedIn(
      document([
        rule({
          cells: [cell({ own: true, overruled: true, bound: true })],
          conditions: [
            {
              when: 'recording',
              words: 'while recording',
              from: 'Tuesday 15 September',
              cells: [cell({ value: 'closed', words: 'closed', own: true, binding: true })],
            },
          ],
          overruledIn: ['Harbour Law 9'],
        }),
        GAP,
      ]),
    )
    show(<RulesScreen />)

    expect(
      await screen.findByRole('button', { name: 'Write to the whole class, Pupil: overruled, open, bound above' }),
    ).toBeTruthy()
    expect(
      screen.getByRole('button', {
        name: 'Write to the whole class, Pupil, from Tuesday 15 September, while recording: closed, binding',
      }),
    ).toBeTruthy()
    expect(screen.getByText('Overrules Harbour Law 9')).toBeTruthy()
    expect(screen.getByRole('button', { name: 'Between two lessons: 5 min binding' })).toBeTruthy()
    expect(screen.getByText('not enforced yet')).toBeTruthy()
  })

  it('is searched and filtered, and says so when nothing is left', async () => {
    signedIn(document([rule(), GAP, KINDS]))
    show(<RulesScreen />)

    await userEvent.type(await screen.findByLabelText('Search the rules'), 'two lessons')
    expect(screen.queryByText('Which files')).toBeNull()
    expect(screen.getByText('Between two lessons')).toBeTruthy()
    await userEvent.clear(screen.getByLabelText('Search the rules'))
    await userEvent.click(screen.getByRole('checkbox', { name: /^Overruled somewhere/ }))
    await userEvent.click(screen.getByRole('button', { name: 'Show all' }))
    expect(screen.getByText('Which files')).toBeTruthy()
  })

  it('finds rules by what newcomers call them', () => {
    const rules = document([
      rule({ key: 'entry.door', title: 'The door', alsoCalled: 'waiting room lock' }),
      rule({ key: 'chat.class', title: 'Words to all' }),
    ])
    const found = (search: string) =>
      filtered(rules, { ...NO_FILTER, search }).flatMap((one) => one.rules.map((each) => each.key))

    expect(found('waiting room')).toEqual(['entry.door'])
    expect(found('lock')).toEqual(['entry.door'])
    expect(found('messages')).toEqual(['chat.class'])
    expect(found('pancakes')).toEqual([])
  })

  it('counts what each filter leaves', () => {
    const rules = document([rule({ cells: [cell({ bound: true, refined: true })] }), GAP])

    expect(counts(rules)).toMatchObject({ binding: 1, bound: 1, free: 1, here: 1, waiting: 1, conditional: 0 })
    expect(filtered(rules, { ...NO_FILTER, role: 'VISITOR' })[0]?.rules.map((one) => one.key)).toEqual([GAP.key])
  })
})

describe('the rules of a class', () => {
  it('begin with what the class refines and show what a set would change before it is used', async () => {
    const rules = document([rule({ cells: [cell({ refined: true, source: 'Discussion' })] }), GAP], {
      place: 'class:knots',
      title: 'Knotwork 7',
    })
    const asked = serve({
      'GET /api/standing': standingOf('TEACHER'),
      'GET /api/rules/class:knots': rules,
      'GET /api/sets': [{ id: 'quiet', name: 'Quiet work', purpose: '', ofSchool: true, own: false, says: [], usedBy: [] }],
      'GET /api/classes/knots/sets/quiet/consequences': {
        ...REPORT,
        shifts: [
          {
            rule: 'chat.class',
            title: 'Write to the whole class',
            role: 'PUPIL',
            roleWords: 'pupil',
            before: 'open',
            beforeWords: 'open',
            after: 'closed',
            afterWords: 'closed',
            stricter: true,
            classes: [],
            lessonCount: 0,
            lessons: [],
          },
        ],
      },
      'PUT /api/classes/knots/sets/quiet': {},
    })
    show(<RulesScreen />, '/rules/class:knots', '/rules/:place')

    expect(await screen.findByRole('button', { name: 'Write to the whole class, Pupil: open Discussion' })).toBeTruthy()
    expect(screen.queryByText('Between two lessons')).toBeNull()
    await userEvent.selectOptions(await screen.findByLabelText('Use a set'), 'quiet')
    expect(await screen.findByText('212 planned lessons would change:')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Use it from now on' }))

    expect(asked.some((one) => one.method === 'PUT')).toBe(true)
  })
})

describe('what a draft changes', () => {
  const one = {
    place: 'lesson:law-1',
    title: 'Harbour Law 9',
    when: 'Wednesday 16 September, 08:05',
    situation: 'while a visitor is present',
    facts: ['visitor-present', 'adult-present'],
    present: 24,
    at: 1789545900000,
    minute: -1,
  }
  const report: Report = {
    ...REPORT,
    from: 'Tuesday 15 September, 00:00',
    shifts: [
      {
        rule: 'chat.private',
        title: 'Whisper to one pupil',
        role: 'PUPIL',
        roleWords: 'pupil',
        before: 'open',
        beforeWords: 'open',
        after: 'closed',
        afterWords: 'closed',
        stricter: true,
        classes: [{ ...one, place: 'class:law', when: '', minute: 30 }],
        lessonCount: 61,
        lessons: [one],
      },
    ],
    overruled: [
      { place: 'class:law', title: 'Harbour Law 9', says: 'open, by Ruben Stavely', by: 'closed, binding', classes: [] },
    ],
    appearing: [
      { kind: 'NEVER_COUNTS', title: 'Speak, pupil: this setting never counts', causes: ['Year 9: open'], place: 'year:9' },
    ],
  }
  const why = (place: string, minute: string) =>
    `/api/rules/school/draft/why?rule=chat.private&role=PUPIL&of=${place}&from=&facts=visitor-present,adult-present&present=24&at=1789545900000${minute}`

  it('is told as numbers, then as a list, then as one case before and after', async () => {
    const after: Why = {
      ...WHY,
      value: 'closed',
      valueWords: 'closed',
      until: '',
      forPupils: 'You may not whisper to one pupil.',
    }
    signedIn(document([rule()], { draft: [line] }), {
      'POST /api/rules/school/draft/consequences': report,
      [`GET ${why('lesson%3Alaw-1', '')}`]: { before: WHY, after },
      [`GET ${why('class%3Alaw', '&minute=30')}`]: { before: WHY, after },
    })
    show(<RulesScreen />)

    await userEvent.click(await screen.findByRole('button', { name: 'See all that changes' }))
    expect(await screen.findByText('61 planned lessons where it will')).toBeTruthy()
    expect(screen.getByText('and 60 later ones')).toBeTruthy()
    expect(screen.getByText('held by closed, binding')).toBeTruthy()
    expect(screen.getByText('Speak, pupil: this setting never counts')).toBeTruthy()

    await userEvent.click(screen.getByRole('button', { name: /^Harbour Law 9, Wednesday/ }))
    const single = await screen.findByRole('region', { name: 'Why, in Harbour Law 9' })
    expect(await within(single).findByText(/You may not whisper to one pupil/)).toBeTruthy()
    expect(within(single).getByText('With the draft')).toBeTruthy()

    await userEvent.click(screen.getByRole('button', { name: /^Harbour Law 9 while/ }))
    expect(await within(await screen.findByRole('region', { name: 'Why, in Harbour Law 9' })).findByText('As it is')).toBeTruthy()
  })

  it('says so when nothing changes', async () => {
    signedIn(document([rule()], { draft: [line] }))
    show(<RulesScreen />)

    await userEvent.click(await screen.findByRole('button', { name: 'See all that changes' }))

    expect(await screen.findByText(/^Nothing changes for any class or planned lesson/)).toBeTruthy()
  })

  it('is thrown away only when asked twice', async () => {
    const asked = signedIn(document([rule()], { draft: [line] }), { 'DELETE /api/rules/school/draft': document([rule()]) })
    show(<RulesScreen />)

    await userEvent.click(await screen.findByRole('button', { name: 'Discard' }))
    expect(asked.some((one) => one.method === 'DELETE')).toBe(false)
    await userEvent.click(screen.getByRole('button', { name: 'Throw it away' }))

    expect(await screen.findByText('Refined for')).toBeTruthy()
    expect(screen.queryByRole('region', { name: 'Draft' })).toBeNull()
  })
})

describe('history and single lessons', () => {
  it('shows what was set by whom, and the rules of a day', async () => {
    signedIn(document([rule()]), {
      'GET /api/rules/school/history': [
        {
          at: 'Monday 14 September, 10:17',
          by: 'Maren Oddlund',
          title: 'Late after',
          role: 'pupil',
          value: '5 min',
          when: '',
          binding: true,
          note: 'Ten minutes had become a habit.',
          counted: 'from Monday 14 September, 10:17',
          ended: 'ended by Maren Oddlund, Tuesday 15 September, 09:00',
        },
      ],
      'GET /api/rules/school?on=2026-09-01': document([rule()], { on: '2026-09-01', editable: false }),
    })
    show(<RulesScreen />)

    await userEvent.click(await screen.findByRole('button', { name: /^History/ }))
    expect(await screen.findByText(/Ten minutes had become a habit/)).toBeTruthy()
    await userEvent.type(screen.getByLabelText('The rules as of'), '2026-09-01')

    expect(await screen.findByText(/The rules as of 2026-09-01/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Back to today' }))
    expect(await screen.findByRole('heading', { name: 'Charter' })).toBeTruthy()
  })

  it('invites a visitor to one lesson by name', async () => {
    const plan = {
      lesson: 'law-1',
      title: 'Harbour Law 9',
      ofClass: 'law',
      day: 'Wednesday',
      starts: '08:05',
      editable: true,
      visitors: ['Kester Fanthorpe'],
      invited: [{ person: 'v', name: 'Kester Fanthorpe', link: 'http://school.example/join/v' }],
      recording: false,
      groups: false,
    }
    const asked = serve({
      'GET /api/standing': standingOf('TEACHER'),
      'GET /api/rules/lesson:law-1': document([rule()], { place: 'lesson:law-1', title: 'Harbour Law 9, Wednesday' }),
      'GET /api/lessons/law-1/plan': plan,
      'PUT /api/lessons/law-1/plan': { ...plan, visitors: ['Kester Fanthorpe', 'Tove Saltmarsh'] },
    })
    show(<RulesScreen />, '/rules/lesson:law-1', '/rules/:place')

    await userEvent.type(await screen.findByLabelText('Name of a visitor'), ' Tove Saltmarsh ')
    await userEvent.click(screen.getByRole('button', { name: 'Invite' }))

    expect(await screen.findByRole('button', { name: 'remove Tove Saltmarsh' })).toBeTruthy()
    expect(asked.find((one) => one.method === 'PUT')?.body).toMatchObject({ visitors: ['Kester Fanthorpe', 'Tove Saltmarsh'] })
  })
})

describe('sets and trying out', () => {
  it('deletes a set only when asked twice, and says which classes use it', async () => {
    const own = { id: 'fog', name: 'Fog drill', purpose: '', ofSchool: false, own: true, says: [], usedBy: ['Weather Lab 9'] }
    serve({
      'GET /api/standing': standingOf('TEACHER'),
      'GET /api/sets': [own],
      'GET /api/classes': [],
      'DELETE /api/sets/fog': { problem: { status: 409, title: 'Classes use this set: Weather Lab 9', wrong: [] } },
    })
    show(<SetsScreen />)

    await userEvent.click(await screen.findByRole('button', { name: 'Delete' }))
    await userEvent.click(screen.getByRole('button', { name: 'Delete “Fog drill”' }))

    expect((await screen.findByRole('alert')).textContent).toContain('Classes use this set: Weather Lab 9')
  })

  it('puts two cases beside each other and marks what differs', async () => {
    const tried = (value: string): Tried => ({
      at: 'Monday 14 September, 10:17',
      moment: 0,
      facts: [{ fact: 'visitor-present', words: 'while a visitor is present', so: false }],
      areas: [
        {
          title: 'Chat',
          rules: [
            {
              rule: 'chat.class',
              title: 'Write to the whole class',
              value,
              words: value,
              right: true,
              bound: false,
              because: 'usual',
              until: '',
            },
          ],
        },
      ],
    })
    const ordinary = 'facts=adult-present%2Cschool-account&draft=false'
    serve({
      'GET /api/standing': standingOf('TEACHER'),
      'GET /api/classes': [],
      'GET /api/sets': [],
      [`GET /api/try/school/PUPIL?${ordinary}`]: tried('open'),
      'GET /api/try/school/PUPIL?facts=adult-present%2Cschool-account%2Cvisitor-present&draft=false': tried('closed'),
    })
    show(<TryScreen />)

    await screen.findByText('Write to the whole class')
    await userEvent.click(screen.getByRole('button', { name: 'Put another case beside it' }))
    await userEvent.click(
      within(screen.getByRole('region', { name: 'Beside it' })).getByRole('checkbox', { name: 'while a visitor is present' }),
    )

    expect(await screen.findByText('1 rule differs, marked below.')).toBeTruthy()
  })

  it('asks for somebody of a class by the role they have there', async () => {
    const nothing: Tried = { at: 'Monday', moment: 0, facts: [], areas: [] }
    const query = 'facts=adult-present%2Cschool-account&draft=false'
    const asked = serve({
      'GET /api/standing': standingOf('TEACHER'),
      'GET /api/classes': [],
      'GET /api/sets': [],
      'GET /api/classes/knots': { adults: [], pupils: [{ id: 'jory', name: 'Jory Pell', role: 'CLASS_MONITOR' }] },
      [`GET /api/try/class:knots/PUPIL?${query}`]: nothing,
      [`GET /api/try/class:knots/CLASS_MONITOR?${query}`]: nothing,
    })
    show(<TryScreen />, '/try?place=class:knots', '/try')

    await screen.findByRole('option', { name: 'Jory Pell' })
    await userEvent.selectOptions(screen.getByLabelText('Who'), 'Jory Pell')

    expect(screen.getByLabelText<HTMLSelectElement>('Who').selectedOptions[0]?.textContent).toBe('Jory Pell')
    expect(asked.some((one) => one.path.includes('/CLASS_MONITOR'))).toBe(true)
  })
})
