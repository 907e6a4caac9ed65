import { screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { expect, it } from 'vitest'
import type { ClassGroups, ClassPage } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import { GroupsOfClass } from './ClassGroups'

const page = { id: 'tidal', title: 'Tidal Navigation 8' } as ClassPage
const kept: ClassGroups = {
  pupils: [
    { id: 'ines', name: 'Ines Carrow', level: 0, trusted: false },
    { id: 'jory', name: 'Jory Pell', level: 2, trusted: true },
    { id: 'edda', name: 'Edda Quillan', level: 0, trusted: false },
  ],
  levels: ['leads', 'steady', 'finding the way'],
  wishes: [
    {
      id: 7,
      kind: 'APART',
      people: ['ines', 'jory'],
      binding: true,
      says: 'Ines Carrow and Jory Pell stay apart, by the safeguarding lead',
      reason: 'a quarrel in spring',
      byName: 'Maren Oddlund',
      at: '2026-09-01T10:00:00Z',
      mayEnd: false,
    },
  ],
  prepared: [
    {
      id: 'p1',
      name: 'Tides',
      task: '',
      groups: [{ name: 'Reef', people: ['ines', 'jory'] }],
      breaks: ['Ines Carrow and Jory Pell stay apart, by the safeguarding lead'],
    },
  ],
  lastTimes: 0,
}

it('keeps who stays apart and why, and leaves to the lead what the lead has set', async () => {
  const asked = serve({
    'GET /api/classes/tidal/groups': kept,
    'GET /api/standing': standingOf('TEACHER'),
    'POST /api/classes/tidal/wishes': kept,
    'PUT /api/classes/tidal/group-marks': kept,
  })
  show(<GroupsOfClass page={page} />)

  expect(await screen.findByText(/a quarrel in spring/)).toBeTruthy()
  expect(screen.queryByRole('button', { name: /Take back/ })).toBeNull()
  expect(screen.getByText(/Not as kept:/)).toBeTruthy()
  await userEvent.selectOptions(screen.getByLabelText('Pupil 1'), 'Ines Carrow')
  await userEvent.selectOptions(screen.getByLabelText('Pupil 2'), 'Edda Quillan')
  await userEvent.selectOptions(screen.getByLabelText('Apart or together'), 'stay together')
  await userEvent.click(screen.getByRole('button', { name: 'Keep' }))
  await userEvent.selectOptions(screen.getByLabelText('Level of Edda Quillan'), 'finding the way')

  expect(asked.filter((one) => one.method !== 'GET').map((one) => one.body)).toEqual([
    { kind: 'TOGETHER', people: ['ines', 'edda'], reason: '' },
    { marks: [{ person: 'edda', level: 3, trusted: false }] },
  ])
})

it('prepares groups: made by the program, moved by hand, kept under a name', async () => {
  const asked = serve({
    'GET /api/classes/tidal/groups': kept,
    'GET /api/standing': standingOf('LEAD'),
    'POST /api/classes/tidal/groups/proposal': {
      groups: [['ines', 'edda'], ['jory']],
      says: ['This cannot be kept: …'],
      metAgain: 0,
      metAtLeast: 0,
      seed: 3,
    },
    'POST /api/classes/tidal/prepared': kept,
  })
  show(<GroupsOfClass page={page} />)

  await userEvent.click(await screen.findByRole('button', { name: 'Prepare groups…' }))
  const sheet = await screen.findByRole('dialog')
  await userEvent.type(within(sheet).getByLabelText('Name'), 'Rope work')
  await userEvent.click(within(sheet).getByRole('button', { name: 'Make groups' }))
  expect(await within(sheet).findByText('This cannot be kept: …')).toBeTruthy()
  await userEvent.selectOptions(within(sheet).getByLabelText('Edda Quillan'), 'Group 2')
  await userEvent.click(within(sheet).getByRole('button', { name: 'Keep these groups' }))

  expect(asked.at(-1)?.body).toEqual({
    name: 'Rope work',
    task: '',
    groups: [
      { name: 'Group 1', people: ['ines'] },
      { name: 'Group 2', people: ['jory', 'edda'] },
    ],
  })
})
