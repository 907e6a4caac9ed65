import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import { serve, show } from '../../shared/testing'
import { SchoolFiles } from './SchoolFiles'

const PREVIEW = {
  fingerprint: 'f1',
  pupils: ['Nial Quist'],
  renamed: [],
  moved: [],
  schools: [],
  classes: ['Net Making 8'],
  joins: ['Net Making 8: Nial Quist'],
  leaves: ['Tidal Navigation 8: Jory Pell'],
  wrong: [{ file: 'users.csv', line: 4, message: 'No user is called “x”.' }],
  wrongInAll: 3,
}
const zip = new File(['PK'], 'school.zip', { type: 'application/zip' })

describe('the school as files', () => {
  it('shows all that would change before it changes anything, and takes exactly that', async () => {
    const asked = serve({
      'POST /api/school-files/preview?school=': PREVIEW,
      'POST /api/school-files?fingerprint=f1&school=': PREVIEW,
    })
    show(<SchoolFiles />)

    await userEvent.upload(screen.getByLabelText('Files of the school'), zip)
    expect((await screen.findByRole('region', { name: 'What the files would change' })).textContent).toMatch(
      /1 pupils are new.*Nial Quist.*1 classes are new.*Net Making 8.*1 leave a class.*Jory Pell.*3 things are not taken or to be known.*users.csv, line 4/,
    )
    expect(asked).toHaveLength(1)
    await userEvent.click(screen.getByRole('button', { name: 'Take these files' }))
    expect(await screen.findByText('The files are taken.')).toBeTruthy()
    await waitFor(() => expect(asked).toHaveLength(2))
  })

  it('asks which of several schools is meant before it reads anything', async () => {
    const schools = [
      { id: 's1', name: 'Halvorn Reach', users: 40 },
      { id: 's2', name: 'Another', users: 12 },
    ]
    serve({
      'POST /api/school-files/preview?school=': { ...PREVIEW, pupils: [], classes: [], joins: [], leaves: [], schools },
      'POST /api/school-files/preview?school=s1': { ...PREVIEW, moved: ['Ines Carrow: year 9'] },
    })
    show(<SchoolFiles />)

    await userEvent.upload(screen.getByLabelText('Files of the school'), zip)
    await userEvent.selectOptions(await screen.findByLabelText('Which school is yours'), 's1')
    expect(await screen.findByText(/are in another year/)).toBeTruthy()
    expect(screen.queryByLabelText('Which school is yours')).toBeNull()
  })

  it('has nothing to take where all is as it was', async () => {
    const same = { ...PREVIEW, pupils: [], classes: [], joins: [], leaves: [], wrong: [], wrongInAll: 0 }
    serve({ 'POST /api/school-files/preview?school=': same })
    show(<SchoolFiles />)

    await userEvent.upload(screen.getByLabelText('Files of the school'), zip)
    expect((await screen.findByRole<HTMLButtonElement>('button', { name: 'Nothing to take' })).disabled).toBe(true)
  })
})
